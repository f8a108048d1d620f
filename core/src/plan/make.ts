import { seededRandom, type Random } from '../base/random.ts';
import { MINUTE_MS, type Span } from '../base/time.ts';
import { checkPlan, type Breach } from './check.ts';
import { costOf, type PlanCost } from './cost.ts';
import { Decoder } from './decode.ts';
import { coatOpIdOf } from './ids.ts';
import type { Plan, PlanPart, PlanProblem } from './problem.ts';
import { readPlan, type PlanReading } from './reading.ts';
import { PlanWeather } from './weather.ts';

/** A plan with what it comes to. */
export interface MadePlan {
  readonly plan: Plan;
  readonly reading: PlanReading;
  readonly cost: PlanCost;
}
/** How the search stands: so many plans were tried; `best` is new when it is there. */
export interface MakingStep {
  readonly tried: number;
  readonly last: MadePlan;
  readonly best: MadePlan;
  readonly isBetter: boolean;
}

/** What is varied: the order in which parts are given their places, from which session on one begins, and for which one of its coats waits. */
interface Genes {
  readonly order: readonly PlanPart[];
  readonly notBefore: ReadonlyMap<string, number>;
  readonly waits: ReadonlyMap<string, number>;
}

/** Shares of the moves, tried on a prototype (docs/plan.md 13). */
const LATER_SHARE = 0.3;
const MOST_TAKEN_OUT = 0.5;
const START_TEMPERATURE = 0.02;
const COOLING = 0.997;
const SHUFFLES = 6;
/** After so many tries without a better one the search is warmed up again, so far. */
const STALE = 150;
const REHEATED = 0.1;
const WAIT_SHARE = 0.5;
/** Into its session a gun-load is begun so late at times, minutes: other work comes before it. */
const LATER_MIN = [0, 0, 0, 30, 60, 90];
const UNWAIT_SHARE = 0.2;
/** Gun-loads so many sessions apart may become one. */
const GATHERED_SESSIONS = 3;

/**
 * Makes plans, each at least as good as the one before: take what is best whenever it must do. The same problem and seed give the
 * same sequence. It never ends by itself; whoever drives it stops when time is up. `from`: parts in the order to begin with. `before`: a
 * plan that was made of less; where it still holds none that is dearer comes after it.
 */
export function* makePlans(
  problem: PlanProblem,
  from: readonly string[] = [],
  before: Plan | null = null,
): Generator<MakingStep, never> {
  const weather = new PlanWeather(problem);
  const random = seededRandom(problem.ask.seed);
  const decoder = new Decoder(problem, weather);
  const make = ({ order, notBefore, waits }: Genes): MadePlan => {
    const plan = decoder.again(order, notBefore, waits);
    const reading = readPlan(problem, weather, plan);
    return { plan, reading, cost: costOf(problem, plan, reading) };
  };
  const old = before && stillHolds(problem, before);
  let at: Genes = { order: firstOrder(problem, from), notBefore: new Map(), waits: new Map() };
  let here = make(at);
  let best = old && old.cost.total < here.cost.total ? old : here;
  // The best that these genes made: a plan from before has none to go on from.
  let own = { at, made: here };
  let tried = 1;
  let betterAt = 1;
  let temperature = START_TEMPERATURE;
  yield { tried, last: here, best, isBetter: true };
  for (;;) {
    const genes = tried <= SHUFFLES ? shuffled(at, random) : varied(problem, at, here, random);
    const next = make(genes);
    tried++;
    const isBetter = next.cost.total < best.cost.total;
    if (isBetter) best = next;
    const worseBy = (next.cost.total - here.cost.total) / Math.max(1, here.cost.total);
    if (worseBy <= 0 || (tried > SHUFFLES && random() < Math.exp(-worseBy / temperature))) {
      at = genes;
      here = next;
    }
    temperature = Math.max(1e-4, temperature * COOLING);
    // Stuck: from the best once more, and warmer, so that it may go over what lies about it.
    if (next.cost.total < own.made.cost.total) {
      own = { at: genes, made: next };
      betterAt = tried;
    } else if (tried - betterAt > STALE) {
      [at, here, betterAt, temperature] = [own.at, own.made, tried, REHEATED];
    }
    yield { tried, last: next, best, isBetter };
  }
}

