import { useState } from 'react';
import { checkCup, cupFromWater, cupFullMl } from '@calvetta/core';
import { failureWords } from '../forms/failureWords.ts';
import { Choice } from '../forms/Field.tsx';
import { NumberField, TextField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { number, words } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { cupWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly onClose: () => void;
  readonly onStored: (cupId: string) => void;
}
const HOW = [
  { value: 'ruler', text: 'with a ruler' },
  { value: 'water', text: 'by weighing water' },
] as const;
const FIELDS = {
  ruler: [
    ['bottomMm', 'Inside diameter at the bottom, mm'],
    ['topMm', 'Inside diameter at the rim, mm'],
    ['heightMm', 'Inside height, mm'],
  ],
  water: [
    ['heightMm', 'Inside height, mm'],
    ['fullG', 'Water when full, g'],
    ['halfG', 'Water at half that height, g'],
  ],
} as const;
// Core judges what a cup may be; here only that it is a number.
const mm = number('mm', 0, 100_000);
const grams = number('g', 0, 100_000);
const READERS = { name: words, bottomMm: mm, topMm: mm, heightMm: mm, fullG: grams, halfG: grams };
const EMPTY = { name: '', bottomMm: '', topMm: '', heightMm: '', fullG: '', halfG: '' };

/** A cup measured once: by ruler, or by weighing water in it at half height and full. */
export function CupDialog({ onClose, onStored }: Props) {
  const send = useSend();
  const save = useSave();
  const [how, setHow] = useState<'ruler' | 'water'>('ruler');
  const draft = useDraft(READERS, EMPTY);
  const v = (field: keyof typeof READERS & `${string}${'Mm' | 'G'}`): number => draft.peek(field) ?? NaN;
  const cup =
    how === 'ruler'
      ? checkCup({ bottomMm: v('bottomMm'), topMm: v('topMm'), heightMm: v('heightMm') })
      : cupFromWater(v('heightMm'), v('fullG'), v('halfG'));
  const name = draft.peek('name');
  const isAsked = FIELDS[how].every(([f]) => draft.peek(f) !== null);
  const store = (): void => {
    if (!cup.ok || name === null) return;
    const cupId = newId();
    save.run(
      () => send(cupWrite({ cupId, name, ...cup.value }), `Measured: ${name}`),
      () => {
        onStored(cupId);
        onClose();
      },
    );
  };
  return (
    <Panel title="Measure a cup" subtitle="Straight or tapered; inside measures" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <Choice label="Measured" value={how} options={HOW} onChange={setHow} />
        <TextField label="Name" maxLength={60} bound={draft.bind('name')} refused={save.problemAt('name')} />
        {FIELDS[how].map(([f, label]) => (
          <NumberField key={f} label={label} bound={draft.bind(f)} />
        ))}
        <p role="status" className={cup.ok ? 'figure text-[18px]' : 'text-bad'}>
          {cup.ok
            ? `Holds ${cupFullMl(cup.value).toFixed(0)} mL: ${cup.value.bottomMm.toFixed(1)} to ${cup.value.topMm.toFixed(1)} mm across`
            : isAsked
              ? failureWords(cup.error)
              : ''}
        </p>
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button look="main" disabled={!cup.ok || name === null || save.isBusy} onClick={store}>
            Keep this cup
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
