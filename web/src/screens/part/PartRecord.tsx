import { useState } from 'react';
import { Link } from 'react-router';
import { WORK_OPS, type WorkOp } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { WORK_WORDS } from '@calvetta/contract/words';
import { useDialogs } from '../../state/dialogs.ts';
import { useTimer } from '../../state/timer.ts';
import { DossierLinks } from '../../ui/DossierLinks.tsx';
import { Button } from '../../ui/Button.tsx';

/** The clock of hands, hours so far, and what may be taken away of the part. */
export function PartRecord({ part }: { readonly part: PartDetail }) {
  const show = useDialogs((s) => s.show);
  const { partId } = part.card;
  const minutes = part.facts.reduce(
    (sum, f) => sum + (f.kind === 'worked' && f.isStanding ? f.body.minutes : 0),
    0,
  );
  return (
    <section aria-label="Hours" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[16px]">
          Hours{' '}
          <span className="figure font-normal">
            {minutes === 0 ? 'none logged yet' : `${(minutes / 60).toFixed(1)} h`}
          </span>
        </h2>
        <DossierLinks of="parts" id={partId} name={part.card.name} />
        <Link className="link-alone text-[14px]" to={`/ledger?words=${encodeURIComponent(part.card.name)}`}>
          its record along time
        </Link>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <Clock part={part} />
        <Button look="quiet" onClick={() => show({ kind: 'log', partId, factKind: 'worked' })}>
          Log hours afterwards
        </Button>
      </div>
    </section>
  );
}

/** Starts the clock of hands on this part. One at a time on a device. */
function Clock({ part }: { readonly part: PartDetail }) {
  const running = useTimer((s) => s.running);
  const start = useTimer((s) => s.start);
  const [on, setOn] = useState<WorkOp>('prepare');
  const { partId, name } = part.card;
  if (running?.partId === partId) return <p className="text-quiet">The clock runs, below.</p>;
  if (running) return <p className="text-quiet">The clock runs for {running.partName}: stop it first.</p>;
  return (
    <>
      <select aria-label="At what" value={on} onChange={(e) => setOn(e.target.value as WorkOp)}>
        {WORK_OPS.map((o) => (
          <option key={o} value={o}>
            {WORK_WORDS[o]}
          </option>
        ))}
      </select>
      <Button onClick={() => start({ partId, partName: name, on, sinceMs: Date.now() })}>
        Start the clock
      </Button>
    </>
  );
}
