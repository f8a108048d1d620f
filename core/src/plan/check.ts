import { DAY_MS, HOUR_MS, MINUTE_MS, type Span } from '../base/time.ts';
import type { BareLimit } from '../cure/bare.ts';
import { crossing } from '../cure/clock.ts';
import { mixClock } from '../cure/potLife.ts';
import { stackFactor, coatOver } from '../cure/stacked.ts';
import { stageTable } from '../cure/tables.ts';
import { layIntervals, minEdge, windowRule, type Film } from '../cure/windows.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import { RUN_MIN, MIX_MIN } from '../work/minutes.ts';
import { bareEnd, gateOf, LEAST_SHARE } from './checkWeather.ts';
import { coatOpIdOf, mendOpId } from './ids.ts';
import type { FilmNow, Plan, PlanItem, PlanOp, PlanPart, PlanProblem, PlanSurface } from './problem.ts';

/**
 * Judges any plan by itself: it knows nothing of how plans are made, and asks the clocks, the air and the sheets directly. A plan that
 * is shown, dragged or brought in passes here first.
 */
export const BREACHES = [
  'unknown-work',
  'twice',
  'order',
  'too-short',
  'split',
  'session',
  'people',
  'painters',
  'stage',
  'opens',
  'shut',
  'air',
  'bare',
  'dust',
  'isocyanate',
  'room',
  'run',
  'pot-life',
  'pin',
] as const;
export type BreachCode = (typeof BREACHES)[number];
/** One thing that a plan does against a hard constraint: how it is, and how it would have to be, as instants or amounts. */
export interface Breach {
  readonly code: BreachCode;
  readonly opIds: readonly string[];
  readonly figure: number | null;
  readonly limit: number | null;
}

/** Edges are compared to the second: they are written to it. */
const NEAR_MS = 1000;
const SETTLES_MS = 30 * MINUTE_MS;
const KEY_MS = DAY_MS;

const startOf = (i: PlanItem): number => i.spans[0]!.fromMs;
const endOf = (i: PlanItem): number => i.spans[i.spans.length - 1]!.toMs;
const overlap = (a: Span, b: Span): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

/** A coat as laid by the plan. */
interface Coated {
  readonly op: PlanOp;
  readonly item: PlanItem;
  readonly placeId: string;
  readonly touchMs: number;
  readonly handleMs: number;
}
interface Worked {
  readonly item: PlanItem;
  readonly placeId: string;
  readonly isDust: boolean;
}
interface Judged {
  readonly problem: PlanProblem;
  readonly plan: Plan;
  readonly items: ReadonlyMap<string, PlanItem>;
  readonly out: Breach[];
  readonly coats: Coated[];
  readonly works: Worked[];
}

/** Every hard constraint that a plan breaks, with the figure and its limit; empty: it may be shown. Pure. */
export function checkPlan(problem: PlanProblem, plan: Plan): readonly Breach[] {
  const j: Judged = {
    problem,
    plan,
    items: new Map(plan.items.map((i) => [i.opId, i])),
    out: [],
    coats: [],
    works: [],
  };
  known(j);
  for (const part of problem.parts) chain(j, part);
  hands(j);
  air(j);
  runs(j);
  pins(j);
  return j.out;
}

function say(
  j: Judged,
  code: BreachCode,
  opIds: readonly string[],
  figure: number | null,
  limit: number | null,
) {
  j.out.push({ code, opIds, figure, limit });
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
  j.works.push({ item: mend, placeId: on.placeId, isDust: true });
  if (on.bare) laidBare(j, on, endOf(mend), on.bare.limit);
  else on.keyed = { fromMs: endOf(mend), toMs: endOf(mend) + KEY_MS };
  on.doneMs = endOf(mend);
  on.doneBy = coat.opId;
}

