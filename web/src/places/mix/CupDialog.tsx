import { useState } from 'react';
import { checkCup, cupFromWater, cupFullMl } from '@calvetta/core';
import { Refused } from '../../api/client.ts';
import { useSend } from '../../record/useSend.ts';
import { cupWrite } from '../../record/write.ts';
import { failureWords } from '../../dialogs/failureWords.ts';
import { problemAt } from '../../dialogs/refusal.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { newId } from '../../ui/newId.ts';
import { Panel } from '../../ui/Panel.tsx';

interface Props {
  readonly onClose: () => void;
  readonly onStored: (cupId: string) => void;
}
const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
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

/** A cup measured once: by ruler, or by weighing water in it at half height and full. */
export function CupDialog({ onClose, onStored }: Props) {
  const send = useSend();
  const [how, setHow] = useState<'ruler' | 'water'>('ruler');
  const [name, setName] = useState('');
  const [values, setValues] = useState<Readonly<Record<string, string>>>({});
  const [error, setError] = useState<Refused | null>(null);
  const v = (field: string): number => numberOf(values[field] ?? '');
  const cup =
    how === 'ruler'
      ? checkCup({ bottomMm: v('bottomMm'), topMm: v('topMm'), heightMm: v('heightMm') })
      : cupFromWater(v('heightMm'), v('fullG'), v('halfG'));
  const store = (): void => {
    if (!cup.ok) return;
    const cupId = newId();
    send(cupWrite({ cupId, name: name.trim(), ...cup.value }), `Measured: ${name.trim()}`)
      .then(() => onStored(cupId))
      .catch((e: unknown) => e instanceof Refused && setError(e));
  };
  const asked = FIELDS[how].every(([f]) => Number.isFinite(v(f)));
  return (
    <Panel title="Measure a cup" subtitle="Straight or tapered; inside measures" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <Choice
          label="Measured"
          value={how}
          options={[
            { value: 'ruler', text: 'with a ruler' },
            { value: 'water', text: 'by weighing water' },
          ]}
          onChange={setHow}
        />
        <Field label="Name" problem={problemAt(error, 'name')}>
          <input value={name} maxLength={60} onChange={(e) => setName(e.target.value)} />
        </Field>
        {FIELDS[how].map(([f, label]) => (
          <Field key={f} label={label}>
            <input
              inputMode="decimal"
              value={values[f] ?? ''}
              onChange={(e) => setValues({ ...values, [f]: e.target.value })}
            />
          </Field>
        ))}
        <p role="status" className={cup.ok ? 'figure text-[18px]' : 'text-bad'}>
          {cup.ok
            ? `Holds ${cupFullMl(cup.value).toFixed(0)} mL: ${cup.value.bottomMm.toFixed(1)} to ${cup.value.topMm.toFixed(1)} mm across`
            : asked
              ? failureWords(cup.error)
              : ''}
        </p>
        <Foot>
          <Button look="main" disabled={!cup.ok || name.trim() === ''} onClick={store}>
            Keep this cup
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
