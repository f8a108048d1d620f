import { Link, useNavigate } from 'react-router';
import type { CareFound, CareLine } from '@calvetta/core';
import { CARE_FOUND_WORDS, CARE_WORDS } from '@calvetta/contract/words';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useRecord } from '../../record/useRecord.ts';
import { Button } from '../../ui/Button.tsx';

interface Props {
  readonly line: CareLine;
  readonly nowMs: number;
  readonly zone: string;
}

/** One job of care: what to do, when it falls due, and two touches to log it. Something found goes on to Inspect. */
export function CareRow({ line: l, nowMs, zone }: Props) {
  const record = useRecord();
  const save = useSave();
  const navigate = useNavigate();
  const words = CARE_WORDS[l.job];
  const log = (found: CareFound): void =>
    save.run(
      () =>
        record({
          kind: 'cared',
          partId: l.partId,
          partName: l.partName,
          face: null,
          happenedMs: Date.now(),
          endedMs: null,
          body: { job: l.job, found },
        }),
      () => {
        if (found === 'something') void navigate(`/parts/${encodeURIComponent(l.partId)}/inspect`);
      },
    );
  return (
    <li
      data-row={l.partId}
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line/60 py-2"
    >
      <div className="min-w-[240px] flex-1">
        <p>
          <Link
            className="font-semibold underline underline-offset-2"
            to={`/parts/${encodeURIComponent(l.partId)}`}
          >
            {l.partName}
          </Link>{' '}
          <span className="text-quiet">{l.machineName}</span> · <strong>{words.name}</strong>{' '}
          <span className={l.status === 'due' ? 'text-bad' : 'text-quiet'}>{dueWords(l, nowMs, zone)}</span>
        </p>
        <p className="text-[14px] text-quiet">
          {words.how}
          {words.caution ? <span className="text-warn"> {words.caution} Local rules come first.</span> : null}
          {l.lastMs === null
            ? ''
            : ` Last ${dayOf(l.lastMs, zone)}, ${CARE_FOUND_WORDS[l.lastFound ?? 'nothing']}.`}
        </p>
        <FormTrouble words={save.trouble} />
      </div>
      <Button disabled={save.isBusy} onClick={() => log('nothing')}>
        Done, nothing found
      </Button>
      <Button disabled={save.isBusy} onClick={() => log('something')}>
        Something found
      </Button>
    </li>
  );
}

const dayOf = (ms: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  }).format(ms);

function dueWords(l: CareLine, nowMs: number, zone: string): string {
  const days = Math.round(Math.abs(l.dueMs - nowMs) / 86_400_000);
  return l.status === 'due'
    ? `due since ${dayOf(l.dueMs, zone)}, ${days} days`
    : `due ${dayOf(l.dueMs, zone)}`;
}
