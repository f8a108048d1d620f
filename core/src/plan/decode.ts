import { MINUTE_MS, type Span } from '../base/time.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import { isMend, mendOpId } from './ids.ts';
import {
  carried,
  filmNow,
  keyEndMs,
  laidFilm,
  soonest,
  stageMs,
  touchEndMs,
  windowOf,
  type LaidFilm,
} from './films.ts';
import { SHARED_FROM_MIN, waitMs } from './operations.ts';
import type {
  Skill,
  Binding,
  Plan,
  PlanAsks,
  PlanItem,
  PlanLack,
  PlanOp,
  PlanPart,
  PlanProblem,
} from './problem.ts';
import type { PlanReading } from './reading.ts';
import { blockAt, carriedFirst, isTooLong } from './blocks.ts';
import { skillOf } from './hands.ts';
import { Lay } from './lay.ts';
import { RunBook } from './runBook.ts';
import { isIsocyanate, later, type Mark, type OpenRun, type Ready, type Stop, type Way } from './way.ts';
import { DUST_SETTLES_MS, ISOCYANATE_MS, Timetable } from './timetable.ts';
import type { PlanWeather } from './weather.ts';

/** A stretch of split work is worth beginning when it lasts so long. */
const LEAST_STRETCH_MS = 30 * MINUTE_MS;
/** Work that was split while metal lay bare goes over it once more. */
const AGAIN_SHARE = 0.2;
/** How far on a block is tried again when it does not hold, and how often. */
const NUDGE_MS = 30 * MINUTE_MS;
const MOST_NUDGES = 480;
/** Sessions a coat is tried in before its window is given up, and how much is tried for one part. */
const SESSIONS_TRIED = 4;
const MOST_NODES = 60;

/** Minutes of a mending abrasion, and of scuffing before a coat, by area (docs/calculations.md: 10 + 25 a square metre). */
export const mendMinutes = (areaM2: number | null): number =>
  Math.ceil(10 + 25 * (areaM2 ?? UNKNOWN_AREA_M2));

/** Makes a plan of parts in an order: each piece of work as early as everything before it lets it be. */
export class Decoder {
  private readonly problem: PlanProblem;
  private readonly weather: PlanWeather;
  private readonly table: Timetable;
  private readonly notBefore: ReadonlyMap<string, number>;
  /** By work, where it was planned for later than it could be. */
  private readonly earliest: ReadonlyMap<string, number>;
  private readonly pins: ReadonlyMap<string, number>;
  private readonly runs: RunBook;
  private readonly items: PlanItem[] = [];
  private readonly left: PlanAsks[] = [];
  private nodes = 0;
  /** Where the last attempt that failed had begun. */
  private triedMs = 0;

  constructor(
    problem: PlanProblem,
    weather: PlanWeather,
    notBefore: ReadonlyMap<string, number> = new Map(),
    earliest: ReadonlyMap<string, number> = new Map(),
  ) {
    this.problem = problem;
    this.weather = weather;
    this.notBefore = notBefore;
    this.earliest = earliest;
    this.table = new Timetable(problem.sessions);
    this.runs = new RunBook(this.table);
    this.pins = new Map(problem.ask.pins.map((p) => [p.opId, p.sessionMs]));
  }

  plan(order: readonly PlanPart[]): Plan {
    for (const part of order) this.part(part);
    return this.asPlan();
  }

  /** Leaves work of a plan where it is, before anything is placed around it. */
  keep(plan: Plan, reading: PlanReading, parts: readonly PlanPart[]): void {
    for (const part of parts) {
      const carried = part.carry && reading.itemOf.get(`${part.partId}/carry`)?.spans[0]?.fromMs;
      for (const op of part.ops)
        for (const id of [mendOpId(op.opId), op.opId]) {
          const item = reading.itemOf.get(id);
          if (!item) continue;
          const atMs = item.spans[0]!.fromMs;
          const isThere = carried != null && atMs >= carried;
          this.keepItem(
            item,
            id === op.opId ? op : null,
            isThere ? part.carry!.placeId : part.placeId,
            reading,
          );
        }
    }
    for (const l of plan.left) if (parts.some((p) => p.partId === l.partId)) this.left.push(l);
    const ops = new Map(this.problem.parts.flatMap((p) => p.ops.map((o) => [o.opId, o] as const)));
    const skillOfCoat = (opId: string): Skill => {
      const op = ops.get(opId);
      return (op && skillOf(op)) ?? 'spray';
    };
    this.runs.keep(plan, new Set(parts.flatMap((p) => p.ops.map((o) => o.opId))), skillOfCoat);
  }

