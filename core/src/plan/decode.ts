import { MINUTE_MS, type Span } from '../base/time.ts';
import type { BareLimit } from '../cure/bare.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { MIX_MIN, RUN_MIN } from '../work/minutes.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import { isMend, mendOpId } from './ids.ts';
import {
  carried,
  filmNow,
  keyEndMs,
  laidFilm,
  mixLife,
  soonest,
  stageMs,
  touchEndMs,
  windowOf,
  type LaidFilm,
  type Stand,
} from './films.ts';
import { SHARED_FROM_MIN, waitMs } from './operations.ts';
import type {
  Binding,
  BindKind,
  Plan,
  PlanAsks,
  PlanItem,
  PlanLack,
  PlanOp,
  PlanPart,
  PlanProblem,
  PlanRun,
} from './problem.ts';
import type { PlanReading } from './reading.ts';
import { DUST_SETTLES_MS, ISOCYANATE_MS, Timetable } from './timetable.ts';
import type { PlanWeather } from './weather.ts';

/** A stretch of split work is worth beginning when it lasts so long. */
const LEAST_STRETCH_MS = 30 * MINUTE_MS;
/** Work that was split while metal lay bare goes over it once more. */
const AGAIN_SHARE = 0.2;
/** How far on a block is tried again when it does not hold, and how often. */
const NUDGE_MS = 30 * MINUTE_MS;
const MOST_NUDGES = 160;
/** Sessions a coat is tried in before its window is given up, and how much is tried for one part. */
const SESSIONS_TRIED = 4;
const MOST_NODES = 60;
/** A gun waits in its run for the next part no longer than this. */
const MOST_PAUSE_MS = 60 * MINUTE_MS;

/** Minutes of a mending abrasion, and of scuffing before a coat, by area (docs/calculations.md: 10 + 25 a square metre). */
export const mendMinutes = (areaM2: number | null): number =>
  Math.ceil(10 + 25 * (areaM2 ?? UNKNOWN_AREA_M2));
const scuffMinutes = (areaM2: number | null): number => Math.ceil(5 + 12 * (areaM2 ?? UNKNOWN_AREA_M2));

const isIsocyanate = (op: PlanOp): boolean =>
  (op.coat?.sheet.cautions.includes('isocyanate') ?? false) &&
  op.coat?.tool !== 'brush' &&
  op.coat?.tool !== 'roller';

interface OpenRun {
  readonly runId: string;
  readonly key: string;
  readonly session: number;
  readonly head: Omit<PlanRun, 'runId' | 'fromMs' | 'toMs' | 'opIds' | 'mixes'>;
  readonly fromMs: number;
  toMs: number;
  lastEndMs: number;
  goneMs: number;
  mixes: number;
  opIds: readonly string[];
}

interface Ready {
  readonly ms: number;
  readonly binds: Binding;
}
const later = (a: Ready, ms: number, by: BindKind, opId: string | null = null): Ready =>
  ms > a.ms ? { ms, binds: { by, opId, edgeMs: ms } } : a;

/** A part on its way through the plan. */
interface Way {
  readonly part: PlanPart;
  placeId: string;
  stand: Stand;
  bare: PlanPart['bare'];
  /** Being stripped in a bath that keeps it until it is pulled out. */
  inBath: BareLimit | null;
  /** Carried in from the cold: no coat before then. */
  warmMs: number | null;
  ready: Ready;
  tops: readonly { readonly id: string | null; readonly laid: LaidFilm }[];
  bareEndMs: number | null;
  /** Abraded out of its window: a coat may follow in this. */
  keyed: Span | null;
}

/** A state to come back to. */
interface Mark {
  readonly way: Way;
  readonly table: number;
  readonly items: number;
}

/** What stopped a candidate, and when it is worth trying again. */
interface Stop {
  readonly by: BindKind;
  readonly nextMs: number;
}

/** Makes a plan of parts in an order: each piece of work as early as everything before it lets it be. */
export class Decoder {
  private readonly problem: PlanProblem;
  private readonly weather: PlanWeather;
  private readonly table: Timetable;
  private readonly notBefore: ReadonlyMap<string, number>;
  private readonly pins: ReadonlyMap<string, number>;
  private readonly runs: OpenRun[] = [];
  private readonly runsIn: OpenRun[][];
  private readonly items: PlanItem[] = [];
  private readonly left: PlanAsks[] = [];
  private nodes = 0;

  constructor(
    problem: PlanProblem,
    weather: PlanWeather,
    notBefore: ReadonlyMap<string, number> = new Map(),
  ) {
    this.problem = problem;
    this.weather = weather;
    this.notBefore = notBefore;
    this.table = new Timetable(problem.sessions, problem.ask.painters);
    this.runsIn = problem.sessions.map(() => []);
    this.pins = new Map(problem.ask.pins.map((p) => [p.opId, p.sessionMs]));
  }

