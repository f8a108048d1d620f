import type { GateStatus } from '../air/gate.ts';
import type { Span } from '../base/time.ts';
import { jobKey } from '../shop/job.ts';
import { productMix, productTraits } from '../shop/shelf.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { boundOf } from './bound.ts';
import { buyListOf } from './buy.ts';
import { checkPlan, type Breach } from './check.ts';
import type { PlanCost } from './cost.ts';
import { coatOpIdOf, isMend, mendOpId } from './ids.ts';
import type { MadePlan } from './make.ts';
import type {
  Hand,
  Binding,
  Plan,
  PlanAsk,
  PlanAsks,
  PlanItem,
  PlanOp,
  PlanPart,
  PlanProblem,
} from './problem.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import type { CoatReading } from './reading.ts';
import { runMix, type RunMix } from './runMix.ts';
import { unfitOf, type Unfit } from './unfit.ts';

/** A piece of work as it is drawn and told. */
export interface PlanBlock {
  readonly opId: string;
  readonly kind: string;
  readonly what: string | null;
  readonly spans: readonly Span[];
  readonly people: number;
  readonly isLook: boolean;
  readonly isMend: boolean;
  readonly isDust: boolean;
  /** It lays metal bare. */
  readonly bares: boolean;
  readonly runId: string | null;
  /** Where it is done. */
  readonly placeId: string;
  readonly coat: {
    readonly name: string;
    readonly bandColour: string;
    readonly no: number;
    readonly of: number;
    readonly cautions: readonly string[];
    readonly opensMs: number | null;
    readonly shutsMs: number | null;
    readonly slackMs: number | null;
    readonly touchMs: number;
    readonly handleMs: number | null;
    readonly air: GateStatus;
    readonly odds: number | null;
    readonly mixedMl: number | null;
    /** Painted face, m²; a usual one where it is not known. */
    readonly areaM2: number;
  } | null;
  readonly binds: Binding;
}
export interface PlanLane {
  readonly partId: string;
  readonly name: string;
  readonly machineId: string;
  readonly blocks: readonly PlanBlock[];
  /** So long it takes to be as warm as its place. */
  readonly warmsMs: number;
  readonly finishedMs: number | null;
}
export interface PlanRunView extends Span {
  readonly runId: string;
  readonly name: string;
  readonly bandColour: string;
  readonly colour: string | null;
  readonly tool: string;
  readonly placeId: string;
  readonly placeName: string;
  readonly parts: readonly string[];
  readonly partIds: readonly string[];
  /** What its paint is called among those that can be pulled together (`jobGroups`). */
  readonly jobKey: string;
  readonly mixes: number;
  readonly mixedMl: number | null;
  /** What one of its mixes is poured from; null: an area is not known. */
  readonly mix: RunMix | null;
}
export interface PlanMachineView {
  readonly machineId: string;
  readonly name: string;
  readonly dueMs: number | null;
  /** Null: not all of it is planned. */
  readonly doneMs: number | null;
  /** No plan has it done before; null: past the plan's end. */
  readonly boundMs: number | null;
}
/** All that the plan's page draws, as JSON. */
export interface PlanView {
  readonly ask: PlanAsk;
  readonly zone: string;
  readonly nowMs: number;
  readonly endMs: number;
  readonly forecastEndMs: number;
  readonly sessions: readonly (Span & {
    readonly people: number;
    /** Who comes, as far as that was asked by name, and what each may do. */
    readonly who: readonly Hand[];
    readonly takenMs: number;
  })[];
  readonly lanes: readonly PlanLane[];
  readonly runs: readonly PlanRunView[];
  readonly machines: readonly PlanMachineView[];
  readonly asks: readonly PlanAsks[];
  readonly left: readonly PlanAsks[];
  /** Parts that keep a product though another was asked for. */
  readonly kept: PlanProblem['kept'];
  /** What its coats are of, by name. */
  readonly products: readonly { readonly productId: string; readonly name: string }[];
  readonly cost: PlanCost;
  readonly breaches: readonly Breach[];
  /** What has to be bought, and by when. */
  readonly toBuy: ReturnType<typeof buyListOf>;
  /** Where work is done, in the shop's order. */
  readonly places: readonly { readonly placeId: string; readonly name: string }[];
  /** Places that are heated, all the time or for a span, and to what. */
  readonly heated: readonly (Span & { readonly placeId: string; readonly airC: number })[];
  /** When the air keeps coats out, by place. */
  readonly unfit: readonly Unfit[];
  /** Places of which too little is known to plan past the forecast. */
  readonly blindPlaces: readonly string[];
  readonly plan: Plan;
}

