import { useState } from 'react';
import type { TinRow, TinView } from '@calvetta/contract';
import { Refused } from '../../api/client.ts';
import { useSend } from '../../record/useSend.ts';
import { labelWrite } from '../../record/write.ts';
import { problemAt } from '../../dialogs/refusal.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { tinName } from './tinWords.ts';

interface Props {
  readonly tin: TinView;
  readonly onClose: () => void;
}

type Values = Readonly<Record<'batch' | 'colour' | 'madeOn' | 'price' | 'tare', string>>;
const valuesOf = (t: Pick<TinRow, 'batch' | 'colour' | 'madeMs' | 'priceCents' | 'tareG'>): Values => ({
  batch: t.batch ?? '',
  colour: t.colour ?? '',
  madeOn: t.madeMs === null ? '' : new Date(t.madeMs).toISOString().slice(0, 10),
  price: t.priceCents === null ? '' : (t.priceCents / 100).toFixed(2),
  tare: t.tareG === null ? '' : String(t.tareG),
});
const orNull = (text: string): string | null => (text.trim() === '' ? null : text.trim());
const numberOrNull = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'));

/** What is printed on a tin, corrected. When someone else was first, both are shown. */
export function LabelDialog({ tin, onClose }: Props) {
  const send = useSend();
  const [version, setVersion] = useState(tin.version);
  const [v, setV] = useState(() => valuesOf(tin));
  const [error, setError] = useState<Refused | null>(null);
  const theirs = error?.body.code === 'version-conflict' ? (error.body.details.stored as TinRow) : null;
  const price = numberOrNull(v.price);
  const store = (): void =>
    void send(
      labelWrite(tin.tinId, {
        version,
        batch: orNull(v.batch),
        colour: orNull(v.colour),
        madeOn: orNull(v.madeOn),
        priceCents: price === null ? null : Math.round(price * 100),
        tareG: numberOrNull(v.tare),
      }),
      `Label corrected: ${tinName(tin)}`,
    )
      .then(onClose)
      .catch((e: unknown) => e instanceof Refused && setError(e));
  const field = (key: keyof Values, label: string, type = 'text', problem: string | null = null) => (
    <Field label={label} problem={problem}>
      <input type={type} value={v[key]} onChange={(e) => setV({ ...v, [key]: e.target.value })} />
    </Field>
  );
  return (
    <Panel title="Correct the label" subtitle={tinName(tin)} onClose={onClose}>
      <div className="flex flex-col gap-3">
        {theirs ? (
          <div role="alert" className="border-l-4 border-bad bg-ground p-3">
            <p>
              Someone changed this tin meanwhile: batch {theirs.batch ?? '—'}, colour {theirs.colour ?? '—'},
              made {valuesOf(theirs).madeOn || '—'}.
            </p>
            <div className="mt-2 flex gap-2">
              <Button onClick={onClose}>Keep theirs</Button>
              <Button
                onClick={() => {
                  setVersion(theirs.version);
                  setError(null);
                }}
              >
                Go on with mine
              </Button>
            </div>
          </div>
        ) : error ? (
          <p role="alert" className="text-bad">
            {error.body.remedy}
          </p>
        ) : null}
        <div className="grid grid-cols-2 gap-3">
          {field('batch', 'Batch', 'text', problemAt(error, 'batch'))}
          {field('colour', 'Colour', 'text', problemAt(error, 'colour'))}
          {field('madeOn', 'Made on', 'date', problemAt(error, 'madeOn'))}
          {field('price', 'Price', 'text', problemAt(error, 'priceCents'))}
          {field('tare', 'Empty tin, g', 'text', problemAt(error, 'tareG'))}
        </div>
        <Foot>
          <Button look="main" disabled={theirs !== null} onClick={store}>
            Save
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
