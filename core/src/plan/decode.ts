import { MINUTE_MS } from '../base/time.ts';
import { abradeMinutes } from '../work/minutes.ts';
import { baredSpans } from './bared.ts';
import { blockAt, carriedFirst, isTooLong } from './blocks.ts';
import { filmNow, windowOf } from './films.ts';
import { skillOf } from './hands.ts';
import { isMend, mendOpId } from './ids.ts';
import { Placing, type Delays } from './placing.ts';
import type { Plan, PlanAsks, PlanLack, PlanOp, PlanPart, PlanPin, PlanProblem, Skill } from './problem.ts';
import type { PlanReading } from './reading.ts';
import { RunBook } from './runBook.ts';
import { Shared } from './shared.ts';
import { SHARED_FROM_MIN } from './steps.ts';
import { Timetable } from './timetable.ts';
import { later, type Mark, type Ready, type Way } from './way.ts';
import type { PlanWeather } from './weather.ts';

/** How far on a block is tried again when it does not hold, and how often. */
const NUDGE_MS = 30 * MINUTE_MS;
const MOST_NUDGES = 480;
/** Sessions a coat is tried in before its window is given up, and how much is tried for one part. */
const SESSIONS_TRIED = 4;
const MOST_NODES = 60;

interface Placed {
  readonly part: PlanPart;
  readonly key: string;
  readonly mark: { readonly table: number; readonly items: number; readonly left: number };
}
const isSame = (a: Placed, b: Pick<Placed, 'part' | 'key'> | undefined): boolean =>
  a.part === b?.part && a.key === b.key;