/** What coats of a plan are of, by name. */
function productsIn({ parts }: PlanProblem): PlanView['products'] {
  const names = new Map(
    parts.flatMap((p) =>
      p.ops.flatMap((o) => (o.coat ? [[o.coat.sheet.productId, o.coat.sheet.name] as const] : [])),
    ),
  );
  return [...names]
    .map(([productId, name]) => ({ productId, name }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** A plan as the page draws it, judged by the checker. Pure. */
export function planView(snapshot: Snapshot, problem: PlanProblem, made: MadePlan): PlanView {
  const { plan, reading, cost } = made;
  const lanes = problem.parts.map((part): PlanLane => ({
    partId: part.partId,
    name: part.name,
    machineId: part.machineId,
    warmsMs: part.warmsMs,
    finishedMs: reading.finishedMs.get(part.partId) ?? null,
    blocks: part.ops.flatMap((op) => blocksOf(part, op, reading.itemOf, reading.coats.get(op.opId))),
  }));
  const { shop } = snapshot;
  const used = new Set(problem.parts.flatMap((p) => [p.placeId, ...(p.carry ? [p.carry.placeId] : [])]));
  return {
    ask: problem.ask,
    zone: problem.zone,
    nowMs: problem.nowMs,
    endMs: problem.endMs,
    forecastEndMs: problem.forecastEndMs,
    sessions: problem.sessions.map((s) => ({ ...s, takenMs: takenIn(s, plan) })),
    lanes,
    runs: plan.runs.map((r) => runView(snapshot, problem, r)),
    machines: problem.machines.map((m) => machineView(problem, lanes, m)),
    asks: problem.asks,
    kept: problem.kept,
    products: productsIn(problem),
    left: plan.left,
    cost,
    breaches: checkPlan(problem, plan),
    toBuy: buyListOf(snapshot, problem.parts, plan),
    places: shop.places.flatMap((p) => (used.has(p.placeId) ? [{ placeId: p.placeId, name: p.name }] : [])),
    heated: [
      ...shop.places.flatMap(({ placeId, setpointC }) =>
        setpointC === null ? [] : [{ placeId, airC: setpointC, fromMs: problem.nowMs, toMs: problem.endMs }],
      ),
      ...problem.ask.heat,
    ],
    unfit: unfitOf(problem, plan),
    blindPlaces: shop.places.flatMap((p) =>
      used.has(p.placeId) && problem.usualDays[p.placeId] === 0 ? [p.name] : [],
    ),
    plan,
  };
}

/** Where a part is at an instant: carried in or not. */
function placeAt(part: PlanPart, itemOf: ReadonlyMap<string, PlanItem>, atMs: number): string {
  const carriedMs = itemOf.get(`${part.partId}/carry`)?.spans[0]?.fromMs;
  return part.carry && carriedMs !== undefined && atMs >= carriedMs ? part.carry.placeId : part.placeId;
}

function blocksOf(
  part: PlanPart,
  op: PlanOp,
  itemOf: ReadonlyMap<string, PlanItem>,
  reading: CoatReading | undefined,
): readonly PlanBlock[] {
  const mend = op.coat ? itemOf.get(mendOpId(op.opId)) : undefined;
  const item = itemOf.get(op.opId);
  const place = (i: PlanItem): string => placeAt(part, itemOf, i.spans[0]!.fromMs);
  const common = { isLook: op.isLook, runId: null, coat: null };
  return [
    ...(mend
      ? [
          {
            ...mend,
            ...common,
            placeId: place(mend),
            kind: 'mend',
            what: null,
            isMend: true,
            isDust: true,
            bares: op.bares !== null,
          },
        ]
      : []),
    ...(item
      ? [
          {
            ...item,
            placeId: place(item),
            kind: op.kind,
            what: op.what,
            isLook: op.isLook,
            isMend: false,
            isDust: op.makesDust,
            bares: op.bares !== null,
            coat: op.coat && reading ? coatBlock(op.coat, reading) : null,
          },
        ]
      : []),
  ];
}

const coatBlock = (coat: NonNullable<PlanOp['coat']>, r: CoatReading): PlanBlock['coat'] => ({
  name: coat.sheet.name,
  bandColour: coat.sheet.bandColour,
  no: coat.no,
  of: coat.of,
  cautions: coat.sheet.cautions,
  opensMs: r.opensMs,
  shutsMs: r.shutsMs,
  slackMs: r.slackMs,
  touchMs: r.touchMs,
  handleMs: r.handleMs,
  air: r.air.status,
  odds: r.air.odds,
  mixedMl: coat.mixedMl,
  areaM2: coat.areaM2 ?? UNKNOWN_AREA_M2,
});

function runView(snapshot: Snapshot, problem: PlanProblem, run: Plan['runs'][number]): PlanRunView {
  const { shop } = snapshot;
  const sheet = shop.sheets.get(run.sheetId);
  const coats = run.opIds.flatMap((id) =>
    problem.parts.flatMap((p) => p.ops.flatMap((o) => (o.opId === id ? [{ part: p, coat: o.coat! }] : []))),
  );
  const ml = coats.map((c) => c.coat.mixedMl);
  const mixedMl = ml.some((m) => m === null) ? null : ml.reduce<number>((sum, m) => sum + m!, 0);
  return {
    runId: run.runId,
    fromMs: run.fromMs,
    toMs: run.toMs,
    name: sheet?.name ?? run.sheetId,
    bandColour: sheet?.bandColour ?? '#888888',
    colour: run.colour,
    tool: run.tool,
    placeId: run.placeId,
    placeName: shop.places.find((p) => p.placeId === run.placeId)?.name ?? run.placeId,
    parts: coats.map((c) => c.part.name),
    partIds: coats.map((c) => c.part.partId),
    jobKey: jobKey(run),
    mixes: run.mixes,
    mixedMl,
    mix:
      mixedMl === null || !sheet
        ? null
        : runMix(mixedMl, run.mixes, productMix(productTraits(snapshot, sheet.productId)), shop.cups),
  };
}

function machineView(
  problem: PlanProblem,
  lanes: readonly PlanLane[],
  { machineId, name, dueMs }: PlanProblem['machines'][number],
): PlanMachineView {
  const own = lanes.filter((l) => l.machineId === machineId);
  const isWhole = own.every((l) => l.finishedMs !== null);
  return {
    machineId,
    name,
    dueMs,
    doneMs: isWhole && own.length > 0 ? Math.max(...own.map((l) => l.finishedMs!)) : null,
    boundMs: boundOf(problem, machineId),
  };
}

/** How long two spans are at the same time, ms. */
export const overlapMs = (a: Span, b: Span): number =>
  Math.max(0, Math.min(a.toMs, b.toMs) - Math.max(a.fromMs, b.fromMs));
const takenIn = (session: Span, plan: Plan): number =>
  plan.runs.reduce((sum, r) => sum + overlapMs(session, r), 0) +
  plan.items.reduce(
    (sum, i) =>
      i.runId === null ? sum + i.spans.reduce((m, s) => m + overlapMs(session, s) * i.people, 0) : sum,
    0,
  );

/** Work of a plan made before that is still to come, and what of it should be behind us. */
export function sincePlanned(
  problem: PlanProblem,
  plan: Plan,
): { readonly done: readonly string[]; readonly late: readonly string[] } {
  const ops = new Set(problem.parts.flatMap((p: PlanPart) => p.ops.map((o) => o.opId)));
  const done = plan.items.filter((i) => !ops.has(coatOpIdOf(i.opId)));
  const late = plan.items.filter(
    (i) => ops.has(coatOpIdOf(i.opId)) && !isMend(i.opId) && i.spans[0]!.fromMs < problem.nowMs,
  );
  return { done: done.map((i) => i.opId), late: late.map((i) => i.opId) };
}