/** All placed anew in an order, each coat no sooner than its gun-load of a plan before: loads that were gathered are again. */
export function placedLike(problem: PlanProblem, from: readonly string[], before: Plan): MadePlan {
  const weather = new PlanWeather(problem);
  const waits = new Map(before.runs.flatMap((r) => r.opIds.map((id) => [id, r.fromMs] as const)));
  for (const pin of problem.ask.pins) waits.delete(pin.opId);
  const decoder = new Decoder(problem, weather, new Map(), waits);
  const plan = decoder.plan(firstOrder(problem, from));
  const reading = readPlan(problem, weather, plan);
  return { plan, reading, cost: costOf(problem, plan, reading) };
}

/** A plan made before against a changed problem; null: it breaks something, or says nothing of a part. */
function stillHolds(problem: PlanProblem, before: Plan): MadePlan | null {
  const sessions = problem.sessions.map(({ fromMs, toMs }) => ({ fromMs, toMs }));
  const made = plannedBefore(problem, { ...before, sessions });
  const isTold = ({ partId }: PlanPart): boolean =>
    made.reading.finishedMs.has(partId) || made.plan.left.some((l) => l.partId === partId);
  return problem.parts.every(isTold) && checkPlan(problem, made.plan).length === 0 ? made : null;
}

/** A plan with some parts placed anew around all others, which stay where they are. */
export function replaced(problem: PlanProblem, before: MadePlan, partIds: ReadonlySet<string>): MadePlan {
  const weather = new PlanWeather(problem);
  const decoder = new Decoder(problem, weather);
  const stay = problem.parts.filter((p) => !partIds.has(p.partId));
  decoder.keep(before.plan, before.reading, stay);
  const plan = decoder.plan(problem.parts.filter((p) => partIds.has(p.partId)));
  const reading = readPlan(problem, weather, plan);
  return { plan, reading, cost: costOf(problem, plan, reading) };
}

/** Breaches that a plan can be mended of by placing their parts anew. */
const partsOf = (breaches: readonly Breach[]): Set<string> =>
  new Set(breaches.flatMap((b) => b.opIds.map((id) => id.split('/')[0]!)));

/**
 * A plan made before, mended where the shop has gone on: parts whose work does not hold any more, or is late, are placed anew around the
 * others; where that is not enough, all are. `moved`: their names, none where it held.
 */
export function repaired(
  problem: PlanProblem,
  plan: Plan,
): { readonly made: MadePlan; readonly moved: readonly string[] } {
  let made = plannedBefore(problem, plan);
  const moved = new Set<string>();
  const late = made.plan.items
    .filter((i) => i.spans[0]!.fromMs < problem.nowMs)
    .map((i) => i.opId.split('/')[0]!);
  let parts = new Set([...partsOf(checkPlan(problem, made.plan)), ...late]);
  for (let round = 0; parts.size > 0 && round < REPAIRS; round++) {
    for (const id of parts) moved.add(id);
    made = replaced(problem, made, moved);
    parts = partsOf(checkPlan(problem, made.plan));
  }
  if (parts.size > 0) {
    for (const p of problem.parts) moved.add(p.partId);
    made = makePlans(problem).next().value.best;
  }
  return { made, moved: problem.parts.filter((p) => moved.has(p.partId)).map((p) => p.name) };
}
const REPAIRS = 4;

/** A plan made before, as it stands against the shop now: what is done of it is left out. */
export function plannedBefore(problem: PlanProblem, plan: Plan): MadePlan {
  const weather = new PlanWeather(problem);
  const ops = new Set(problem.parts.flatMap((p) => p.ops.map((o) => o.opId)));
  const isOpen = (opId: string): boolean => ops.has(coatOpIdOf(opId));
  const open: Plan = {
    ...plan,
    items: plan.items.filter((i) => isOpen(i.opId)),
    runs: plan.runs.flatMap((r) => {
      const opIds = r.opIds.filter(isOpen);
      return opIds.length === 0 ? [] : [{ ...r, opIds }];
    }),
  };
  const reading = readPlan(problem, weather, open);
  return { plan: open, reading, cost: costOf(problem, open, reading) };
}

