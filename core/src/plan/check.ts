import { DAY_MS, HOUR_MS, MINUTE_MS, type Span } from '../base/time.ts';
import type { BareLimit } from '../cure/bare.ts';
import { crossing } from '../cure/clock.ts';
import { stackFactor, coatOver } from '../cure/stacked.ts';
import { stageTable } from '../cure/tables.ts';
import { layIntervals, minEdge, windowRule, type Film } from '../cure/windows.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import { air, hands, pins, runs } from './checkShared.ts';
import { things } from './checkThings.ts';
import { endOf, NEAR_MS, say, startOf, type Breach, type Judged } from './checkTypes.ts';
import { bareEnd, gateOf, LEAST_SHARE } from './checkWeather.ts';
import { coatOpIdOf, mendOpId } from './ids.ts';
import type { FilmNow, Plan, PlanItem, PlanOp, PlanPart, PlanProblem, PlanSurface } from './problem.ts';

export { BREACHES, type Breach, type BreachCode } from './checkTypes.ts';

/** Every hard constraint that a plan breaks, with the figure and its limit; empty: it may be shown. Pure. */
export function checkPlan(problem: PlanProblem, plan: Plan): readonly Breach[] {
  const j: Judged = {
    problem,
    plan,
    items: new Map(plan.items.map((i) => [i.opId, i])),
    out: [],
    coats: [],
    works: [],
    bared: [],
  };
  known(j);
  for (const part of problem.parts) chain(j, part);
  hands(j);
  air(j);
  runs(j);
  things(j);
  pins(j);
  return j.out;
}

function known(j: Judged): void {
  const ops = new Set(j.problem.parts.flatMap((p) => p.ops.map((o) => o.opId)));
  for (const i of j.plan.items) {
    if (!ops.has(coatOpIdOf(i.opId))) say(j, 'unknown-work', [i.opId], null, null);
    if (i.spans.length === 0) say(j, 'too-short', [i.opId], 0, null);
  }
  if (j.items.size !== j.plan.items.length) say(j, 'twice', [], j.plan.items.length, j.items.size);
}

/** What stands on a part as its chain is walked. */
interface Standing {
  surface: PlanSurface;
  isOutdoors: boolean;
  placeId: string;
  films: {
    readonly id: string | null;
    film: Film;
    readonly layers: readonly { sheet: ProductSheet; dftUm: number }[];
  }[];
  bare: { sinceMs: number; limit: BareLimit } | null;
  /** Since when it lies bare where it is. */
  hereMs: number;
  /** When the bare metal is out; null: it is not bare, or has no limit. */
  outMs: number | null;
  bath: BareLimit | null;
  doneMs: number;
  doneBy: string | null;
  keyed: Span | null;
}

function chain(j: Judged, part: PlanPart): void {
  const on: Standing = {
    surface: part.surface,
    isOutdoors: part.isOutdoors,
    placeId: part.placeId,
    films: [],
    bare: null,
    hereMs: j.problem.nowMs,
    outMs: null,
    bath: null,
    doneMs: j.problem.nowMs,
    doneBy: null,
    keyed: null,
  };
  on.films = part.films.map((f) => ({
    id: null,
    film: filmOf(on, f),
    layers: [{ sheet: f.sheet, dftUm: f.dftUm }],
  }));
  if (part.bare) laidBare(j, on, part.bare.sinceMs, part.bare.limit);
  let isOver = false;
  for (const { op, mend } of inTurn(j, part)) {
    if (mend) {
      mended(j, on, op, mend);
      continue;
    }
    if (op.handsMin === 0) {
      waited(on, op);
      continue;
    }
    const item = j.items.get(op.opId);
    if (!item) {
      isOver = true;
      continue;
    }
    if (isOver) say(j, 'order', [op.opId], startOf(item), null);
    one(j, part, on, op, item);
  }
}

/** What only takes time: nobody plans it, and what follows comes after. */
function waited(on: Standing, { needs }: PlanOp): void {
  for (const { film } of needs === null ? [] : on.films)
    on.doneMs = Math.max(on.doneMs, stageEnd(film, needs!) ?? Infinity);
}

