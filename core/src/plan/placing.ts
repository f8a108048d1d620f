import { MINUTE_MS, type Span } from '../base/time.ts';
import {
  carried,
  filmNow,
  keyEndMs,
  laidFilm,
  soonest,
  stageMs,
  touchEndMs,
  type LaidFilm,
} from './films.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import { Lay } from './lay.ts';
import { waitMs } from './steps.ts';
import type { Binding, PlanItem, PlanOp, PlanPin, PlanProblem } from './problem.ts';
import type { RunBook } from './runBook.ts';
import type { Shared } from './shared.ts';
import type { Timetable } from './timetable.ts';
import { later, type OpenRun, type Ready, type Way } from './way.ts';
import type { PlanWeather } from './weather.ts';

/** A stretch of split work is worth beginning when it lasts so long. */
const LEAST_STRETCH_MS = 30 * MINUTE_MS;
/** Work that was split while metal lay bare goes over it once more. */
const AGAIN_SHARE = 0.2;

/** What work is placed into. */
export interface Ground {
  readonly problem: PlanProblem;
  readonly weather: PlanWeather;
  readonly table: Timetable;
  readonly shared: Shared;
  readonly runs: RunBook;
  readonly pins: ReadonlyMap<string, PlanPin>;
  readonly delays: Delays;
}

/** What is begun later than it could be: parts, and single pieces of work. */
export interface Delays {
  notBefore: ReadonlyMap<string, number>;
  earliest: ReadonlyMap<string, number>;
}

/** Places one piece of work after another, each as early as what it follows, hands, air and things let it be. */
export class Placing {
  readonly items: PlanItem[] = [];
  private readonly on: Ground;

  constructor(on: Ground) {
    this.on = on;
  }

  /** False: it finds no place, and nothing is left of the try but what `Timetable.back` takes back. */
  one(way: Way, op: PlanOp): boolean {
    const ready = this.readyFor(way, op);
    if (ready === null) return false;
    const pin = this.on.pins.get(op.opId);
    const pinMs = pin?.sessionMs;
    const due = later(ready, this.on.delays.earliest.get(op.opId) ?? 0, 'shared');
    const at = pin ? later(due, pin.fromMs ?? pin.sessionMs, 'pin') : due;
    if (op.coat) return this.coat(way, op, at, pinMs ?? null);
    if (op.handsMin === 0) {
      // Only time passes: nothing stands in the plan for it.
      way.ready = at;
      return true;
    }
    return op.isSplittable && op.bares === null
      ? this.split(way, op, at)
      : this.whole(way, op, at, pinMs ?? null);
  }

  /** From when the films below let it begin. Null: that is not within the plan. */
  private readyFor(way: Way, op: PlanOp): Ready | null {
    if (op.needs === null) return way.ready;
    let ready = way.ready;
    for (const { id, laid } of way.tops) {
      const atMs = stageMs(laid, op.needs);
      if (atMs === null) return null;
      ready = later(ready, atMs, 'stage', id);
    }
    return ready;
  }

  private done(way: Way, op: PlanOp, spans: readonly Span[], people: number, binds: Binding): boolean {
    const endMs = spans[spans.length - 1]!.toMs;
    // It stays in the bath until somebody pulls it out: from then on it is bare.
    const isPulled = way.inBath !== null;
    if (way.inBath) {
      if (!this.on.shared.stays(way.inBath.op, way.inBath.endMs, spans[0]!.fromMs)) return false;
      way.bare = { sinceMs: spans[0]!.fromMs, limit: way.inBath.limit };
      way.bareHereMs = way.bare.sinceMs;
    }
    way.inBath = op.bares && op.waitHours > 0 ? { limit: op.bares, op, endMs } : null;
    if (op.bares) {
      way.bare = way.inBath ? null : { sinceMs: endMs, limit: op.bares };
      way.bareHereMs = way.bare && endMs;
    }
    if (way.bare === null) way.bareEndMs = null;
    else if (op.bares || isPulled) way.bareEndMs = this.bareEndMs(way);
    if (op.kind === 'carry' && !this.carry(way, endMs)) return false;
    if (way.bareEndMs !== null && !op.bares && endMs > way.bareEndMs) return false;
    this.items.push({ opId: op.opId, spans, people, runId: null, binds });
    if (op.kind === 'mend' && op.bares === null) way.keyed = { fromMs: endMs, toMs: keyEndMs(endMs) };
    if (op.kind === 'preserve') way.bare = way.bareHereMs = way.bareEndMs = null;
    const waited = waitMs(op);
    way.ready = {
      ms: endMs + waited,
      binds: { by: waited > 0 ? 'wait' : 'before', opId: op.opId, edgeMs: endMs + waited },
    };
    return true;
  }