function one(j: Judged, part: PlanPart, on: Standing, op: PlanOp, item: PlanItem): void {
  if (startOf(item) < on.doneMs - NEAR_MS)
    say(j, 'order', [op.opId, ...(on.doneBy === null ? [] : [on.doneBy])], startOf(item), on.doneMs);
  const minutes = item.spans.reduce((m, s) => m + (s.toMs - s.fromMs) / MINUTE_MS, 0);
  if (minutes * Math.max(1, item.people) < op.handsMin - 1e-6)
    say(j, 'too-short', [op.opId], minutes, op.handsMin);
  if (item.spans.length > 1 && !op.isSplittable) say(j, 'split', [op.opId], item.spans.length, 1);
  if (op.needs !== null)
    for (const { film } of on.films) {
      const atMs = stageEnd(film, op.needs);
      if (atMs === null || startOf(item) < atMs - NEAR_MS) say(j, 'stage', [op.opId], startOf(item), atMs);
    }
  if (on.bath) laidBare(j, on, startOf(item), on.bath);
  on.bath = op.bares && op.waitHours > 0 ? op.bares : null;
  if (op.kind === 'carry') carried(j, on, part, endOf(item));
  if (on.outMs !== null && !op.bares && endOf(item) > on.outMs + NEAR_MS)
    say(j, 'bare', [op.opId], endOf(item), on.outMs);
  if (op.coat) coated(j, on, op, item);
  else {
    if (op.handsMin > 0) j.works.push({ item, placeId: on.placeId, isDust: op.makesDust });
    if (op.bares && !on.bath) laidBare(j, on, endOf(item), op.bares);
    if (on.bath || op.kind === 'preserve') on.bare = on.outMs = null;
  }
  on.doneMs = endOf(item) + op.waitHours * HOUR_MS;
  on.doneBy = op.opId;
}

function laidBare(j: Judged, on: Standing, sinceMs: number, limit: BareLimit): void {
  on.bare = { sinceMs, limit };
  on.outMs = bareEnd(j.problem, on.surface, sinceMs, limit);
}

