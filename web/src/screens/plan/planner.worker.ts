import {
  deriveShop,
  makePlans,
  planProblem,
  planView,
  repaired,
  shopStateOf,
  sincePlanned,
  tryPin,
  type PlanAsk,
  type PlanProblem,
  type Snapshot,
  type SnapshotSource,
} from '@calvetta/core';
import type { PlannerAsked, PlannerSaid } from './planner.ts';

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
  if (asked.kind === 'make') await make(asked, snapshot, problem);
  if (asked.kind === 'read') {
    const { made, moved } = repaired(problem, asked.plan);
    const since = { ...sincePlanned(problem, asked.plan), moved };
    page.postMessage({ kind: 'read', no: asked.no, view: planView(snapshot, problem, made), since });
  }
  if (asked.kind === 'pin') {
    const { no, opId, sessionMs } = asked;
    const answer = tryPin(problem, asked.plan, { opId, sessionMs });
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
  { no, order, seconds }: Extract<PlannerAsked, { kind: 'make' }>,
  snapshot: Snapshot,
  problem: PlanProblem,
): Promise<void> {
  const endMs = performance.now() + seconds * 1000;
  const plans = makePlans(problem, order);
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
