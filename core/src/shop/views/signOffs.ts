import { signState } from '../../ledger/signOff.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';
import type { SignOffView } from './partView.ts';

/** The sign-offs of a part with what became of each, newest first; those taken back too. */
export function signOffsOf(snapshot: Snapshot, part: DerivedPart): SignOffView[] {
  const { people, stock } = snapshot.shop;
  // Of two in one moment the one that was stored last comes first.
  return [...part.facts]
    .reverse()
    .flatMap((f): SignOffView[] => {
      if (f.kind !== 'signed-off') return [];
      const { state, by } = signState(f, part.facts, stock);
      const ended = by === null ? undefined : [...part.facts, ...stock].find((x) => x.factId === by);
      return [
        {
          factId: f.factId,
          atMs: f.happenedAtMs,
          personId: f.personId,
          personName: people.find((p) => p.personId === f.personId)?.name ?? null,
          body: f.body,
          state,
          endedBy: ended ? { factId: ended.factId, kind: ended.kind } : null,
        },
      ];
    })
    .sort((a, b) => b.atMs - a.atMs);
}