  /** `op` null: a mending abrasion. */
  private keepItem(item: PlanItem, op: PlanOp | null, placeId: string, reading: PlanReading): void {
    this.items.push(item);
    const coat = reading.coats.get(item.opId);
    for (const span of item.spans) {
      this.table.fill(placeId, 'work', span);
      if (coat) continue;
      this.table.take(this.table.sessionAt(span.fromMs), span, item.people, op && skillOf(op));
      if (op?.makesDust ?? true) this.table.fill(placeId, 'dust', span);
    }
    if (!coat || !op) return;
    const { startMs, endMs, touchMs, handleMs } = coat;
    this.table.fill(placeId, 'wet', { fromMs: startMs, toMs: touchMs });
    if (this.problem.ask.roomM2 !== null)
      this.table.hang({ fromMs: startMs, toMs: handleMs ?? touchMs }, areaOf(op));
    if (isIsocyanate(op))
      this.table.fill(placeId, 'isocyanate', { fromMs: startMs, toMs: endMs + ISOCYANATE_MS });
  }

  private asPlan(): Plan {
    const sessions = this.problem.sessions.map(({ fromMs, toMs }) => ({ fromMs, toMs }));
    return { sessions, items: this.items, runs: this.runs.asRuns(), left: this.left };
  }

  private part(part: PlanPart): void {
    const stand = { surface: part.surface, isOutdoors: part.isOutdoors };
    const way: Way = {
      part,
      stand,
      placeId: part.placeId,
      bare: part.bare,
      inBath: null,
      warmMs: null,
      ready: { ms: this.problem.nowMs, binds: { by: 'now', opId: null, edgeMs: null } },
      tops: part.films.map((f) => ({ id: null, laid: filmNow(stand, f) })),
      bareEndMs: part.bare && this.weather.bareEndMs(part.surface, part.bare.sinceMs, part.bare.limit),
      keyed: null,
    };
    const start = this.here(way);
    const lack = this.greedily(way);
    const mended = this.items.slice(start.items).filter((i) => isMend(i.opId)).length;
    if (lack !== null) this.left.push({ partId: part.partId, name: part.name, ...lack });
    if (lack !== null || mended === 0) return;
    // It can be done with losses; perhaps with fewer.
    this.putBack(way, start);
    for (let mends = 0; mends < mended; mends++) {
      this.nodes = 0;
      if (this.walk(way, 0, mends)) return;
    }
    this.greedily(way);
  }

  /** Everything as early as it goes, past its window where it must. What it stops at, or null: nothing is left. */
  private greedily(way: Way): { readonly lack: PlanLack; readonly stepId: string } | null {
    const { ops } = way.part;
    for (let i = 0; i < ops.length;) {
      const block = blockAt(way.part, i);
      const lack = this.place(way, block, this.begin(way), 1);
      if (lack !== null) return { lack, stepId: block[0]!.stepId };
      i += block.length;
    }
    return null;
  }

  private here(way: Way): Mark {
    return { way: { ...way }, table: this.table.mark(), items: this.items.length };
  }
  private putBack(way: Way, mark: Mark): void {
    this.table.back(mark.table);
    this.items.length = mark.items;
    Object.assign(way, mark.way);
  }

  private begin(way: Way): Ready {
    return later(way.ready, this.notBefore.get(way.part.partId) ?? 0, 'pin');
  }

  /**
   * The rest of a part with no more than so many coats past their window: where the next one would find it shut, this one goes on a
   * session later, up to four. False: nothing was placed.
   */
  private walk(way: Way, i: number, mends: number): boolean {
    if (i >= way.part.ops.length) return true;
    const block = blockAt(way.part, i);
    let from = this.begin(way);
    for (let k = 0; k < (block.some((o) => o.coat) ? SESSIONS_TRIED : 1); k++) {
      if (this.nodes++ > MOST_NODES) return false;
      const before = this.here(way);
      if (this.place(way, block, from, mends) !== null) return false;
      const placed = this.items.slice(before.items);
      const left = mends - placed.filter((p) => isMend(p.opId)).length;
      if (this.walk(way, i + block.length, left)) return true;
      const last = placed[placed.length - 1]?.spans[0];
      if (!last) return false;
      from = later(
        from,
        this.problem.sessions[this.table.sessionAt(last.fromMs)]?.toMs ?? Infinity,
        'window',
      );
      this.putBack(way, before);
    }
    return false;
  }