/** A chain in the order it is worked in: a mending abrasion comes somewhere before its coat, and a part may be carried in early. */
function inTurn(
  j: Judged,
  part: PlanPart,
): readonly { readonly op: PlanOp; readonly mend: PlanItem | null }[] {
  const turns: { readonly op: PlanOp; readonly mend: PlanItem | null }[] = part.ops.map((op) => ({
    op,
    mend: null,
  }));
  const startsAt = (t: { readonly op: PlanOp; readonly mend: PlanItem | null }): number => {
    const item = t.mend ?? j.items.get(t.op.opId);
    return item ? startOf(item) : Infinity;
  };
  const before = (i: number, atMs: number): number =>
    turns.findIndex((t, k) => k >= i || startsAt(t) >= atMs);
  const carry = part.ops.findIndex((o) => o.kind === 'carry');
  const carried = carry < 0 ? undefined : j.items.get(part.ops[carry]!.opId);
  if (carried) turns.splice(before(carry, endOf(carried)), 0, ...turns.splice(carry, 1));
  for (const op of part.ops) {
    const mend = op.coat ? j.items.get(mendOpId(op.opId)) : undefined;
    if (!mend) continue;
    const coat = turns.findIndex((t) => t.op === op && t.mend === null);
    turns.splice(before(coat, endOf(mend)), 0, { op, mend });
  }
  return turns;
}

const filmOf = (on: Standing, f: FilmNow): Film => ({
  sheet: f.sheet,
  t0Ms: f.t0Ms,
  track: on.surface.track,
  slowBy: f.slowBy,
  speedBy: f.speedBy,
  minRecoatTests: f.tests,
  isOutdoors: on.isOutdoors,
});

function stageEnd(film: Film, stage: Stage): number | null {
  if (film.sheet.cureBy === 'bake') return film.t0Ms;
  const table = stageTable(film.sheet, stage);
  const slowBy = stage === 'touch' ? 1 : film.slowBy;
  const { track, t0Ms, speedBy } = film;
  return table && crossing({ table, track, t0Ms, lean: 'cold', slowBy, speedBy, tests: [] }, 1).atMs;
}

function mended(j: Judged, on: Standing, coat: PlanOp, mend: PlanItem): void {
  if (startOf(mend) < on.doneMs - NEAR_MS) say(j, 'order', [mend.opId], startOf(mend), on.doneMs);
  for (const { film } of on.films) {
    const sandMs = stageEnd(film, 'sand');
    if (sandMs === null || startOf(mend) < sandMs - NEAR_MS)
      say(j, 'stage', [mend.opId], startOf(mend), sandMs);
  }
  j.works.push({
    item: mend,
    placeId: on.placeId,
    isDust: true,
    isHot: false,
    usesSolvent: false,
    oils: false,
  });
  if (on.bare) laidBare(j, on, endOf(mend), on.bare.limit);
  else on.keyed = { fromMs: endOf(mend), toMs: endOf(mend) + DAY_MS };
  on.doneMs = endOf(mend);
  on.doneBy = coat.opId;
}

function one(j: Judged, part: PlanPart, on: Standing, op: PlanOp, item: PlanItem): void {
  if (startOf(item) < on.doneMs - NEAR_MS)
    say(j, 'order', [op.opId, ...(on.doneBy === null ? [] : [on.doneBy])], startOf(item), on.doneMs);
  const minutes = item.spans.reduce((m, s) => m + (s.toMs - s.fromMs) / MINUTE_MS, 0);
  if (minutes * Math.max(1, item.people) < op.handsMin - 1e-6)
    say(j, 'too-short', [op.opId], minutes, op.handsMin);
  if (part.notBeforeMs !== null && startOf(item) < part.notBeforeMs)
    say(j, 'pin', [op.opId], startOf(item), part.notBeforeMs);
  if (part.backMs !== null && startOf(item) < part.backMs)
    say(j, 'order', [op.opId], startOf(item), part.backMs);
  if (item.people < op.leastPeople) say(j, 'too-few', [op.opId], item.people, op.leastPeople);
  if (item.spans.length > 1 && !op.isSplittable) say(j, 'split', [op.opId], item.spans.length, 1);
  if (op.needs !== null)
    for (const { film } of on.films) {
      const atMs = stageEnd(film, op.needs);
      if (atMs === null || startOf(item) < atMs - NEAR_MS) say(j, 'stage', [op.opId], startOf(item), atMs);
    }
  if (on.bath) laidBare(j, on, startOf(item), on.bath);
  on.bath = op.bares && op.waitHours > 0 ? op.bares : null;
  if (op.kind === 'carry') carried(j, on, part, op.opId, endOf(item));
  if (on.outMs !== null && !op.bares && endOf(item) > on.outMs + NEAR_MS)
    say(j, 'bare', [op.opId], endOf(item), on.outMs);
  if (op.coat) coated(j, on, op, item);
  else {
    if (op.handsMin > 0)
      j.works.push({
        item,
        placeId: on.placeId,
        isDust: op.makesDust,
        isHot: op.isHot,
        usesSolvent: op.usesSolvent,
        oils: op.oils,
      });
    if (op.bares && !on.bath) laidBare(j, on, endOf(item), op.bares);
    if (on.bath || op.kind === 'preserve') on.bare = on.outMs = null;
  }
  on.doneMs = endOf(item) + op.waitHours * HOUR_MS;
  on.doneBy = op.opId;
}

