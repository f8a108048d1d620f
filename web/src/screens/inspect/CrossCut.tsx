import { crossCutClass, cutFor, trialVerdict, type InspectView } from '@calvetta/core';
import { NumberField } from '../../forms/fields.tsx';
import { number } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import type { Save } from '../../forms/useSave.ts';
import { Button } from '../../ui/Button.tsx';

export const VERDICT_WORDS = {
  sound: 'sound',
  ask: 'ask the maker before going on',
  refuse: 'does not hold: not this product here',
} as const;
/** How this film is to be cut: by all that is on it, and by what lies below. */
export const cutOf = ({ card }: InspectView): ReturnType<typeof cutFor> =>
  cutFor(
    card.layers.filter((l) => !l.isPlanned).reduce((s, l) => s + l.dftUm, 0),
    card.substrate,
  );

interface Props {
  readonly view: InspectView;
  readonly save: Save;
  readonly onTried: (body: { readonly detachedPct?: number; readonly pullMpa?: number }) => void;
}

/** Cuts, tape, and how much came off: the class follows. */
export function CrossCut({ view, save, onTried }: Props) {
  const draft = useDraft({ detached: number('%', 0, 100) }, { detached: '' });
  const cut = cutOf(view);
  const detached = draft.peek('detached');
  return (
    <>
      <p className="text-[14px]">
        {cut.kind === 'x-cut'
          ? 'Above 250 µm: one X through to the metal, tape over it, pulled off near 60°.'
          : `Six cuts each way, ${cut.spacingMm} mm apart, through to the metal; tape over it, pulled off near 60°.`}
      </p>
      <NumberField
        label="Came off, %"
        hint="of the lattice"
        bound={draft.bind('detached')}
        refused={save.problemAt('body.detachedPct')}
      />
      {detached === null ? null : (
        <p className="text-[15px]">
          Class {crossCutClass(detached)}: {VERDICT_WORDS[trialVerdict(crossCutClass(detached))]}
        </p>
      )}
      <Log
        isBusy={save.isBusy}
        onLog={() => {
          const v = draft.read();
          if (v) onTried({ detachedPct: v.detached });
        }}
      />
    </>
  );
}

/** What the gauge showed when the dolly came off. */
export function PullOff({ save, onTried }: Omit<Props, 'view'>) {
  const draft = useDraft({ mpa: number('MPa', 0, 200) }, { mpa: '' });
  return (
    <>
      <NumberField label="Pulled off at, MPa" hint="what the gauge shows" bound={draft.bind('mpa')} />
      <Log
        isBusy={save.isBusy}
        onLog={() => {
          const v = draft.read();
          if (v) onTried({ pullMpa: v.mpa });
        }}
      />
    </>
  );
}

const Log = ({ isBusy, onLog }: { readonly isBusy: boolean; readonly onLog: () => void }) => (
  <Button look="main" className="self-start" disabled={isBusy} onClick={onLog}>
    Log the trial
  </Button>
);