/** Makes a plan of parts in an order: each piece of work as early as everything before it lets it be. */
export class Decoder {
  private readonly problem: PlanProblem;
  private readonly weather: PlanWeather;
  private readonly table: Timetable;
  private readonly shared: Shared;
  private readonly placing: Placing;
  private readonly delays: Delays;
  private readonly pins: ReadonlyMap<string, PlanPin>;
  private readonly runs: RunBook;
  private readonly left: PlanAsks[] = [];
  /** Parts that stand, in their order, with how things were before each. */
  private readonly placed: Placed[] = [];
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
    this.delays = { notBefore, earliest };
    this.table = new Timetable(problem.sessions, problem.airs);
    this.runs = new RunBook(this.table);
    this.pins = new Map(problem.ask.pins.map((p) => [p.opId, p]));
    this.shared = new Shared(problem, weather, this.table);
    const { table, shared, runs, pins, delays } = this;
    this.placing = new Placing({ problem, weather, table, shared, runs, pins, delays });
  }

  plan(order: readonly PlanPart[]): Plan {
    for (const part of order) this.part(part);
    return this.asPlan();
  }

  /**
   * The same as `plan` by another decoder with these delays, but begun where they first differ from what this one has placed: of two plans
   * that begin alike the beginning is placed once.
   */
  again(
    order: readonly PlanPart[],
    notBefore: ReadonlyMap<string, number>,
    earliest: ReadonlyMap<string, number>,
  ): Plan {
    Object.assign(this.delays, { notBefore, earliest });
    const placed = order.map((part) => ({ part, key: this.delaysOf(part) }));
    let same = 0;
    while (same < this.placed.length && isSame(this.placed[same]!, placed[same])) same++;
    const from = this.placed[same]?.mark;
    if (from) {
      this.table.back(from.table);
      this.placing.items.length = from.items;
      this.left.length = from.left;
    }
    this.placed.length = same;
    for (const p of placed.slice(same)) {
      const mark = { table: this.table.mark(), items: this.placing.items.length, left: this.left.length };
      this.placed.push({ ...p, mark });
      this.part(p.part);
    }
    const { items, left, ...plan } = this.asPlan();
    return { ...plan, items: [...items], left: [...left] };
  }

  /** What a part's place in a plan hangs on besides those before it. */
  private delaysOf({ partId, ops }: PlanPart): string {
    const { notBefore, earliest } = this.delays;
    const waits = ops.flatMap((o) => (earliest.has(o.opId) ? [`${o.opId} ${earliest.get(o.opId)}`] : []));
    return [notBefore.get(partId) ?? 0, ...waits].join();
  }

  /** Leaves work of a plan where it is, before anything is placed around it. */
  keep(plan: Plan, reading: PlanReading, parts: readonly PlanPart[]): void {
    for (const part of parts) this.keepPart(part, reading);
    for (const l of plan.left) if (parts.some((p) => p.partId === l.partId)) this.left.push(l);
    const ops = new Map(this.problem.parts.flatMap((p) => p.ops.map((o) => [o.opId, o] as const)));
    const skillOfCoat = (opId: string): Skill => {
      const op = ops.get(opId);
      return (op && skillOf(op)) ?? 'spray';
    };
    this.runs.keep(plan, new Set(parts.flatMap((p) => p.ops.map((o) => o.opId))), skillOfCoat);
  }

  private keepPart(part: PlanPart, reading: PlanReading): void {
    const carried = part.carry && reading.itemOf.get(`${part.partId}/carry`)?.spans[0]?.fromMs;
    const ids = part.ops.flatMap((op) => [
      { op: null, item: reading.itemOf.get(mendOpId(op.opId)) },
      { op, item: reading.itemOf.get(op.opId) },
    ]);
    const starts = ids.flatMap(({ item }) => (item ? [item.spans[0]!.fromMs] : []));
    for (const s of baredSpans(part, reading.itemOf, this.problem.nowMs))
      this.table.fill(s.placeId, 'bared', s);
    for (const { op, item } of ids) {
      if (!item) continue;
      const atMs = item.spans[0]!.fromMs;
      const isThere = carried != null && atMs >= carried;
      const next = Math.min(...starts.filter((ms) => ms > atMs));
      this.placing.items.push(item);
      const placeId = isThere ? part.carry!.placeId : part.placeId;
      this.shared.keep(item, op, placeId, reading.coats.get(item.opId), Number.isFinite(next) ? next : null);
    }
  }

  private asPlan(): Plan {
    const sessions = this.problem.sessions.map(({ fromMs, toMs }) => ({ fromMs, toMs }));
    return { sessions, items: this.placing.items, runs: this.runs.asRuns(), left: this.left };
  }

  private part(part: PlanPart): void {
    const stand = { surface: part.surface, isOutdoors: part.isOutdoors };
    const way: Way = {
      part,
      stand,
      placeId: part.placeId,
      bare: part.bare,
      bareHereMs: part.bare && this.problem.nowMs,
      inBath: null,
      warmMs: null,
      ready: { ms: this.problem.nowMs, binds: { by: 'now', opId: null, edgeMs: null } },
      tops: part.films.map((f) => ({ id: null, laid: filmNow(stand, f) })),
      bareEndMs: part.bare && this.weather.bareEndMs(part.surface, part.bare.sinceMs, part.bare.limit),
      keyed: null,
    };
    const start = this.here(way);
    const lack = this.greedily(way);
    const mended = this.placing.items.slice(start.items).filter((i) => isMend(i.opId)).length;
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
    return { way: { ...way }, table: this.table.mark(), items: this.placing.items.length };
  }
  private putBack(way: Way, mark: Mark): void {
    this.table.back(mark.table);
    this.placing.items.length = mark.items;
    Object.assign(way, mark.way);
  }

  private begin(way: Way): Ready {
    const { partId, notBeforeMs, backMs } = way.part;
    const waits = later(way.ready, this.delays.notBefore.get(partId) ?? 0, 'shared');
    return later(later(waits, notBeforeMs ?? 0, 'pin'), backMs ?? 0, 'sent');
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
      const placed = this.placing.items.slice(before.items);
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
    const windows = this.placing.unders(way, coat).map((laid) => windowOf(laid, coat.coat!.sheet));
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
      handsMin: abradeMinutes(coat.coat!.areaM2),
      mostPeople: abradeMinutes(coat.coat!.areaM2) >= SHARED_FROM_MIN ? 2 : 1,
      isSplittable: false,
      makesDust: true,
      needs: null,
      bares: way.tops.length === 0 ? way.bare!.limit : null,
      holds: [],
      coat: null,
    };
  }

  private nudged(way: Way, block: readonly PlanOp[], from: Ready): PlanLack | null {
    let at = later(from, this.delays.earliest.get(block[0]!.opId) ?? 0, 'shared');
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
    if (block.every((op) => this.placing.one(way, op))) return true;
    this.triedMs = this.placing.items[before.items]?.spans[0]?.fromMs ?? from.ms;
    this.putBack(way, before);
    return false;
  }
}