function laidBare(j: Judged, on: Standing, sinceMs: number, limit: BareLimit): void {
  on.bare = { sinceMs, limit };
  on.hereMs = Math.max(sinceMs, j.problem.nowMs);
  on.outMs = bareEnd(j.problem, on.surface, sinceMs, limit);
}

function carried(j: Judged, on: Standing, part: PlanPart, opId: string, atMs: number): void {
  const { placeId, isOutdoors, surfaceFrom } = part.carry!;
  if (on.bare) j.bared.push({ opId, placeId: on.placeId, fromMs: on.hereMs, toMs: atMs });
  on.hereMs = atMs;
  on.placeId = placeId;
  on.isOutdoors = isOutdoors;
  on.surface = surfaceFrom(atMs);
  on.films = on.films.map((f) => ({ ...f, film: { ...f.film, track: on.surface.track, isOutdoors } }));
  if (!on.bare) return;
  const there = bareEnd(j.problem, on.surface, on.bare.sinceMs, on.bare.limit);
  if (there !== null) on.outMs = Math.min(on.outMs ?? Infinity, there);
}

function coated(j: Judged, on: Standing, op: PlanOp, item: PlanItem): void {
  const coat = op.coat!;
  const under = on.films.filter((f) =>
    coat.on.some((u) =>
      u.kind === 'film' ? f.id === null && f.film.t0Ms === u.film.t0Ms : u.kind === 'op' && f.id === u.opId,
    ),
  );
  for (const { film } of under)
    window(j, on, op, item, film, coat.on.find((u) => u.kind === 'film')?.film.keyedUntilMs ?? null);
  const t0Ms = endOf(item);
  const merges = under.find((f) => {
    const open = minEdge(f.film, { stage: 'minRecoat', p: 1, type: 'min' }).nominalMs;
    return coatOver(f.film.sheet, coat.sheet, open !== null && open <= t0Ms).kind === 'merges';
  });
  const layers = [...(merges?.layers ?? []), { sheet: coat.sheet, dftUm: coat.dftUm }];
  const film: Film = {
    sheet: coat.sheet,
    t0Ms,
    track: on.surface.track,
    slowBy: stackFactor(layers),
    speedBy: coat.speedBy,
    minRecoatTests: [],
    isOutdoors: on.isOutdoors,
  };
  const touchMs = stageEnd(film, 'touch') ?? t0Ms + DAY_MS;
  const gate = gateOf(j.problem, on.surface, coat.sheet, startOf(item), touchMs);
  if (!gate.isOpen) say(j, 'air', [op.opId], gate.share, LEAST_SHARE);
  if (on.bare) j.bared.push({ opId: op.opId, placeId: on.placeId, fromMs: on.hereMs, toMs: startOf(item) });
  j.coats.push({ op, item, placeId: on.placeId, touchMs, handleMs: stageEnd(film, 'handle') ?? touchMs });
  on.films = [...on.films.filter((f) => !under.includes(f)), { id: op.opId, film, layers }];
  on.bare = on.outMs = null;
  on.keyed = null;
}

function window(
  j: Judged,
  on: Standing,
  op: PlanOp,
  item: PlanItem,
  film: Film,
  keyedUntilMs: number | null,
): void {
  const rule = windowRule(film.sheet, op.coat!.sheet);
  const laid = rule.kind === 'intervals' ? layIntervals(film, rule.intervals) : [];
  const spans = on.keyed
    ? [on.keyed]
    : laid.flatMap((i): Span[] =>
        i.from.worstMs === null || i.from.isUnknown || i.prep === 'forbidden' || i.prep === 'abrade'
          ? []
          : [
              {
                fromMs: i.from.worstMs,
                toMs: i.to === null ? Infinity : i.to.isUnknown ? i.from.worstMs : (i.to.worstMs ?? Infinity),
              },
            ],
      );
  if (keyedUntilMs !== null && film.t0Ms < j.problem.nowMs)
    spans.push({ fromMs: film.t0Ms, toMs: keyedUntilMs });
  const [startMs, endMs] = [startOf(item), endOf(item)];
  if (spans.some((s) => startMs >= s.fromMs - NEAR_MS && endMs <= s.toMs + NEAR_MS)) return;
  const next = spans.find((s) => s.fromMs > startMs);
  const last = spans.findLast((s) => s.fromMs <= startMs);
  if (next) say(j, 'opens', [op.opId], startMs, next.fromMs);
  else say(j, 'shut', [op.opId], endMs, last?.toMs ?? null);
}
