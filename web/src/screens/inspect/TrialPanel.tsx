import { useState } from 'react';
import { crossCutClass, type InspectView } from '@calvetta/core';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { moment } from '../../ui/time.ts';
import { useNowMs } from '../../state/clock.ts';
import { CrossCut, cutOf, PullOff, VERDICT_WORDS } from './CrossCut.tsx';
import { useFinds } from './useFinding.ts';

type By = 'thumbnail' | 'cross-cut' | 'pull-off';
const BY_WORDS: Readonly<Record<By, string>> = {
  thumbnail: 'nail and tape',
  'cross-cut': 'cross-cut',
  'pull-off': 'pull-off',
};
interface Tried {
  readonly isSound?: boolean;
  readonly detachedPct?: number;
  readonly pullMpa?: number;
}

/** Does it hold? A trial on a hidden spot, when the film is old enough to be asked. */
export function TrialPanel({ view }: { readonly view: InspectView }) {
  const [by, setBy] = useState<By>('thumbnail');
  const { log, save } = useFinds(view);
  const [due] = view.trialDue;
  const onTried = (body: Tried): void => {
    if (!due) return;
    const cut = by === 'cross-cut' && cutOf(view).kind === 'x-cut' ? 'x-cut' : by;
    log('adhesion-tried', due.face, { by: cut, sheetId: due.sheetId, ...body });
  };
  if (!due) return view.trials.length > 0 ? <TrialsSoFar view={view} /> : null;
  return (
    <section aria-label="Adhesion" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">Does it hold?</h2>
      <WhenDue view={view} name={due.name} dueMs={due.dueMs} />
      <OneOf<By>
        label="How it is tried"
        value={by}
        onChange={setBy}
        options={(Object.keys(BY_WORDS) as By[]).map((value) => ({ value, text: BY_WORDS[value] }))}
      />
      {by === 'thumbnail' ? (
        <div className="flex gap-2">
          <Button disabled={save.isBusy} onClick={() => onTried({ isSound: true })}>
            It holds
          </Button>
          <Button disabled={save.isBusy} onClick={() => onTried({ isSound: false })}>
            It comes off
          </Button>
        </div>
      ) : by === 'cross-cut' ? (
        <CrossCut view={view} save={save} onTried={onTried} />
      ) : (
        <PullOff save={save} onTried={onTried} />
      )}
      <FormTrouble words={save.trouble} />
      <TrialsSoFar view={view} />
    </section>
  );
}

interface DueProps {
  readonly view: InspectView;
  readonly name: string;
  readonly dueMs: number | null;
}
function WhenDue({ view, name, dueMs }: DueProps) {
  const nowMs = useNowMs();
  return (
    <p className="text-[14px] text-quiet">
      {dueMs === null
        ? 'When a trial says anything is not known yet: it stands too cold to age, or nobody knows its temperature.'
        : dueMs > nowMs
          ? `A trial of ${name} says something from ${moment(dueMs, nowMs, view.zone)}: as old as two days at 20 °C.`
          : `${name} is old enough for a trial.`}{' '}
      On a spot that does not show.
    </p>
  );
}

/** What trials of this part have shown. */
function TrialsSoFar({ view }: { readonly view: InspectView }) {
  if (view.trials.length === 0) return null;
  return (
    <ul className="text-[14px]" aria-label="Trials so far">
      {[...view.trials].reverse().map(({ fact, productName, verdict }) => (
        <li key={fact.factId} className="border-t border-line/60 py-1">
          {moment(fact.happenedAtMs, view.nowMs, view.zone)}: {productName}, {trialWords(fact.body)}
          {verdict ? (
            <strong className={verdict === 'refuse' ? 'text-bad' : ''}> · {VERDICT_WORDS[verdict]}</strong>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

function trialWords({ detachedPct, pullMpa }: Tried): string {
  if (detachedPct !== undefined) return `class ${crossCutClass(detachedPct)}`;
  return pullMpa === undefined ? 'nail and tape' : `${pullMpa} MPa`;
}
