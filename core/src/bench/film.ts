import { firstEndingAfter, reach, reachOn, type SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import { crossing, progressAt, type StageTest } from '../cure/clock.ts';
import { coatOver, stackFactor, type StackLayer } from '../cure/stacked.ts';
import { firstSuspicion, type Suspicion } from '../cure/suspect.ts';
import { stageTable } from '../cure/tables.ts';
import { minEdge, type Edge, type Film } from '../cure/windows.ts';
import { judgeFilm } from '../film/judgeFilm.ts';
import { measuredCoats, type MeasuredCoat } from '../film/measured.ts';
import { originMs } from '../facts/envelope.ts';
import { type Fact, type FactOf, type TestKind } from '../facts/part.ts';

/** Stages a passed test shows to be reached (docs/clocks.md 12): never max recoat, pot life, flash rust or service. */
export const TEST_SHOWS: Readonly<Record<TestKind, readonly Stage[]>> = {
  tack: ['touch'],
  'thumb-twist': ['touch', 'minRecoat', 'handle'],
  thumbnail: ['touch', 'minRecoat', 'handle', 'sand'],
};
/** A failed test denies its own stage only. */
export const TEST_DENIES: Readonly<Record<TestKind, Stage>> = {
  tack: 'touch',
  'thumb-twist': 'handle',
  thumbnail: 'sand',
};

export function testsOf(stage: Stage, tests: readonly FactOf<'tested'>[]): StageTest[] {
  return tests
    .filter((t) =>
      t.body.reached ? TEST_SHOWS[t.body.test].includes(stage) : TEST_DENIES[t.body.test] === stage,
    )
    .map((t) => ({ atMs: t.happenedAtMs, reached: t.body.reached }));
}

export const CURE_STATES = ['wet', 'touch', 'handle', 'sand', 'service'] as const;
export type CureState = (typeof CURE_STATES)[number];

/** One coat on a face, with its clocks. */
export interface CoatState {
  readonly factId: string;
  readonly sheet: ProductSheet;
  readonly t0Ms: number;
  readonly dftUm: number;
  /** Its own film by readings since, and the thinnest of it; null where nobody measured. */
  readonly measuredUm: number | null;
  readonly thinnestUm: number | null;
  readonly batch: string | null;
  readonly slowBy: number;
  /** It went on before the coat below could be recoated, with a binder that may not: shown, never hidden. */
  readonly isConflict: boolean;
  readonly edges: Readonly<Record<'touch' | 'minRecoat' | 'handle' | 'sand' | 'service', Edge>>;
}

export interface FilmInput {
  readonly coats: readonly FactOf<'coated'>[];
  readonly tests: readonly FactOf<'tested'>[];
  readonly baked: readonly FactOf<'baked'>[];
  readonly reads: readonly FactOf<'film-read'>[];
  readonly track: readonly SurfaceStretch[];
  readonly sheetOf: (sheetId: string) => ProductSheet | null;
  readonly speedOf: (productId: string) => number;
  readonly isOutdoors: boolean;
  readonly nowMs: number;
}

const UNKNOWN_EDGE: Edge = { nominalMs: null, worstMs: null, bestMs: null, isUnknown: true };

/** The coats of a face in order, each with its stage edges and its stack. Coats of an unknown sheet are left out by the caller's check. */
export function coatStates(input: FilmInput): CoatState[] {
  const out: CoatState[] = [];
  let stack: StackLayer[] = [];
  const measured = new Map(measuredFilms(input).map((m) => [m.factId, m]));
  for (const fact of input.coats) {
    const sheet = input.sheetOf(fact.body.sheetId);
    if (!sheet) continue;
    const film = measured.get(fact.factId);
    // A film that was measured runs its clock as it is, not as it was meant: too thick dries slower.
    const dftUm = film?.measuredUm ?? fact.body.dftUm;
    const t0Ms = originMs(fact);
    const below = out[out.length - 1];
    const over = below ? coatOver(below.sheet, sheet, reachedBy(below.edges.minRecoat, t0Ms)) : null;
    stack = over?.kind === 'merges' ? [...stack, { sheet, dftUm }] : [{ sheet, dftUm }];
    const slowBy = stackFactor(stack);
    out.push({
      factId: fact.factId,
      sheet,
      t0Ms,
      dftUm: fact.body.dftUm,
      measuredUm: film?.measuredUm ?? null,
      thinnestUm: film?.thinnestUm ?? null,
      batch: fact.body.batch ?? null,
      slowBy,
      isConflict: over?.kind === 'refused',
      edges: stageEdges(input, sheet, t0Ms, slowBy),
    });
  }
  return out;
}

/** Each coat's own film from the readings of its face. */
function measuredFilms(input: FilmInput): MeasuredCoat[] {
  if (input.reads.length === 0) return [];
  const coats = input.coats.map((c) => ({ factId: c.factId, t0Ms: originMs(c), dftUm: c.body.dftUm }));
  const reads = input.reads.flatMap((r) => {
    const s = judgeFilm(r.body, null).statistics;
    return s === null
      ? []
      : [{ atMs: originMs(r), scope: r.body.scope, meanUm: s.meanUm, leastUm: s.leastUm }];
  });
  return measuredCoats(coats, reads);
}

function reachedBy(edge: Edge, atMs: number): boolean {
  return edge.nominalMs !== null && edge.nominalMs <= atMs;
}

/** What a coat's clocks run on; tests before the coat belong to another film. */
export function filmOf(input: FilmInput, sheet: ProductSheet, t0Ms: number, slowBy: number): Film {
  return {
    sheet,
    t0Ms,
    slowBy,
    track: input.track,
    speedBy: input.speedOf(sheet.productId),
    isOutdoors: input.isOutdoors,
    minRecoatTests: testsOf('minRecoat', input.tests),
  };
}

function stageEdges(input: FilmInput, sheet: ProductSheet, t0Ms: number, slowBy: number): CoatState['edges'] {
  if (sheet.cureBy === 'bake') return bakeEdges(input, t0Ms);
  const unfit = sheet.cureBy === 'moisture' && !hasHumidityAfter(input.track, t0Ms);
  const film = filmOf(input, sheet, t0Ms, slowBy);
  const edge = (stage: 'touch' | 'minRecoat' | 'handle' | 'sand' | 'service'): Edge =>
    unfit ? UNKNOWN_EDGE : stageEdge(film, stage, stage === 'service' ? [] : testsOf(stage, input.tests));
  return {
    touch: edge('touch'),
    minRecoat: edge('minRecoat'),
    handle: edge('handle'),
    sand: edge('sand'),
    service: edge('service'),
  };
}

/** Whether anything is known of the air's moisture after an instant. */
function hasHumidityAfter(track: readonly SurfaceStretch[], atMs: number): boolean {
  reach(track, atMs);
  for (let i = firstEndingAfter(track, atMs); i < track.length || reachOn(track); i++)
    if (track[i]!.fromVapourHpa !== null) return true;
  return false;
}

function stageEdge(
  film: Film,
  stage: 'touch' | 'minRecoat' | 'handle' | 'sand' | 'service',
  tests: readonly StageTest[],
): Edge {
  const table = stageTable(film.sheet, stage);
  if (!table) return UNKNOWN_EDGE;
  if (stage === 'minRecoat') return minEdge(film, { stage, p: 1, type: 'min' });
  const clock = {
    table,
    track: film.track,
    t0Ms: film.t0Ms,
    slowBy: stage === 'touch' ? 1 : film.slowBy,
    speedBy: film.speedBy,
    tests,
  };
  const cold = crossing({ ...clock, lean: 'cold' }, 1);
  return {
    nominalMs: crossing({ ...clock, lean: 'nominal' }, 1).atMs,
    worstMs: cold.atMs,
    bestMs: crossing({ ...clock, lean: 'warm' }, 1).atMs,
    isUnknown: cold.isUnknown,
  };
}

/** A baked finish dries to the touch in air by its sheet but cures only by a logged heat event (docs/clocks.md 14). */
function bakeEdges(input: FilmInput, t0Ms: number): CoatState['edges'] {
  const bake = input.baked.find((b) => originMs(b) >= t0Ms);
  const atMs = bake ? originMs(bake) : null;
  const edge: Edge = { nominalMs: atMs, worstMs: atMs, bestMs: atMs, isUnknown: false };
  return { touch: edge, minRecoat: edge, handle: edge, sand: edge, service: edge };
}

/** Cure axis at an instant, claimed only when the late edge has passed. */
export function cureAt(edges: CoatState['edges'], atMs: number): CureState {
  let state: CureState = 'wet';
  for (const stage of ['touch', 'handle', 'sand', 'service'] as const) {
    const edge = edges[stage].worstMs;
    if (edge !== null && edge <= atMs) state = stage;
  }
  return state;
}

/** Whether the last coat's film is suspect now: by the record up to `handle` or now; a logged test clears it. */
export function suspicionOf(coat: CoatState, input: FilmInput): Suspicion | null {
  if (coat.sheet.cureBy === 'bake') return null;
  const untilMs = Math.min(input.nowMs, coat.edges.handle.nominalMs ?? input.nowMs);
  const tests = input.tests.filter((t) => t.happenedAtMs >= coat.t0Ms && t.happenedAtMs <= input.nowMs);
  const lastTestMs = tests[tests.length - 1]?.happenedAtMs ?? coat.t0Ms;
  return firstSuspicion(input.track, Math.max(coat.t0Ms, lastTestMs), untilMs, coat.sheet.cureMinC);
}

/** Predicted progress of a test's own stage when it was made, uncalibrated: what calibration compares with. */
export function predictedAtTest(
  coat: CoatState,
  test: FactOf<'tested'>,
  track: readonly SurfaceStretch[],
): number | null {
  const table = stageTable(coat.sheet, TEST_DENIES[test.body.test]);
  if (!table) return null;
  return progressAt(
    { table, track, t0Ms: coat.t0Ms, lean: 'nominal', slowBy: coat.slowBy, speedBy: 1, tests: [] },
    test.happenedAtMs,
  );
}

/** Facts about films among a face's facts. */
export function filmFacts(facts: readonly Fact[]) {
  return {
    coats: facts.filter((f): f is Extract<Fact, { kind: 'coated' }> => f.kind === 'coated'),
    tests: facts.filter((f): f is Extract<Fact, { kind: 'tested' }> => f.kind === 'tested'),
    baked: facts.filter((f): f is Extract<Fact, { kind: 'baked' }> => f.kind === 'baked'),
    reads: facts.filter((f): f is Extract<Fact, { kind: 'film-read' }> => f.kind === 'film-read'),
  };
}
