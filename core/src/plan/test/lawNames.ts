import type { Plan } from '../problem.ts';

export const LAW_NAMES = [
  'no plan that is made breaks anything',
  'the same shop and seed make the same plan',
  'a plan never gets worse as the search goes on',
  'work left out is caught',
  'work moved before what it waits for is caught',
  'one part placed anew leaves the others where they are, and breaks nothing',
  'a plan read days later is mended so that it holds',
  'no machine is done before its bound',
  'more people in every session never break a plan that held',
  'more people in every session never make a plan dearer',
] as const;
export type LawName = (typeof LAW_NAMES)[number];

/** What a walk over random shops found: by law, the shops that break it. */
export interface LawsFound {
  readonly shops: number;
  readonly coats: number;
  readonly mends: number;
  /** Shops of which all work found its place. */
  readonly whole: number;
  readonly broken: Readonly<Record<LawName, readonly string[]>>;
}

/** A plan with one piece of work moved, its run with it. */
export function movedBy(made: Plan, opId: string, ms: number): Plan {
  const runId = made.items.find((i) => i.opId === opId)!.runId;
  return {
    ...made,
    items: made.items.map((i) =>
      i.opId === opId
        ? { ...i, spans: i.spans.map((s) => ({ fromMs: s.fromMs + ms, toMs: s.toMs + ms })) }
        : i,
    ),
    runs: made.runs.map((r) => (r.runId === runId ? { ...r, fromMs: r.fromMs + ms, toMs: r.toMs + ms } : r)),
  };
}