  /** Places work that must hold together; when it does not, a little later, and mended first where only that lets it. */
  private place(way: Way, block: readonly PlanOp[], from: Ready, mends: number): PlanLack | null {
    if (block[0]!.bares) return this.nudged(way, block, from);
    if (this.attempt(way, block, from)) return null;
    const coat = block.find((o) => o.coat);
    if (coat && this.pins.has(coat.opId)) return 'pin';
    if (!coat || mends === 0) return 'no-room';
    if (way.bareEndMs !== null) return this.nudged(way, [this.mendOf(coat, way), ...block], from);
    return this.mended(way, coat, from);
  }

  /** A coat past its window: abraded as soon as the film takes it, then coated while the key holds. */
  private mended(way: Way, coat: PlanOp, from: Ready): PlanLack | null {
    const windows = this.unders(way, coat).map((laid) => windowOf(laid, coat.coat!.sheet));
    if (windows.length === 0 || windows.some((w) => w.sandMs === null)) return 'no-room';
    const shutMs = Math.max(...windows.map((w) => w.open[w.open.length - 1]?.toMs ?? 0));
    if (!Number.isFinite(shutMs)) return 'no-room';
    const sandMs = Math.max(...windows.map((w) => w.sandMs!), shutMs);
    return this.nudged(way, [this.mendOf(coat, way), coat], later(from, sandMs, 'stage'));
  }

  private mendOf(coat: PlanOp, way: Way): PlanOp {
    return {
      ...coat,
      opId: mendOpId(coat.opId),
      kind: 'mend',
      what: null,
      handsMin: mendMinutes(coat.coat!.areaM2),
      mostPeople: mendMinutes(coat.coat!.areaM2) >= SHARED_FROM_MIN ? 2 : 1,
      isSplittable: false,
      makesDust: true,
      needs: null,
      bares: way.tops.length === 0 ? way.bare!.limit : null,
      coat: null,
    };
  }

  private nudged(way: Way, block: readonly PlanOp[], from: Ready): PlanLack | null {
    let at = later(from, this.earliest.get(block[0]!.opId) ?? 0, 'pin');
    const { sessions } = this.problem;
    for (let i = 0; i < MOST_NUDGES; i++) {
      const s = sessions[this.table.sessionAt(at.ms)];
      if (!s) break;
      at = { ms: Math.max(at.ms, s.fromMs), binds: at.binds };
      if (this.attempt(way, block, at)) return null;
      const triedMs = this.triedMs;
      const first = carriedFirst(block);
      if (first && this.attempt(way, first, at)) return null;
      at = {
        // Begun any sooner it would begin in the same place again.
        ms: Math.max(at.ms, first ? at.ms : triedMs) + NUDGE_MS,
        binds: { by: block[0]!.bares ? 'bare' : 'window', opId: null, edgeMs: null },
      };
    }
    return isTooLong(block) ? 'bare-too-long' : 'no-room';
  }

  /** All of it or nothing. */
  private attempt(way: Way, block: readonly PlanOp[], from: Ready): boolean {
    const before = this.here(way);
    way.ready = from;
    if (block.every((op) => this.one(way, op))) return true;
    this.triedMs = this.items[before.items]?.spans[0]?.fromMs ?? from.ms;
    this.putBack(way, before);
    return false;
  }

  private one(way: Way, op: PlanOp): boolean {
    const ready = this.readyFor(way, op);
    if (ready === null) return false;
    const pinMs = this.pins.get(op.opId);
    const due = later(ready, this.earliest.get(op.opId) ?? 0, 'pin');
    const at = pinMs === undefined ? due : later(due, pinMs, 'pin');
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
    if (way.inBath) way.bare = { sinceMs: spans[0]!.fromMs, limit: way.inBath };
    way.inBath = op.bares && op.waitHours > 0 ? op.bares : null;
    if (op.bares) way.bare = way.inBath ? null : { sinceMs: endMs, limit: op.bares };
    if (way.bare === null) way.bareEndMs = null;
    else if (op.bares || isPulled) way.bareEndMs = this.bareEndMs(way);
    if (op.kind === 'carry') this.carry(way, endMs);
    if (way.bareEndMs !== null && !op.bares && endMs > way.bareEndMs) return false;
    this.items.push({ opId: op.opId, spans, people, runId: null, binds });
    if (op.kind === 'mend' && op.bares === null) way.keyed = { fromMs: endMs, toMs: keyEndMs(endMs) };
    if (op.kind === 'preserve') way.bare = way.bareEndMs = null;
    const waited = waitMs(op);
    way.ready = {
      ms: endMs + waited,
      binds: { by: waited > 0 ? 'wait' : 'before', opId: op.opId, edgeMs: endMs + waited },
    };
    return true;
  }

