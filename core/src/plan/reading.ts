import type { BareLimit } from '../cure/bare.ts';
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
  type Stand,
} from './films.ts';
import { mendOpId } from './ids.ts';
import type { Plan, PlanItem, PlanOp, PlanPart, PlanProblem } from './problem.ts';
import type { AirVerdict, PlanWeather } from './weather.ts';

/** What a plan comes to for one coat. */
export interface CoatReading {
  readonly startMs: number;
  readonly endMs: number;
  /** The span of its window it lies in; null: on bare metal. `shutsMs` null: it does not shut. */
  readonly opensMs: number | null;
  readonly shutsMs: number | null;
  /** From its end to the edge it must be done by; null: none. */
  readonly slackMs: number | null;
  readonly isMended: boolean;
  readonly touchMs: number;
  readonly handleMs: number | null;
  readonly air: AirVerdict;
}

export interface PlanReading {
  readonly coats: ReadonlyMap<string, CoatReading>;
  /** When each part whose work is all planned is done: its last work, and until its last coat may be handled. */
  readonly finishedMs: ReadonlyMap<string, number>;
  readonly itemOf: ReadonlyMap<string, PlanItem>;
}

const endOf = (item: PlanItem): number => item.spans[item.spans.length - 1]!.toMs;

/** Reads out of a plan what its coats and parts come to. Pure; the same clocks as the maker's, from the starts alone. */
export function readPlan(problem: PlanProblem, weather: PlanWeather, plan: Plan): PlanReading {
  const itemOf = new Map(plan.items.map((i) => [i.opId, i]));
  const coats = new Map<string, CoatReading>();
  const finishedMs = new Map<string, number>();
  for (const part of problem.parts) {
    const doneMs = readPart(weather, part, itemOf, coats);
    if (doneMs !== null) finishedMs.set(part.partId, doneMs);
  }
  return { coats, finishedMs, itemOf };
}

interface Walk {
  stand: Stand;
  films: Map<string, LaidFilm>;
  bare: PlanPart['bare'];
  inBath: BareLimit | null;
  bareEndMs: number | null;
}

function readPart(
  weather: PlanWeather,
  part: PlanPart,
  itemOf: ReadonlyMap<string, PlanItem>,
  coats: Map<string, CoatReading>,
): number | null {
  const stand = { surface: part.surface, isOutdoors: part.isOutdoors };
  const bareEndMs = part.bare && weather.bareEndMs(part.surface, part.bare.sinceMs, part.bare.limit);
  const films = new Map(part.films.map((f, i) => [`on ${i}`, filmNow(stand, f)]));
  const walk: Walk = { stand, films, bare: part.bare, inBath: null, bareEndMs };
  let doneMs = 0;
  for (const op of part.ops) {
    if (op.handsMin === 0) {
      const atMs = curedMs(op, walk);
      if (atMs === null) return null;
      doneMs = Math.max(doneMs, atMs);
      continue;
    }
    const item = itemOf.get(op.opId);
    if (!item) return null;
    doneMs = Math.max(doneMs, endOf(item) + op.waitHours * 3_600_000);
    laidBare(weather, walk, op, item);
    if (op.kind === 'carry') {
      walk.stand = { surface: part.carry!.surfaceFrom(endOf(item)), isOutdoors: part.carry!.isOutdoors };
      for (const [id, laid] of walk.films) walk.films.set(id, carried(laid, walk.stand));
      walk.bareEndMs = soonest(walk.bareEndMs, bareEnd(weather, walk));
    }
    if (!op.coat) continue;
    const reading = readCoat(weather, op, item, itemOf.get(mendOpId(op.opId)), walk);
    coats.set(op.opId, reading);
    doneMs = Math.max(doneMs, reading.handleMs ?? reading.touchMs);
  }
  return doneMs;
}

/** When what only takes time is over; null: not within the plan. */
function curedMs({ needs }: PlanOp, { films }: Walk): number | null {
  let atMs = 0;
  for (const laid of needs === null ? [] : films.values()) {
    const edgeMs = stageMs(laid, needs!);
    if (edgeMs === null) return null;
    atMs = Math.max(atMs, edgeMs);
  }
  return atMs;
}

const bareEnd = (weather: PlanWeather, { bare, stand }: Walk): number | null =>
  bare && weather.bareEndMs(stand.surface, bare.sinceMs, bare.limit);

/** Metal that an act lays bare, or that is pulled out of its bath. */
function laidBare(weather: PlanWeather, walk: Walk, op: PlanOp, item: PlanItem): void {
  const isPulled = walk.inBath !== null;
  if (walk.inBath) walk.bare = { sinceMs: item.spans[0]!.fromMs, limit: walk.inBath };
  walk.inBath = op.bares && op.waitHours > 0 ? op.bares : null;
  if (op.bares) walk.bare = walk.inBath ? null : { sinceMs: endOf(item), limit: op.bares };
  if (op.bares || isPulled) walk.bareEndMs = bareEnd(weather, walk);
}

function readCoat(
  weather: PlanWeather,
  op: PlanOp,
  item: PlanItem,
  mend: PlanItem | undefined,
  walk: Walk,
): CoatReading {
  const { stand } = walk;
  const coat = op.coat!;
  const startMs = item.spans[0]!.fromMs;
  const endMs = endOf(item);
  const below = coat.on.flatMap((u) =>
    u.kind === 'film'
      ? [filmNow(stand, u.film)]
      : u.kind === 'op' && walk.films.has(u.opId)
        ? [walk.films.get(u.opId)!]
        : [],
  );
  const spans = below.flatMap((b) => {
    const open = windowOf(b, coat.sheet).open;
    return open.find((s) => s.fromMs <= startMs && endMs <= s.toMs) ?? [];
  });
  const isBare = coat.on.some((u) => u.kind === 'bare');
  const shuts = [
    ...(mend && !isBare ? [keyEndMs(endOf(mend))] : spans.map((s) => s.toMs)),
    ...(isBare && !mend && walk.bareEndMs !== null ? [walk.bareEndMs] : []),
  ].filter(Number.isFinite);
  const shutsMs = shuts.length === 0 ? null : Math.min(...shuts);
  const laid = laidFilm(stand, coat, endMs, below);
  walk.films.set(op.opId, laid);
  walk.bare = walk.bareEndMs = null;
  const touchMs = touchEndMs(laid);
  return {
    startMs,
    endMs,
    opensMs: mend ? endOf(mend) : spans.length === 0 ? null : Math.max(...spans.map((s) => s.fromMs)),
    shutsMs,
    slackMs: shutsMs === null ? null : shutsMs - endMs,
    isMended: mend !== undefined,
    touchMs,
    handleMs: stageMs(laid, 'handle'),
    air: weather.verdict(stand.surface, coat.sheet, startMs, touchMs),
  };
}