function carried(j: Judged, on: Standing, part: PlanPart, atMs: number): void {
  const { placeId, isOutdoors, surfaceFrom } = part.carry!;
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

/** Sessions, and at every moment of them no more hands than there are. */
function hands(j: Judged): void {
  const { sessions, ask } = j.problem;
  const taken: (Span & {
    readonly people: number;
    readonly isPainting: boolean;
    readonly opIds: readonly string[];
  })[] = [
    ...j.works.flatMap(({ item }) =>
      item.spans.map((s) => ({ ...s, people: item.people, isPainting: false, opIds: [item.opId] })),
    ),
    ...j.plan.runs.map((r) => ({
      fromMs: r.fromMs,
      toMs: r.toMs,
      people: 1,
      isPainting: true,
      opIds: r.opIds,
    })),
  ];
  for (const t of taken) {
    const session = sessions.find((s) => s.fromMs <= t.fromMs && t.toMs <= s.toMs);
    if (!session) {
      say(j, 'session', t.opIds, t.fromMs, null);
      continue;
    }
    const now = taken.filter((o) => o.fromMs <= t.fromMs && t.fromMs < o.toMs);
    const people = now.reduce((n, o) => n + o.people, 0);
    const painters = now.filter((o) => o.isPainting).length;
    if (people > session.people)
      say(
        j,
        'people',
        now.flatMap((o) => o.opIds),
        people,
        session.people,
      );
    if (painters > ask.painters)
      say(
        j,
        'painters',
        now.flatMap((o) => o.opIds),
        painters,
        ask.painters,
      );
  }
}

const sprays = ({ op }: Coated): boolean =>
  op.coat!.sheet.cautions.includes('isocyanate') && (op.coat!.tool === 'gun' || op.coat!.tool === 'aerosol');

/** What shares a place's air. */
function air(j: Judged): void {
  for (const c of j.coats) {
    const wet = { fromMs: startOf(c.item), toMs: c.touchMs };
    const poison = { fromMs: startOf(c.item), toMs: endOf(c.item) + SETTLES_MS };
    for (const w of j.works) {
      if (w.placeId !== c.placeId) continue;
      for (const s of w.item.spans) {
        const dusty = { ...s, toMs: s.toMs + SETTLES_MS };
        if (w.isDust && (overlap(s, wet) || (dusty.toMs > wet.fromMs && dusty.fromMs <= wet.fromMs)))
          say(j, 'dust', [c.op.opId, w.item.opId], wet.fromMs, dusty.toMs);
        if (sprays(c) && overlap(s, poison))
          say(j, 'isocyanate', [w.item.opId, c.op.opId], s.fromMs, poison.toMs);
      }
    }
    if (sprays(c))
      for (const o of j.coats)
        if (
          o !== c &&
          o.placeId === c.placeId &&
          !sprays(o) &&
          overlap({ fromMs: startOf(o.item), toMs: endOf(o.item) }, poison)
        )
          say(j, 'isocyanate', [o.op.opId, c.op.opId], startOf(o.item), poison.toMs);
    room(j, c);
  }
}

function room(j: Judged, c: Coated): void {
  const { roomM2 } = j.problem.ask;
  if (roomM2 === null) return;
  const area = (o: Coated): number => o.op.coat!.areaM2 ?? 0.5;
  const atMs = startOf(c.item);
  const now = j.coats.filter((o) => startOf(o.item) <= atMs && atMs < o.handleMs);
  // The coat before on the same part hangs on the same hook.
  const sum = now
    .filter(
      (o) => !now.some((x) => x !== o && x.op.partId === o.op.partId && startOf(x.item) > startOf(o.item)),
    )
    .reduce((m, o) => m + area(o), 0);
  if (now.length > 1 && sum > roomM2 + 1e-6) say(j, 'room', [c.op.opId], sum, roomM2);
}

function runs(j: Judged): void {
  const byOp = new Map(j.coats.map((c) => [c.op.opId, c]));
  const inRuns = new Set(j.plan.runs.flatMap((r) => r.opIds));
  for (const c of j.coats) if (!inRuns.has(c.op.opId)) say(j, 'run', [c.op.opId], null, null);
  for (const r of j.plan.runs) {
    const coats = r.opIds
      .flatMap((id) => byOp.get(id) ?? [])
      .sort((a, b) => startOf(a.item) - startOf(b.item));
    const first = coats[0];
    if (!first || coats.length !== r.opIds.length) {
      say(j, 'run', r.opIds, coats.length, r.opIds.length);
      continue;
    }
    const { setUp, cleanUp } = RUN_MIN[r.tool];
    coats.forEach((c, i) => {
      const coat = c.op.coat!;
      const isSame =
        coat.sheet.sheetId === r.sheetId &&
        coat.colour === r.colour &&
        coat.tool === r.tool &&
        c.placeId === r.placeId;
      const isAfter = i === 0 || startOf(c.item) >= endOf(coats[i - 1]!.item);
      if (!isSame || !isAfter || c.item.runId !== r.runId) say(j, 'run', [c.op.opId], startOf(c.item), null);
    });
    const last = coats[coats.length - 1]!;
    const setUpEnd = r.fromMs + (setUp + MIX_MIN) * MINUTE_MS;
    if (startOf(first.item) < setUpEnd - NEAR_MS)
      say(j, 'run', [first.op.opId], startOf(first.item), setUpEnd);
    if (endOf(last.item) + cleanUp * MINUTE_MS > r.toMs + NEAR_MS)
      say(j, 'run', [last.op.opId], r.toMs, endOf(last.item));
    potLife(j, r.mixes, coats);
  }
}

/** One mix lasts from its mixing to the last wet pass; more than one are made as they are needed. */
function potLife(j: Judged, mixes: number, coats: readonly Coated[]): void {
  const first = coats[0]!;
  const last = coats[coats.length - 1]!;
  const track = j.problem.parts.find((p) => p.partId === first.op.partId)!;
  const surface =
    track.carry && first.placeId === track.carry.placeId
      ? track.carry.surfaceFrom(startOf(first.item))
      : track.surface;
  const { gone, usable } = mixClock(
    first.op.coat!.sheet,
    startOf(first.item) - MIX_MIN * MINUTE_MS,
    surface.track,
  );
  if (gone === null) return;
  const standsMs = (usable.worstMs ?? startOf(first.item)) - (startOf(first.item) - MIX_MIN * MINUTE_MS);
  const livesMs = (gone.worstMs ?? 0) - (startOf(first.item) - MIX_MIN * MINUTE_MS) - standsMs;
  const neededMs = endOf(last.item) - startOf(first.item);
  // A long coat alone takes a second mix in the middle of it.
  if (mixes === 1 && coats.length > 1 && neededMs > livesMs + 5 * MINUTE_MS)
    say(
      j,
      'pot-life',
      coats.map((c) => c.op.opId),
      neededMs / MINUTE_MS,
      livesMs / MINUTE_MS,
    );
}

function pins(j: Judged): void {
  for (const pin of j.problem.ask.pins) {
    const item = j.items.get(pin.opId);
    const session = j.problem.sessions.find((s) => s.fromMs === pin.sessionMs);
    // A part that is left out is said to be, with its pin.
    if (!item && j.plan.left.some((l) => pin.opId.startsWith(`${l.partId}/`))) continue;
    if (!item || !session || startOf(item) < session.fromMs || startOf(item) >= session.toMs)
      say(j, 'pin', [pin.opId], item ? startOf(item) : null, pin.sessionMs);
  }
}
