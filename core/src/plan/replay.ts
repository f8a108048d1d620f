import { quantile } from '../base/quantile.ts';
import { normal, seededRandom, type Random } from '../base/random.ts';
import { MINUTE_MS } from '../base/time.ts';
import { isoDay, localDay } from '../base/zone.ts';
import { USUAL_ABSENT } from '../people/absence.ts';
import type { ProductSheet } from '../products/sheet.ts';
import { Decoder } from './decode.ts';
import { coatOpIdOf, isMend, mendOpId } from './ids.ts';
import type { Plan, PlanOp, PlanPart, PlanProblem, PlanSession, PlanSurface } from './problem.ts';
import { readPlan } from './reading.ts';
import { PlanWeather, type AirVerdict } from './weather.ts';

/** How much longer or shorter work takes than reckoned: 35 % as coefficient of variation, lognormal with its median at 1 (docs/plan.md 17). */
export const HANDS_SIGMA = 0.33994;
/** Half of the variance is the people's own, that evening's and every other's; the rest is each job's. */
const SHARED = Math.SQRT1_2;
/** Factor on reckoned hands, by what is shared and what is the job's own, both standard normal. */
export const handsFactor = (shared: number, own: number): number =>
  Math.exp(HANDS_SIGMA * SHARED * (shared + own));

/** One way it may go: when each part is done, and which coats found their window shut. */
export interface Replay {
  readonly finishedMs: ReadonlyMap<string, number>;
  readonly shut: readonly string[];
}

/** Air as it falls out: each day past the forecast is fit or not, for all its parts alike, as often as its odds say. */
class FallenWeather extends PlanWeather {
  private readonly dayOf: (atMs: number) => string;
  private readonly forecastMs: number;
  private readonly seed: number;
  private readonly draws = new Map<string, number>();

  constructor(problem: PlanProblem, seed: number) {
    super(problem);
    this.dayOf = (atMs) => isoDay(localDay(problem.zone, atMs));
    this.forecastMs = problem.forecastEndMs;
    this.seed = seed;
  }

  override verdict(surface: PlanSurface, sheet: ProductSheet, fromMs: number, toMs: number): AirVerdict {
    const said = super.verdict(surface, sheet, fromMs, toMs);
    if (said.odds === null || fromMs < this.forecastMs) return said;
    return { status: this.draw(fromMs) < said.odds ? 'pass' : 'fail', odds: said.odds };
  }

  /** One number a day, whoever asks and in whatever order. */
  private draw(atMs: number): number {
    const day = this.dayOf(atMs);
    let u = this.draws.get(day);
    if (u === undefined) {
      let hash = this.seed;
      for (const c of day) hash = Math.imul(hash ^ c.charCodeAt(0), 16_777_619);
      this.draws.set(day, (u = seededRandom(hash)()));
    }
    return u;
  }
}

/** Who comes after all; a session to which nobody does is none. */
function attended(sessions: readonly PlanSession[], random: Random): PlanSession[] {
  return sessions.flatMap((s) => {
    const who = s.who.filter((h) => random() >= (h.absent ?? USUAL_ABSENT));
    return who.length === 0 ? [] : [{ ...s, people: who.length, who }];
  });
}

function slowed(part: PlanPart, shared: number, random: Random): PlanPart {
  return {
    ...part,
    ops: part.ops.map((o) =>
      o.handsMin === 0 ? o : { ...o, handsMin: o.handsMin * handsFactor(shared, normal(random)) },
    ),
  };
}

/** Work is begun no sooner than in the session that it is planned for. */
function earliestOf(plan: Plan): ReadonlyMap<string, number> {
  const out = new Map<string, number>();
  for (const item of plan.items) {
    const startMs = item.spans[0]!.fromMs;
    const session = plan.sessions.find((s) => s.fromMs <= startMs && startMs < s.toMs);
    out.set(item.opId, session?.fromMs ?? startMs);
  }
  // A mending abrasion that is needed only now belongs to the session of its coat, whose key it cuts.
  for (const [opId, ms] of [...out])
    if (!isMend(opId) && !out.has(mendOpId(opId))) out.set(mendOpId(opId), ms);
  return out;
}

/** What came of living a plan through, with the shop as it turned out. */
export interface Lived {
  readonly problem: PlanProblem;
  readonly made: Plan;
  readonly finishedMs: ReadonlyMap<string, number>;
}

/** A plan lived through once (`liveOnce`), as far as it is counted. */
export function replayOnce(cases: readonly PlanProblem[], plan: Plan, seed: number, no: number): Replay {
  const { made, finishedMs } = liveOnce(cases, plan, seed, no);
  return { finishedMs, shut: made.items.flatMap((i) => (isMend(i.opId) ? [coatOpIdOf(i.opId)] : [])) };
}

/**
 * A plan lived through once: its order is kept, nothing begins before its session, and what is not allowed then waits for the next one.
 * Hands take longer or shorter, people stay away, the air turns out colder or warmer and fit or not. `cases`: the same problem by how the air
 * turns out, each as likely as the others. The same seed and number give the same replay. Pure.
 */
