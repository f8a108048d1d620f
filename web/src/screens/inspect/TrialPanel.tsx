import { useState } from 'react';
import { crossCutClass, cutFor, trialVerdict, type InspectView } from '@calvetta/core';
import { NumberField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { number } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { moment } from '../../ui/time.ts';
import { useNowMs } from '../../state/clock.ts';
import { useFinds } from './useFinding.ts';

type By = 'thumbnail' | 'cross-cut' | 'pull-off';
const BY_WORDS: Readonly<Record<By, string>> = {
  thumbnail: 'nail and tape',
  'cross-cut': 'cross-cut',
  'pull-off': 'pull-off',
};
const VERDICT_WORDS = {
  sound: 'sound',
  ask: 'ask the maker before going on',
  refuse: 'does not hold: not this product here',
} as const;
const SOFT = [
  'aluminium-wrought',
  'aluminium-cast',
  'zinc-diecast',
  'copper-alloy',
  'magnesium',
  'timber-backed-steel',
];

/** Does it hold? A trial on a hidden spot, when the film is old enough to be asked. */
export function TrialPanel({ view }: { readonly view: InspectView }) {
  const nowMs = useNowMs();
  const [by, setBy] = useState<By>('thumbnail');
  const { log, save } = useFinds(view);
  const draft = useDraft(
    { detached: number('%', 0, 100), mpa: number('MPa', 0, 200) },
    { detached: '', mpa: '' },
  );
  const due = view.trialDue[0] ?? null;
  const top = view.coats[view.coats.length - 1];
  const layers = view.card.layers.filter((l) => !l.isPlanned);
  if (!top || !due) return null;
  const sheetOf = view.trialDue.find((d) => d.face === top.face) ?? due;
  const cut = cutFor(
    layers.reduce((s, l) => s + l.dftUm, 0),
    SOFT.includes(view.card.substrate),
  );
  const detached = draft.peek('detached');
  const store = (body: {
    readonly isSound?: boolean;
    readonly detachedPct?: number;
    readonly pullMpa?: number;
  }): void =>
    log('adhesion-tried', top.face, {
      by: by === 'cross-cut' && cut.kind === 'x-cut' ? 'x-cut' : by,
      sheetId: sheetOf.sheetId,
      ...body,
    });
  return (
    <section aria-label="Adhesion" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">Does it hold?</h2>
      <p className="text-[14px] text-quiet">
        {due.dueMs === null
          ? 'When a trial says anything is not known yet: it stands too cold to age, or nobody knows its temperature.'
          : due.dueMs > nowMs
            ? `A trial of ${due.name} says something from ${moment(due.dueMs, nowMs, view.zone)}: as old as two days at 20 °C.`
            : `${due.name} is old enough for a trial.`}{' '}
        On a spot that does not show.
      </p>
      <OneOf<By>
        label="How it is tried"
        value={by}
        onChange={setBy}
        options={(Object.keys(BY_WORDS) as By[]).map((value) => ({ value, text: BY_WORDS[value] }))}
      />
      {by === 'thumbnail' ? (
        <div className="flex gap-2">
          <Button disabled={save.isBusy} onClick={() => store({ isSound: true })}>
            It holds
          </Button>
          <Button disabled={save.isBusy} onClick={() => store({ isSound: false })}>
            It comes off
          </Button>
        </div>
      ) : by === 'cross-cut' ? (
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
          <Button
            look="main"
            className="self-start"
            disabled={save.isBusy}
            onClick={() => {
              const v = draft.peek('detached');
              if (v === null) draft.read();
              else store({ detachedPct: v });
            }}
          >
            Log the trial
          </Button>
        </>
      ) : (
        <>
          <NumberField label="Pulled off at, MPa" hint="what the gauge shows" bound={draft.bind('mpa')} />
          <Button
            look="main"
            className="self-start"
            disabled={save.isBusy}
            onClick={() => {
              const v = draft.peek('mpa');
              if (v === null) draft.read();
              else store({ pullMpa: v });
            }}
          >
            Log the trial
          </Button>
        </>
      )}
      <FormTrouble words={save.trouble} />
      {view.trials.length > 0 ? (
        <ul className="text-[14px]" aria-label="Trials so far">
          {[...view.trials].reverse().map(({ fact, productName, verdict }) => (
            <li key={fact.factId} className="border-t border-line/60 py-1">
              {moment(fact.happenedAtMs, view.nowMs, view.zone)}: {productName},{' '}
              {fact.body.detachedPct !== undefined
                ? `class ${crossCutClass(fact.body.detachedPct)}`
                : fact.body.pullMpa !== undefined
                  ? `${fact.body.pullMpa} MPa`
                  : 'nail and tape'}
              {verdict ? (
                <strong className={verdict === 'refuse' ? 'text-bad' : ''}>
                  {' '}
                  · {VERDICT_WORDS[verdict]}
                </strong>
              ) : null}
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