  plan(order: readonly PlanPart[]): Plan {
    for (const part of order) this.part(part);
    return this.asPlan();
  }

  /** Leaves work of a plan where it is, before anything is placed around it. */
  keep(plan: Plan, reading: PlanReading, parts: readonly PlanPart[]): void {
    const runs = this.keptRuns(plan, new Set(parts.flatMap((p) => p.ops.map((o) => o.opId))));
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
    for (const run of runs) {
      this.runs.push(run);
      this.runsIn[run.session]!.push(run);
      this.table.take(run.session, run, 1, true);
    }
  }

  /** Runs with the coats that stay; one that loses its last is as much shorter. */
  private keptRuns(plan: Plan, kept: ReadonlySet<string>): OpenRun[] {
    const itemOf = new Map(plan.items.map((i) => [i.opId, i]));
    return plan.runs.flatMap(({ runId, fromMs, toMs, opIds, mixes, ...head }): OpenRun[] => {
      const stay = opIds.filter((id) => kept.has(id) && itemOf.has(id));
      const session = this.table.sessionAt(fromMs);
      if (stay.length === 0 || session >= this.problem.sessions.length) return [];
      const lastEndMs = Math.max(...stay.map((id) => itemOf.get(id)!.spans[0]!.toMs));
      const key = [head.sheetId, head.colour ?? '', head.tool, head.placeId].join('|');
      const endMs = Math.min(toMs, lastEndMs + RUN_MIN[head.tool].cleanUp * MINUTE_MS);
      // Its mix is as old as it is: what joins it brings one of its own.
      return [
        { runId, key, session, head, fromMs, toMs: endMs, lastEndMs, goneMs: lastEndMs, mixes, opIds: stay },
      ];
    });
  }