  private carry(way: Way, atMs: number): void {
    const { placeId, isOutdoors, warmsMs, surfaceFrom } = way.part.carry!;
    way.placeId = placeId;
    way.warmMs = atMs + warmsMs;
    way.stand = { surface: surfaceFrom(atMs), isOutdoors };
    way.tops = way.tops.map((t) => ({ ...t, laid: carried(t.laid, way.stand) }));
    // What it had left where it stood is no more for being carried, and less where it is damper.
    way.bareEndMs = soonest(way.bareEndMs, this.bareEndMs(way));
  }

  private bareEndMs({ bare, stand }: Way): number | null {
    return bare && this.weather.bareEndMs(stand.surface, bare.sinceMs, bare.limit);
  }

  /** What stops work of hands in a span of a session. */
  private stopOf(way: Way, op: PlanOp, session: number, span: Span, people: number): Stop | null {
    const placeId = placeOf(way, op);
    const hands = this.table.handsMissing(session, span, people, skillOf(op));
    if (hands !== null) return { by: 'people', nextMs: hands };
    const masked = this.table.airTaken(placeId, 'isocyanate', span);
    if (masked !== null) return { by: 'dust', nextMs: masked };
    const settled = { ...span, toMs: span.toMs + DUST_SETTLES_MS };
    const wet = op.makesDust ? this.table.airTaken(placeId, 'wet', settled) : null;
    return wet === null ? null : { by: 'dust', nextMs: wet };
  }

  private take(way: Way, op: PlanOp, session: number, span: Span, people: number): void {
    this.table.take(session, span, people, skillOf(op));
    this.table.fill(placeOf(way, op), 'work', span);
    if (op.makesDust) this.table.fill(placeOf(way, op), 'dust', span);
  }

  private whole(way: Way, op: PlanOp, ready: Ready, pinMs: number | null): boolean {
    const { sessions } = this.problem;
    let { binds } = ready;
    for (let n = this.table.sessionAt(ready.ms); n < sessions.length; n++) {
      const s = sessions[n]!;
      if (pinMs !== null && s.fromMs !== pinMs) return false;
      if (way.bareEndMs !== null && op.bares === null && s.fromMs > way.bareEndMs) return false;
      const people = Math.min(op.mostPeople, s.people);
      const lengthMs = upToGrid((op.handsMin / people) * MINUTE_MS);
      if (s.fromMs > ready.ms) binds = { ...binds, by: binds.by === 'now' ? 'session' : binds.by };
      for (let atMs = upToGrid(Math.max(ready.ms, s.fromMs)); atMs + lengthMs <= s.toMs;) {
        const span = { fromMs: atMs, toMs: atMs + lengthMs };
        const stop = this.stopOf(way, op, n, span, people);
        if (stop === null) {
          this.take(way, op, n, span, people);
          return this.done(way, op, [span], people, binds);
        }
        binds = { by: stop.by, opId: null, edgeMs: stop.nextMs };
        atMs = Math.max(atMs + GRID_MS, upToGrid(stop.nextMs));
      }
    }
    return false;
  }

  private split(way: Way, op: PlanOp, ready: Ready): boolean {
    const { sessions } = this.problem;
    let leftMs = op.handsMin * MINUTE_MS;
    const spans: Span[] = [];
    for (let n = this.table.sessionAt(ready.ms); n < sessions.length && leftMs > 0; n++) {
      const s = sessions[n]!;
      for (const f of this.table.free(n, Math.max(ready.ms, s.fromMs), 1)) {
        const lengthMs = Math.min(upToGrid(leftMs), f.toMs - f.fromMs);
        if (lengthMs < Math.min(LEAST_STRETCH_MS, upToGrid(leftMs))) continue;
        const span = { fromMs: f.fromMs, toMs: f.fromMs + lengthMs };
        if (this.stopOf(way, op, n, span, 1)) continue;
        if (spans.length > 0 && op.bares) leftMs += op.handsMin * AGAIN_SHARE * MINUTE_MS;
        this.take(way, op, n, span, 1);
        spans.push(span);
        leftMs -= lengthMs;
        if (leftMs <= 0) break;
      }
    }
    return leftMs <= 0 && this.done(way, op, spans, 1, ready.binds);
  }

