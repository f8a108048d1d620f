import { originMs } from '../facts/envelope.ts';
import { ofKind, type Fact, type FactKind } from '../facts/part.ts';
import type { RouteStepRow } from './state.ts';

/** What the record says of a step that is no coat. */
export type StepRecord =
  | {
      readonly status: 'recorded';
      readonly factId: string;
      /** Null: it was done, and nobody remembers when. */
      readonly atMs: number | null;
      readonly personId: string;
      readonly found: string | null;
      readonly passed: boolean | null;
    }
  /** Something after it is recorded, and it is not: it may have been done, and nothing says so. */
  | { readonly status: 'not-recorded' }
  | { readonly status: 'to-come' };

/** Entries of their own kind that say a step of that kind was done. */
const SAID_BY: Readonly<Partial<Record<string, FactKind>>> = {
  degrease: 'degreased',
  strip: 'stripped',
  abrade: 'abraded',
  pretreat: 'pretreated',
  inspect: 'inspected',
  bake: 'baked',
};

const recorded = (f: Fact): StepRecord => ({
  status: 'recorded',
  factId: f.factId,
  atMs: f.kind === 'step-done' && f.body.isTimeUnknown === true ? null : originMs(f),
  personId: f.personId,
  found: f.kind === 'step-done' ? (f.body.found ?? null) : null,
  passed: f.kind === 'step-done' ? (f.body.passed ?? null) : null,
});

/** The steps of each kind with the entries of their kind: the last ones, where there are more of them than steps. */
function byKind(steps: readonly RouteStepRow[], standing: readonly Fact[]): Map<string, Fact> {
  const out = new Map<string, Fact>();
  for (const [kind, saidBy] of Object.entries(SAID_BY)) {
    const own = steps.filter((s) => s.kind === kind && s.sheetId === null);
    if (own.length === 0) continue;
    const facts = ofKind(standing, saidBy!).slice(-own.length);
    facts.forEach((f, i) => out.set(own[i]!.stepId, f));
  }
  return out;
}

/**
 * What is recorded of every step that is no coat: by an entry that names it, else by one of its kind. Nothing counts as done because
 * something later was: `coatsDone` of a later step only tells that an earlier one is missing from the record. Pure.
 */
export function stepRecords(
  steps: readonly RouteStepRow[],
  standing: readonly Fact[],
  coatsDone: (stepId: string) => number,
): ReadonlyMap<string, StepRecord> {
  const named = new Map(ofKind(standing, 'step-done').map((f) => [f.body.stepId, f as Fact]));
  const said = byKind(steps, standing);
  const found = steps.map((s) => named.get(s.stepId) ?? said.get(s.stepId) ?? null);
  const last = steps.findLastIndex((s, i) =>
    s.sheetId === null ? found[i] != null : coatsDone(s.stepId) > 0,
  );
  return new Map(
    steps.flatMap((s, i): [string, StepRecord][] => {
      if (s.sheetId !== null) return [];
      const fact = found[i];
      return [[s.stepId, fact ? recorded(fact) : { status: i < last ? 'not-recorded' : 'to-come' }]];
    }),
  );
}
