import type { FactKind } from '@calvetta/core';
import { useDialogs } from '../../state/dialogs.ts';
import { useTicked } from '../../state/ticked.ts';
import { Button } from '../../ui/Button.tsx';

const ACTS: readonly (readonly [FactKind, string])[] = [
  ['moved', 'Move'],
  ['degreased', 'Degrease'],
  ['stripped', 'Strip'],
  ['wiped', 'Wipe'],
  ['noted', 'Note'],
];

/** What can be done with all that is ticked; in sight as long as anything is. */
export function TickedBar() {
  const { parts, clear } = useTicked();
  const show = useDialogs((s) => s.show);
  if (parts.size === 0) return null;
  const list = [...parts].map(([partId, name]) => ({ partId, name }));
  return (
    <section
      aria-label="With all that is ticked"
      className="sticky bottom-0 z-20 -mx-4 flex flex-wrap items-center gap-2 border-t border-line bg-panel px-4 py-2 shadow-[0_-4px_12px_rgb(0_0_0/0.08)] max-md:-mx-2"
    >
      <span className="figure mr-2" role="status">
        {parts.size} {parts.size === 1 ? 'part' : 'parts'} ticked
      </span>
      {ACTS.map(([kind, word]) => (
        <Button key={kind} onClick={() => show({ kind: 'many', parts: list, factKind: kind })}>
          {word}
        </Button>
      ))}
      <Button look="quiet" onClick={clear}>
        Untick all
      </Button>
    </section>
  );
}