  /** The films a coat goes on. */
  private unders(way: Way, op: PlanOp): LaidFilm[] {
    return op.coat!.on.flatMap((u) => {
      if (u.kind === 'bare') return [];
      if (u.kind === 'film') return [filmNow(way.stand, u.film)];
      return way.tops.flatMap((t) => (t.id === u.opId ? [t.laid] : []));
    });
  }

  private coat(way: Way, op: PlanOp, ready: Ready, pinMs: number | null): boolean {
    const lay = new Lay(this.airStop, way, op, this.unders(way, op));
    const { sessions } = this.problem;
    const warm = way.warmMs === null ? ready : later(ready, way.warmMs, 'stage');
    let at = later(warm, lay.opensMs(warm.ms), 'opens', lay.openedBy);
    if (!Number.isFinite(at.ms)) return false;
    for (let n = this.table.sessionAt(at.ms); n < sessions.length; n++) {
      const s = sessions[n]!;
      if (pinMs !== null && s.fromMs !== pinMs) return false;
      if (s.fromMs >= lay.lastMs()) return false;
      if (s.fromMs > at.ms && at.binds.by === 'now') at = { ...at, binds: { ...at.binds, by: 'session' } };
      const taken = this.runs.join(lay, n, at) ?? this.runs.open(lay, n, at);
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
    const { placeId } = way;
    this.table.fill(placeId, 'wet', { fromMs: startMs, toMs: touchEndMs(laid) });
    this.table.fill(placeId, 'work', { fromMs: startMs, toMs: endMs });
    if (this.problem.ask.roomM2 !== null)
      this.table.hang(hangs(laid, { fromMs: startMs, toMs: endMs }), areaOf(op));
    if (isIsocyanate(op))
      this.table.fill(placeId, 'isocyanate', { fromMs: startMs, toMs: endMs + ISOCYANATE_MS });
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
    way.bare = way.bareEndMs = null;
    way.keyed = null;
    way.ready = { ms: endMs, binds: { by: 'before', opId: op.opId, edgeMs: endMs } };
  }

  /** Whether the air of the place and the weather let a coat be laid over a span. */
  private readonly airStop = (way: Way, op: PlanOp, span: Span, below: readonly LaidFilm[]): Stop | null => {
    const { placeId } = way;
    const dusty = this.table.airTaken(placeId, 'dust', { ...span, fromMs: span.fromMs - DUST_SETTLES_MS });
    if (dusty !== null) return { by: 'dust', nextMs: dusty + DUST_SETTLES_MS };
    const masked = isIsocyanate(op)
      ? this.table.airTaken(placeId, 'work', { ...span, toMs: span.toMs + ISOCYANATE_MS })
      : this.table.airTaken(placeId, 'isocyanate', span);
    if (masked !== null) return { by: 'dust', nextMs: masked };
    const laid = laidFilm(way.stand, op.coat!, span.toMs, below);
    const touchMs = touchEndMs(laid);
    const { roomM2 } = this.problem.ask;
    if (roomM2 !== null) {
      const fullMs = this.table.roomFrom(hangs(laid, span), areaOf(op), roomM2);
      if (fullMs !== null) return { by: 'room', nextMs: fullMs };
    }
    const dust = this.table.airTaken(placeId, 'dust', { fromMs: span.fromMs, toMs: touchMs });
    if (dust !== null) return { by: 'dust', nextMs: span.fromMs + GRID_MS };
    const { status } = this.weather.verdict(way.stand.surface, op.coat!.sheet, span.fromMs, touchMs);
    return status === 'pass' || status === 'marginal'
      ? null
      : { by: 'air', nextMs: span.fromMs + 3 * GRID_MS };
  };
}

/** Whose air it is done in: what is carried somewhere is set down in that air. */
const placeOf = (way: Way, op: PlanOp): string =>
  op.kind === 'carry' ? way.part.carry!.placeId : way.placeId;

/** It hangs where it was coated until it may be handled. */
const hangs = (laid: LaidFilm, span: Span): Span => ({
  fromMs: span.fromMs,
  toMs: stageMs(laid, 'handle') ?? touchEndMs(laid),
});
const areaOf = (op: PlanOp): number => op.coat!.areaM2 ?? UNKNOWN_AREA_M2;