  /** `op` null: a mending abrasion. */
  private keepItem(item: PlanItem, op: PlanOp | null, placeId: string, reading: PlanReading): void {
    this.items.push(item);
    const coat = reading.coats.get(item.opId);
    for (const span of item.spans) {
      this.table.fill(placeId, 'work', span);
      if (coat) continue;
      this.table.take(this.table.sessionAt(span.fromMs), span, item.people, false);
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
    const runs = this.runs.map(({ runId, head, fromMs, toMs, opIds, mixes }) => ({
      runId,
      ...head,
      fromMs,
      toMs,
      opIds,
      mixes,
    }));
    const sessions = this.problem.sessions.map(({ fromMs, toMs }) => ({ fromMs, toMs }));
    return { sessions, items: this.items, runs, left: this.left };
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
    let at = from;
    const { sessions } = this.problem;
    for (let i = 0; i < MOST_NUDGES; i++) {
      const s = sessions[this.table.sessionAt(at.ms)];
      if (!s) break;
      at = { ms: Math.max(at.ms, s.fromMs), binds: at.binds };
      if (this.attempt(way, block, at)) return null;
      const first = carriedFirst(block);
      if (first && this.attempt(way, first, at)) return null;
      at = { ms: at.ms + NUDGE_MS, binds: { by: 'bare', opId: null, edgeMs: null } };
    }
    return isTooLong(block) ? 'bare-too-long' : 'no-room';
  }

  /** All of it or nothing. */
  private attempt(way: Way, block: readonly PlanOp[], from: Ready): boolean {
    const before = this.here(way);
    way.ready = from;
    if (block.every((op) => this.one(way, op))) return true;
    this.putBack(way, before);
    return false;
  }

  private one(way: Way, op: PlanOp): boolean {
    const ready = this.readyFor(way, op);
    if (ready === null) return false;
    const pinMs = this.pins.get(op.opId);
    const at = pinMs === undefined ? ready : later(ready, pinMs, 'pin');
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
    const hands = this.table.handsMissing(session, span, people, false);
    if (hands !== null) return { by: 'people', nextMs: hands };
    const masked = this.table.airTaken(placeId, 'isocyanate', span);
    if (masked !== null) return { by: 'dust', nextMs: masked };
    const settled = { ...span, toMs: span.toMs + DUST_SETTLES_MS };
    const wet = op.makesDust ? this.table.airTaken(placeId, 'wet', settled) : null;
    return wet === null ? null : { by: 'dust', nextMs: wet };
  }

  private take(way: Way, op: PlanOp, session: number, span: Span, people: number): void {
    this.table.take(session, span, people, false);
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
    const lay = new Lay(this, way, op, this.unders(way, op));
    const { sessions } = this.problem;
    const warm = way.warmMs === null ? ready : later(ready, way.warmMs, 'stage');
    let at = later(warm, lay.opensMs(warm.ms), 'opens', lay.openedBy);
    if (!Number.isFinite(at.ms)) return false;
    for (let n = this.table.sessionAt(at.ms); n < sessions.length; n++) {
      const s = sessions[n]!;
      if (pinMs !== null && s.fromMs !== pinMs) return false;
      if (s.fromMs >= lay.lastMs()) return false;
      if (s.fromMs > at.ms && at.binds.by === 'now') at = { ...at, binds: { ...at.binds, by: 'session' } };
      const found = this.join(lay, n, at) ?? this.open(lay, n, at);
      if (found) return true;
      if (lay.stopped) at = { ms: at.ms, binds: { by: lay.stopped, opId: null, edgeMs: null } };
    }
    return false;
  }

  /** Lays it at the end of a run of its kind in this session, where one is. */
  private join(lay: Lay, session: number, at: Ready): true | null {
    for (const run of this.runsIn[session]!) {
      if (run.key !== lay.runKey) continue;
      const startMs = upToGrid(Math.max(at.ms, run.lastEndMs));
      if (startMs - run.lastEndMs > MOST_PAUSE_MS) continue;
      const endMs = startMs + lay.lengthMs;
      const isSpent = endMs > run.goneMs;
      const mixMs = isSpent ? lay.mixMs(startMs) : 0;
      const from = startMs + mixMs;
      const toMs = from + lay.lengthMs + lay.cleanMs;
      if (toMs > this.problem.sessions[session]!.toMs) continue;
      if (this.table.handsMissing(session, { fromMs: run.toMs, toMs }, 1, true) !== null) continue;
      if (lay.stop(from)) continue;
      const before = { ...run };
      this.table.take(session, { fromMs: run.toMs, toMs }, 1, true);
      this.table.remember(() => Object.assign(run, before));
      run.toMs = toMs;
      run.lastEndMs = from + lay.lengthMs;
      run.opIds = [...run.opIds, lay.op.opId];
      if (isSpent) {
        run.mixes++;
        run.goneMs = lay.goneMs(startMs);
      }
      this.laid(lay, run, from, at.binds);
      return true;
    }
    return null;
  }

  /** Opens a run of its own in this session. */
  private open(lay: Lay, session: number, at: Ready): true | null {
    const s = this.problem.sessions[session]!;
    let { binds } = at;
    const begin = upToGrid(Math.max(at.ms, s.fromMs + lay.setUpMs));
    for (let startMs = begin; startMs + lay.lengthMs + lay.cleanMs <= s.toMs && startMs < lay.lastMs();) {
      const mixMs = lay.mixMs(startMs);
      const span = { fromMs: startMs - lay.setUpMs - mixMs, toMs: startMs + lay.lengthMs + lay.cleanMs };
      const hands = span.fromMs < s.fromMs ? span.fromMs : this.table.handsMissing(session, span, 1, true);
      const stop =
        span.fromMs < s.fromMs
          ? { by: 'session' as const, nextMs: startMs + (s.fromMs - span.fromMs) }
          : hands !== null
            ? { by: 'people' as const, nextMs: hands + (startMs - span.fromMs) }
            : lay.stop(startMs);
      if (stop === null) {
        const run = this.newRun(lay, session, span, startMs - mixMs);
        run.lastEndMs = startMs + lay.lengthMs;
        this.laid(lay, run, startMs, binds);
        return true;
      }
      binds = { by: stop.by, opId: null, edgeMs: stop.nextMs };
      lay.stopped = stop.by;
      startMs = Math.max(startMs + GRID_MS, upToGrid(stop.nextMs));
    }
    return null;
  }

  private newRun(lay: Lay, session: number, span: Span, mixedMs: number): OpenRun {
    const { sheet, colour, tool } = lay.op.coat!;
    const run: OpenRun = {
      runId: `${session}/${span.fromMs}/${lay.runKey}`,
      key: lay.runKey,
      session,
      head: { sheetId: sheet.sheetId, colour, tool, placeId: lay.way.placeId },
      ...span,
      lastEndMs: span.toMs,
      goneMs: lay.goneMs(mixedMs),
      mixes: 1,
      opIds: [lay.op.opId],
    };
    this.runs.push(run);
    this.runsIn[session]!.push(run);
    this.table.take(session, span, 1, true);
    this.table.remember(() => {
      this.runs.pop();
      this.runsIn[session]!.pop();
    });
    return run;
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
  airStop(way: Way, op: PlanOp, span: Span, below: readonly LaidFilm[]): Stop | null {
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
  }
}

/** Longer than bare metal lasts in the driest air, however it is laid: no session can hold it. */
function isTooLong(block: readonly PlanOp[]): boolean {
  const last = block.findLastIndex((o) => o.bares);
  const limit = block[last]?.bares;
  if (!limit || limit.kind === 'none' || limit.kind === 'unknown') return false;
  const rest = block.slice(last + 1);
  const minutes = rest.reduce((sum, o) => sum + o.handsMin / o.mostPeople + o.waitHours * 60, 0);
  return minutes > 60 * (limit.kind === 'hours' ? limit.hours : limit.capHours);
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

/** Carried where it is coated before it is laid bare there: what a damp shed does not allow. */
function carriedFirst(block: readonly PlanOp[]): readonly PlanOp[] | null {
  const carry = block.findIndex((o) => o.kind === 'carry');
  return carry > 0 ? [block[carry]!, ...block.filter((_, i) => i !== carry)] : null;
}

/** What must hold together from a step on: all of it while metal is bare, else the step alone. */
function blockAt({ ops, bare }: PlanPart, i: number): readonly PlanOp[] {
  const isBare = ops[i]!.bares !== null || (i === 0 && bare !== null);
  return ops.slice(i, (isBare ? blockEnd(ops, i) : i) + 1);
}

/** The end of what must hold together while metal is bare: the first coat on it, or the oil that keeps it. */
function blockEnd(ops: readonly PlanOp[], from: number): number {
  const end = ops.findIndex((o, i) => i >= from && (o.coat !== null || o.kind === 'preserve'));
  return end < 0 ? ops.length - 1 : end;
}

/** One coat to be placed: how long it takes, and when its metal or film lets it go on. */
class Lay {
  readonly way: Way;
  readonly op: PlanOp;
  readonly below: readonly LaidFilm[];
  readonly lengthMs: number;
  readonly setUpMs: number;
  readonly cleanMs: number;
  readonly runKey: string;
  stopped: BindKind | null = null;
  openedBy: string | null = null;
  private readonly decoder: Decoder;
  private readonly spans: readonly (readonly Span[])[];

  constructor(decoder: Decoder, way: Way, op: PlanOp, below: readonly LaidFilm[]) {
    this.decoder = decoder;
    this.way = way;
    this.op = op;
    this.below = below;
    const { sheet, colour, tool, areaM2 } = op.coat!;
    const windows = below.map((b) => windowOf(b, sheet));
    this.spans = way.keyed ? below.map(() => [way.keyed!]) : windows.map((w) => w.open);
    const isScuffed = !way.keyed && windows.some((w) => w.open.some((o) => o.isScuffed));
    this.lengthMs = upToGrid((op.handsMin + (isScuffed ? scuffMinutes(areaM2) : 0)) * MINUTE_MS);
    this.setUpMs = RUN_MIN[tool].setUp * MINUTE_MS;
    this.cleanMs = RUN_MIN[tool].cleanUp * MINUTE_MS;
    this.runKey = [sheet.sheetId, colour ?? '', tool, way.placeId].join('|');
  }

  /** The first opening at or after an instant, of all it goes on. Infinity: it never opens again. */
  opensMs(fromMs: number): number {
    let atMs = fromMs;
    for (const spans of this.spans) {
      const span = spans.find((s) => s.toMs > atMs + this.lengthMs);
      if (!span) return Infinity;
      atMs = Math.max(atMs, span.fromMs);
    }
    const top = this.op.coat!.on.find((u) => u.kind === 'op');
    this.openedBy = top?.opId ?? null;
    return atMs;
  }

  /** From here on it cannot begin any more. */
  lastMs(): number {
    let lastMs = this.way.bareEndMs ?? Infinity;
    for (const spans of this.spans) lastMs = Math.min(lastMs, spans[spans.length - 1]?.toMs ?? -Infinity);
    return lastMs - this.lengthMs + 1;
  }

  /** To measure and mix, and what the sheet asks the mix to stand. */
  mixMs(layMs: number): number {
    const { waitMs: standMs } = mixLife(
      this.op.coat!.sheet,
      this.way.stand.surface.track,
      layMs - MIX_MIN * MINUTE_MS,
    );
    return upToGrid(MIX_MIN * MINUTE_MS + standMs);
  }
  goneMs(mixedMs: number): number {
    return mixLife(this.op.coat!.sheet, this.way.stand.surface.track, mixedMs).goneMs;
  }

  /** What stops it from beginning then. */
  stop(startMs: number): Stop | null {
    const endMs = startMs + this.lengthMs;
    if (this.way.bareEndMs !== null && endMs > this.way.bareEndMs) return { by: 'bare', nextMs: Infinity };
    for (const spans of this.spans) {
      if (spans.some((s) => s.fromMs <= startMs && endMs <= s.toMs)) continue;
      return { by: 'opens', nextMs: spans.find((s) => s.fromMs > startMs)?.fromMs ?? Infinity };
    }
    return this.decoder.airStop(this.way, this.op, { fromMs: startMs, toMs: endMs }, this.below);
  }
}