  /** False: where it stood wax or oil was about while it was bare. */
  private carry(way: Way, atMs: number): boolean {
    const { placeId, isOutdoors, surfaceFrom } = way.part.carry!;
    if (!this.coveredFrom(way, atMs)) return false;
    way.bareHereMs = way.bare && atMs;
    way.placeId = placeId;
    way.warmMs = atMs + way.part.warmsMs;
    way.stand = { surface: surfaceFrom(atMs), isOutdoors };
    way.tops = way.tops.map((t) => ({ ...t, laid: carried(t.laid, way.stand) }));
    // What it had left where it stood is no more for being carried, and less where it is damper.
    way.bareEndMs = soonest(way.bareEndMs, this.bareEndMs(way));
    return true;
  }

  /** The end of metal that lay bare in a place. False: wax or oil was laid on there meanwhile. */
  private coveredFrom({ placeId, bareHereMs }: Way, atMs: number): boolean {
    if (bareHereMs === null) return true;
    const span = { fromMs: bareHereMs, toMs: atMs };
    if (!this.on.shared.isCleanFor(placeId, span)) return false;
    this.on.shared.bared(placeId, span);
    return true;
  }

  bareEndMs({ bare, stand }: Way): number | null {
    return bare && this.on.weather.bareEndMs(stand.surface, bare.sinceMs, bare.limit);
  }

  private whole(way: Way, op: PlanOp, ready: Ready, pinMs: number | null): boolean {
    const { sessions } = this.on.problem;
    let { binds } = ready;
    for (let n = this.on.table.sessionAt(ready.ms); n < sessions.length; n++) {
      const s = sessions[n]!;
      if (pinMs !== null && s.fromMs !== pinMs) return false;
      if (way.bareEndMs !== null && op.bares === null && s.fromMs > way.bareEndMs) return false;
      const people = Math.min(op.mostPeople, s.people);
      if (people < op.leastPeople) continue;
      const lengthMs = upToGrid((op.handsMin / people) * MINUTE_MS);
      if (s.fromMs > ready.ms) binds = { ...binds, by: binds.by === 'now' ? 'session' : binds.by };
      for (let atMs = upToGrid(Math.max(ready.ms, s.fromMs)); atMs + lengthMs <= s.toMs;) {
        const span = { fromMs: atMs, toMs: atMs + lengthMs };
        const stop = this.on.shared.stopOf(way, op, n, span, people);
        if (stop === null) {
          this.on.shared.take(way, op, n, span, people);
          return this.done(way, op, [span], people, binds);
        }
        binds = { by: stop.by, opId: null, edgeMs: stop.nextMs };
        atMs = Math.max(atMs + GRID_MS, upToGrid(stop.nextMs));
      }
    }
    return false;
  }

