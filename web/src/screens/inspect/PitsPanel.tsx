import type { InspectView, PitsView } from '@calvetta/core';
import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { PitsForm } from './PitsForm.tsx';
import { PitCut } from './PitCut.tsx';
import { RepairOptions } from './RepairOptions.tsx';
import { NO_ESTIMATE_WORDS } from '@calvetta/contract/words';

/** The deepest pits of some equal patches, what that says of the whole, and what to do about it. */
export function PitsPanel({ view }: { readonly view: InspectView }) {
  const newest = view.pits[view.pits.length - 1] ?? null;
  const [isOpen, setOpen] = useState(false);
  return (
    <section aria-label="Pits and wall" className="flex flex-col gap-3 border border-line bg-panel p-3">
      <div className="flex items-center justify-between">
        <h2 className="text-[16px]">Pits and wall</h2>
        <Button onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Not now' : newest ? 'Measure again' : 'Measure'}
        </Button>
      </div>
      {newest ? (
        <Judged pits={newest} />
      ) : isOpen ? null : (
        <p className="text-[13px] text-quiet">
          Six equal patches and a depth gauge say how deep the deepest of the whole face is likely to be.
        </p>
      )}
      {isOpen ? <PitsForm view={view} onStored={() => setOpen(false)} /> : null}
      {newest ? <RepairOptions view={view} pits={newest} /> : null}
    </section>
  );
}

const mm = (x: number): string => `${x.toFixed(2)} mm`;

function Judged({ pits }: { readonly pits: PitsView }) {
  const { verdict, leftMm, fact } = pits;
  const { soundMm = null, leastMm = null, soundBy } = fact.body;
  return (
    <>
      <PitCut pits={pits} />
      <p className="text-[15px]">
        {verdict.estimate ? (
          <>
            Judge by <strong>{mm(verdict.judgeByMm)}</strong>: the deepest of the whole face is likely{' '}
            {mm(verdict.estimate.x95Mm)}, between {mm(verdict.estimate.fromMm)} and{' '}
            {mm(verdict.estimate.toMm)} nine times in ten. Deepest seen {mm(verdict.deepestSeenMm)}.
          </>
        ) : (
          <>
            {verdict.isAtLeast ? 'At least ' : ''}
            <strong>{mm(verdict.deepestSeenMm)}</strong>, the deepest seen: {NO_ESTIMATE_WORDS[verdict.none!]}
            .
          </>
        )}
      </p>
      <p className="text-[14px] text-quiet">
        {soundMm === null
          ? 'How thick the sound wall is, nobody has said: what is left is not known.'
          : `Sound wall ${mm(soundMm)}, ${soundBy === 'measured' ? 'measured' : 'by the drawing'}; left under the deepest pit ${mm(leftMm ?? 0)}${leastMm === null ? '; the least it needs has not been asked' : `, least needed ${mm(leastMm)}`}.`}
      </p>
    </>
  );
}