export function liveOnce(cases: readonly PlanProblem[], plan: Plan, seed: number, no: number): Lived {
  const random = seededRandom(seed * 7919 + no);
  const problem = cases[Math.floor(random() * cases.length)]!;
  const shared = normal(random);
  const startMs = new Map<string, number>();
  for (const item of plan.items) {
    const partId = coatOpIdOf(item.opId).split('/')[0]!;
    startMs.set(partId, Math.min(startMs.get(partId) ?? Infinity, item.spans[0]!.fromMs));
  }
  const parts = problem.parts.map((p) => slowed(p, shared, random));
  const lived: PlanProblem = {
    ...problem,
    parts,
    // What was fixed by hand is where the plan has it; a pin that the day undoes holds nobody up.
    ask: { ...problem.ask, pins: [] },
    sessions: attended(problem.sessions, random),
  };
  const weather = new FallenWeather(lived, seed + no);
  const order = [...parts].sort(
    (a, b) =>
      (startMs.get(a.partId) ?? Infinity) - (startMs.get(b.partId) ?? Infinity) ||
      (a.partId < b.partId ? -1 : 1),
  );
  const made = new Decoder(lived, weather, new Map(), earliestOf(plan)).plan(order);
  return { problem: lived, made, finishedMs: readPlan(lived, weather, made).finishedMs };
}

/** How sure it is, of so many replays. */
export interface Holds {
  readonly n: number;
  readonly machines: readonly {
    readonly machineId: string;
    readonly name: string;
    /** As likely as not, and four times in five; null: not within the plan so often. */
    readonly p50Ms: number | null;
    readonly p80Ms: number | null;
    /** Share of replays in which it is done by its day; null: it has none. */
    readonly inTime: number | null;
    /** Every replay's, ascending; those not done within the plan are left out. */
    readonly doneMs: readonly number[];
  }[];
  /** Coats that found their window shut, oftest first; in the plan itself it is open. */
  readonly windows: readonly {
    readonly opId: string;
    readonly partName: string;
    readonly coatName: string;
    readonly no: number;
    readonly share: number;
  }[];
}

/** What replays come to. Pure. */
export function holdsOf(problem: PlanProblem, plan: Plan, replays: readonly Replay[]): Holds {
  const n = replays.length;
  const mended = new Set(plan.items.flatMap((i) => (isMend(i.opId) ? [coatOpIdOf(i.opId)] : [])));
  const shut = new Map<string, number>();
  for (const r of replays) for (const id of r.shut) shut.set(id, (shut.get(id) ?? 0) + 1);
  const ops = new Map(problem.parts.flatMap((p) => p.ops.map((o) => [o.opId, { part: p, op: o }] as const)));
  return {
    n,
    machines: problem.machines.map((m) => {
      const own = problem.parts.filter((p) => p.machineId === m.machineId);
      const all = replays.map((r) => machineDone(own, r));
      const doneMs = all.filter(Number.isFinite).sort((a, b) => a - b);
      const padded = [...all].sort((a, b) => a - b);
      return {
        machineId: m.machineId,
        name: m.name,
        p50Ms: finite(own.length === 0 ? Infinity : quantileOf(padded, 0.5)),
        p80Ms: finite(own.length === 0 ? Infinity : quantileOf(padded, 0.8)),
        inTime: m.dueMs === null || n === 0 ? null : all.filter((ms) => ms <= m.dueMs!).length / n,
        doneMs,
      };
    }),
    windows: [...shut]
      .filter(([id]) => !mended.has(id) && ops.has(id))
      .map(([opId, times]) => ({ opId, times, ...ops.get(opId)! }))
      .sort((a, b) => b.times - a.times || (a.opId < b.opId ? -1 : 1))
      .map(({ opId, times, part, op }) => windowOf(part, op, opId, times / n)),
  };
}

const windowOf = (part: PlanPart, op: PlanOp, opId: string, share: number): Holds['windows'][number] => ({
  opId,
  partName: part.name,
  coatName: op.coat?.sheet.name ?? op.kind,
  no: op.coat?.no ?? 0,
  share,
});

/** When the last of some parts is done; Infinity: one of them is not. */
const machineDone = (parts: readonly PlanPart[], r: Replay): number =>
  parts.reduce((ms, p) => Math.max(ms, r.finishedMs.get(p.partId) ?? Infinity), -Infinity);

/** Between neighbours by a line, but never between a day and never. */
function quantileOf(ascending: readonly number[], share: number): number {
  if (ascending.length === 0) return Infinity;
  const at = (ascending.length - 1) * share;
  const above = ascending[Math.ceil(at)]!;
  // A whole place is that replay's own; and there is no line from a day to never.
  return Number.isInteger(at) || !Number.isFinite(above) ? above : quantile(ascending, share);
}
const finite = (ms: number): number | null =>
  Number.isFinite(ms) ? Math.round(ms / MINUTE_MS) * MINUTE_MS : null;