/** What is due first, then what has most hands in it; parts named are put first, in their order. */
function firstOrder({ parts, machines }: PlanProblem, from: readonly string[]): PlanPart[] {
  const dueMs = (p: PlanPart): number =>
    Math.min(machines.find((m) => m.machineId === p.machineId)?.dueMs ?? Infinity, p.dueMs ?? Infinity);
  const hands = (p: PlanPart): number => p.ops.reduce((sum, o) => sum + o.handsMin, 0);
  const place = (p: PlanPart): number => {
    const i = from.indexOf(p.partId);
    return i < 0 ? from.length : i;
  };
  const byDue = (a: PlanPart, b: PlanPart): number =>
    dueMs(a) === dueMs(b) ? 0 : dueMs(a) < dueMs(b) ? -1 : 1;
  return [...parts].sort(
    (a, b) => place(a) - place(b) || byDue(a, b) || hands(b) - hands(a) || (a.partId < b.partId ? -1 : 1),
  );
}

/** Coats wait for one another, or work is placed in another order. */
const varied = (problem: PlanProblem, at: Genes, here: MadePlan, random: Random): Genes =>
  (random() < WAIT_SHARE ? gathered(at, here, random) : null) ?? moved(problem, at, here, random);

/**
 * A gun-load, or all of the same paint a few sessions about it, is gathered in one session: its coats wait until then, while all other work of
 * their parts stays as early as it goes. A shared gun-load pays for waiting. Or what waits does not any more. Null: there is none.
 */
function gathered(at: Genes, here: MadePlan, random: Random): Genes | null {
  const { runs, sessions } = here.plan;
  const waits = new Map(at.waits);
  const run = pick(runs, random);
  if (!run) return null;
  if (random() < UNWAIT_SHARE) {
    for (const opId of run.opIds) waits.delete(opId);
    return { ...at, waits };
  }
  const nth = (r: Span): number => sessions.findIndex((s) => s.fromMs <= r.fromMs && r.fromMs < s.toMs);
  const about = runs.filter((r) => isAlike(r, run) && Math.abs(nth(r) - nth(run)) <= GATHERED_SESSIONS);
  const some = random() < 0.5 ? about : [run];
  const to = sessions[nth(pick(about, random)!) + pick([-1, 0, 0, 1], random)!];
  if (!to) return null;
  const atMs = to.fromMs + pick(LATER_MIN, random)! * MINUTE_MS;
  for (const opId of some.flatMap((r) => r.opIds)) waits.set(opId, atMs);
  return { ...at, waits };
}
const isAlike = (a: Plan['runs'][number], b: Plan['runs'][number]): boolean =>
  a.sheetId === b.sheetId && a.colour === b.colour && a.tool === b.tool && a.placeId === b.placeId;

function shuffled({ order, ...rest }: Genes, random: Random): Genes {
  const out = [...order];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return { ...rest, order: out };
}

/** Takes some parts out and puts them back elsewhere in the order, some to begin later: a shared run pays for waiting. */
function moved(problem: PlanProblem, at: Genes, here: MadePlan, random: Random): Genes {
  const { order } = at;
  const size = 1 + Math.floor(random() ** 3 * MOST_TAKEN_OUT * order.length);
  const out = new Set(chosen(here, order, size, random));
  const rest = order.filter((p) => !out.has(p));
  for (const part of out) rest.splice(Math.floor(random() * (rest.length + 1)), 0, part);
  const notBefore = new Map(at.notBefore);
  for (const part of out) {
    notBefore.delete(part.partId);
    if (random() >= LATER_SHARE) continue;
    const n = Math.floor(random() ** 2 * problem.sessions.length);
    const session = problem.sessions[n];
    if (session) notBefore.set(part.partId, session.fromMs);
  }
  return { order: rest, notBefore, waits: at.waits };
}

/** Parts to take out: any, those of one run, or those with trouble first. */
function chosen(here: MadePlan, order: readonly PlanPart[], size: number, random: Random): PlanPart[] {
  const kind = random();
  if (kind < 0.3) {
    const run = pick(here.plan.runs, random);
    const ids = new Set(run?.opIds.map((id) => id.split('/')[0]!));
    const ofRun = order.filter((p) => ids.has(p.partId));
    if (ofRun.length > 0) return ofRun;
  }
  if (kind < 0.6) {
    const inTrouble = new Set([
      ...here.plan.left.map((l) => l.partId),
      ...[...here.reading.coats].flatMap(([id, c]) => (c.isMended ? [id.split('/')[0]!] : [])),
    ]);
    const list = order.filter((p) => inTrouble.has(p.partId));
    if (list.length > 0) return Array.from({ length: Math.min(size, 3) }, () => pick(list, random)!);
  }
  return Array.from({ length: size }, () => pick(order, random)!);
}

const pick = <T>(list: readonly T[], random: Random): T | undefined =>
  list[Math.floor(random() * list.length)];
