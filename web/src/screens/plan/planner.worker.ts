import {
  askWith,
  deriveShop,
  HELPS,
  holdsOf,
  LEANS,
  makePlans,
  orderOf,
  planProblem,
  planView,
  repaired,
  replayOnce,
  shopStateOf,
  sincePlanned,
  tryPin,
  type Plan,
  type PlanAsk,
  type PlanProblem,
  type Replay,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { HelpTried, PlannerAsked, PlannerSaid } from './planner.ts';

/** Makes, reads and moves plans beside the page. A newer question stops an older one. */
let latest = 0;
const page = self as unknown as { postMessage: (m: PlannerSaid) => void };
const breath = (): Promise<void> => new Promise((done) => setTimeout(done, 0));
/** Between two looks at whether something newer was asked. */
const SLICE_MS = 120;
/** A better plan is shown no more often than this. */
const SHOWN_EVERY_MS = 400;

self.onmessage = ({ data }: MessageEvent<PlannerAsked>): void => {
  latest = data.no;
  if (data.kind === 'stop') return;
  void work(data).catch((error: unknown) =>
    page.postMessage({
      kind: 'failed',
      no: data.no,
      words: error instanceof Error ? error.message : 'unknown',
    }),
  );
};

let known: { readonly source: SnapshotSource; readonly snapshot: Snapshot } | null = null;
function problemOf(source: SnapshotSource, ask: PlanAsk): { snapshot: Snapshot; problem: PlanProblem } {
  if (known?.source.nowMs !== source.nowMs)
    known = { source, snapshot: deriveShop(shopStateOf(source.shop), source.air, source.nowMs) };
  return { snapshot: known.snapshot, problem: planProblem(known.snapshot, source.air, ask) };
}

async function work(asked: Exclude<PlannerAsked, { kind: 'stop' }>): Promise<void> {
  const { snapshot, problem } = problemOf(asked.source, asked.ask);
  if (asked.kind === 'hold') await hold(asked, snapshot, problem);
  if (asked.kind === 'both') await both(asked, snapshot, problem);
  if (asked.kind === 'make') await make(asked, snapshot, problem);
  if (asked.kind === 'read') {
    const { made, moved } = repaired(problem, asked.plan);
    const since = { ...sincePlanned(problem, asked.plan), moved };
    page.postMessage({ kind: 'read', no: asked.no, view: planView(snapshot, problem, made), since });
  }
  if (asked.kind === 'pin') {
    const { no } = asked;
    const { opId, sessionMs } = asked.pin;
    const answer = tryPin(problem, asked.plan, asked.pin);
    page.postMessage(
      answer.holds
        ? { kind: 'pinned', no, view: planView(snapshot, answer.problem, answer.made) }
        : {
            kind: 'not-pinned',
            no,
            opId,
            sessionMs,
            by: answer.binds?.by ?? null,
            edgeMs: answer.binds?.edgeMs ?? null,
            nearestMs: answer.nearestMs,
          },
    );
  }
}

async function make(
  { no, order, before, seconds }: Extract<PlannerAsked, { kind: 'make' }>,
  snapshot: Snapshot,
  problem: PlanProblem,
): Promise<void> {
  const endMs = performance.now() + seconds * 1000;
  const plans = makePlans(problem, order, before);
  let isBetter = false;
  let shownMs = -Infinity;
  for (let isDone = false; !isDone;) {
    const sliceEndMs = performance.now() + SLICE_MS;
    let step = plans.next().value;
    isBetter ||= step.isBetter;
    while (performance.now() < sliceEndMs) {
      step = plans.next().value;
      isBetter ||= step.isBetter;
    }
    isDone = performance.now() >= endMs;
    const isShown = isBetter && (isDone || performance.now() - shownMs > SHOWN_EVERY_MS);
    const view = isShown ? planView(snapshot, problem, step.best) : null;
    if (isShown) {
      isBetter = false;
      shownMs = performance.now();
    }
    page.postMessage({ kind: 'step', no, view, tried: step.tried, isDone });
    await breath();
    if (latest !== no) return;
  }
}

/** Replays of the plan itself, and of each change that may help. */
const [REPLAYS, REPLAYS_OF_HELP] = [200, 60];
/** So long a plan is sought with each change, ms. */
const HELP_MS = 1500;

/** The shop as the air may turn out. */
const leaning = (snapshot: Snapshot, source: SnapshotSource, ask: PlanAsk): PlanProblem[] =>
  LEANS.map((sigmas) => planProblem(snapshot, source.air, ask, sigmas));

/** A plan that was tried, and the one before, by the same replays: what falls out otherwise falls out so for both. */
async function both(
  { no, source, ask, plan, before }: Extract<PlannerAsked, { kind: 'both' }>,
  snapshot: Snapshot,
  problem: PlanProblem,
): Promise<void> {
  const old = planProblem(snapshot, source.air, before.ask);
  const [wasIn, isIn] = [leaning(snapshot, source, before.ask), leaning(snapshot, source, ask)];
  const tell = (was: readonly Replay[], is: readonly Replay[]): void =>
    page.postMessage({
      kind: 'both',
      no,
      sure: {
        before: holdsOf(old, before.plan, was),
        now: holdsOf(problem, plan, is),
        of: REPLAYS_OF_HELP,
      },
    });
  const was = await live(no, wasIn, before.plan, ask.seed, REPLAYS_OF_HELP, (r) => tell(r, []));
  if (!was) return;
  await live(no, isIn, plan, ask.seed, REPLAYS_OF_HELP, (r) => tell(was, r));
}

async function hold(
  { no, source, ask, plan }: Extract<PlannerAsked, { kind: 'hold' }>,
  snapshot: Snapshot,
  problem: PlanProblem,
): Promise<void> {
  const casesOf = (asked: PlanAsk): PlanProblem[] => leaning(snapshot, source, asked);
  const helps: HelpTried[] = [];
  const say = (replays: readonly Replay[], isDone: boolean): void =>
    page.postMessage({
      kind: 'holds',
      no,
      holds: holdsOf(problem, plan, replays),
      few: holdsOf(problem, plan, replays.slice(0, REPLAYS_OF_HELP)),
      of: REPLAYS,
      helps: [...helps],
      isDone,
    });
  const replays = await live(no, casesOf(ask), plan, ask.seed, REPLAYS, (r) => say(r, false));
  if (!replays) return;
  for (const help of HELPS) {
    const asked = askWith(ask, help, problem.nowMs, problem.endMs);
    if (!asked) continue;
    const changed = planProblem(snapshot, source.air, asked);
    const plans = makePlans(changed, orderOf(plan), plan);
    let { best } = plans.next().value;
    for (
      const endMs = performance.now() + HELP_MS;
      performance.now() < endMs;
      best = plans.next().value.best
    ) {
      await breath();
      if (latest !== no) return;
    }
    const lived = await live(no, casesOf(asked), best.plan, ask.seed, REPLAYS_OF_HELP, () => undefined);
    if (!lived) return;
    helps.push({ help, holds: holdsOf(changed, best.plan, lived) });
    say(replays, false);
  }
  say(replays, true);
}

/** Lives a plan through so many times, telling how far it is; null: something newer was asked. */
async function live(
  no: number,
  cases: readonly PlanProblem[],
  plan: Plan,
  seed: number,
  n: number,
  tell: (replays: readonly Replay[]) => void,
): Promise<readonly Replay[] | null> {
  const replays: Replay[] = [];
  let toldMs = performance.now();
  while (replays.length < n) {
    replays.push(replayOnce(cases, plan, seed, replays.length));
    if (performance.now() - toldMs < SHOWN_EVERY_MS) continue;
    toldMs = performance.now();
    tell(replays);
    await breath();
    if (latest !== no) return null;
  }
  tell(replays);
  return replays;
}