  private split(way: Way, op: PlanOp, ready: Ready): boolean {
    const { sessions } = this.on.problem;
    let leftMs = op.handsMin * MINUTE_MS;
    const spans: Span[] = [];
    for (let n = this.on.table.sessionAt(ready.ms); n < sessions.length && leftMs > 0; n++) {
      const s = sessions[n]!;
      for (const f of this.on.table.free(n, Math.max(ready.ms, s.fromMs), 1)) {
        const lengthMs = Math.min(upToGrid(leftMs), f.toMs - f.fromMs);
        if (lengthMs < Math.min(LEAST_STRETCH_MS, upToGrid(leftMs))) continue;
        const span = { fromMs: f.fromMs, toMs: f.fromMs + lengthMs };
        if (this.on.shared.stopOf(way, op, n, span, 1)) continue;
        if (spans.length > 0 && op.bares) leftMs += op.handsMin * AGAIN_SHARE * MINUTE_MS;
        this.on.shared.take(way, op, n, span, 1);
        spans.push(span);
        leftMs -= lengthMs;
        if (leftMs <= 0) break;
      }
    }
    return leftMs <= 0 && this.done(way, op, spans, 1, ready.binds);
  }

  /** The films a coat goes on. */
  unders(way: Way, op: PlanOp): LaidFilm[] {
    return op.coat!.on.flatMap((u) => {
      if (u.kind === 'bare') return [];
      if (u.kind === 'film') return [filmNow(way.stand, u.film)];
      return way.tops.flatMap((t) => (t.id === u.opId ? [t.laid] : []));
    });
  }

  private coat(way: Way, op: PlanOp, ready: Ready, pinMs: number | null): boolean {
    const lay = new Lay(this.on.shared.airStop, way, op, this.unders(way, op));
    const { sessions } = this.on.problem;
    const warm = way.warmMs === null ? ready : later(ready, way.warmMs, 'stage');
    let at = later(warm, lay.opensMs(warm.ms), 'opens', lay.openedBy);
    if (!Number.isFinite(at.ms)) return false;
    for (let n = this.on.table.sessionAt(at.ms); n < sessions.length; n++) {
      const s = sessions[n]!;
      if (pinMs !== null && s.fromMs !== pinMs) return false;
      if (s.fromMs >= lay.lastMs()) return false;
      if (s.fromMs > at.ms && at.binds.by === 'now') at = { ...at, binds: { ...at.binds, by: 'session' } };
      const taken = this.on.runs.join(lay, n, at) ?? this.on.runs.open(lay, n, at);
      if (taken) {
        this.laid(lay, taken.run, taken.startMs, taken.binds);
        return true;
      }
      if (lay.stopped) at = { ms: at.ms, binds: { by: lay.stopped, opId: null, edgeMs: null } };
    }
    return false;
  }

  private laid(lay: Lay, run: OpenRun, startMs: number, binds: Binding): void {
    const { way, op } = lay;
    const endMs = startMs + lay.lengthMs;
    const laid = laidFilm(way.stand, op.coat!, endMs, lay.below);
    const touchMs = touchEndMs(laid);
    if (way.bareHereMs !== null) this.on.shared.bared(way.placeId, { fromMs: way.bareHereMs, toMs: startMs });
    this.on.shared.wet(way.placeId, op, { startMs, endMs, touchMs, handleMs: stageMs(laid, 'handle') });
    this.items.push({
      opId: op.opId,
      spans: [{ fromMs: startMs, toMs: endMs }],
      people: 1,
      runId: run.runId,
      binds,
    });
    const covered = new Set(op.coat!.on.flatMap((u) => (u.kind === 'op' ? [u.opId] : [])));
    const isFilmCovered = op.coat!.on.some((u) => u.kind === 'film');
    way.tops = [
      ...way.tops.filter((t) => (t.id === null ? !isFilmCovered : !covered.has(t.id))),
      { id: op.opId, laid },
    ];
    way.bare = way.bareHereMs = way.bareEndMs = null;
    way.keyed = null;
    way.ready = { ms: endMs, binds: { by: 'before', opId: op.opId, edgeMs: endMs } };
  }
}
