import { useState } from 'react';
import { CONTENTS, parseQuantity, traitsOf, type Content, type ProductSheet } from '@calvetta/core';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { Refused } from '../../api/client.ts';
import { useSend } from '../../record/useSend.ts';
import { tinWrite } from '../../record/write.ts';
import { useShop } from '../../api/queries.ts';
import { failureWords } from '../../dialogs/failureWords.ts';
import { problemAt } from '../../dialogs/refusal.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { newId } from '../../ui/newId.ts';
import { Panel } from '../../ui/Panel.tsx';

interface Props {
  readonly sheets: readonly ProductSheet[];
  readonly onClose: () => void;
}

type Values = Readonly<Record<'batch' | 'colour' | 'size' | 'madeOn' | 'price' | 'tare', string>>;
const EMPTY: Values = { batch: '', colour: '', size: '', madeOn: '', price: '', tare: '' };
const orNull = (text: string): string | null => (text.trim() === '' ? null : text.trim());

/** A tin that came in: product, what it holds, size; batch, date and price where they are printed. */
export function ReceiveDialog({ sheets, onClose }: Props) {
  const send = useSend();
  const shop = useShop();
  const { personId, deviceId } = usePrefs();
  const newest = [
    ...new Map([...sheets].sort((a, b) => a.revision - b.revision).map((s) => [s.productId, s])).values(),
  ];
  newest.sort((a, b) => (a.name < b.name ? -1 : 1));
  const [productId, setProductId] = useState(newest[0]?.productId ?? '');
  const [content, setContent] = useState<Content>('paint');
  const [v, setV] = useState(EMPTY);
  const [error, setError] = useState<Refused | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  // Made once, so that a second touch after a lost answer is the same tin.
  const [ids] = useState(() => ({ tinId: newId(), factId: newId() }));
  const sheet = newest.find((s) => s.productId === productId);
  const contents = CONTENTS.filter((c) => c !== 'hardener' || (sheet && traitsOf(sheet).mix !== null));
  const set = (patch: Partial<Values>): void => setV({ ...v, ...patch });
  const store = (): void => {
    const size = parseQuantity(v.size, {
      field: 'Size',
      dimension: 'volume',
      bareUnit: 'ml',
      min: 0.01,
      max: 250,
      plausibleMin: 0.05,
      otherUnit: 'l',
      ...(shop.data ? { volumeSystem: shop.data.volumeSystem } : {}),
    });
    if (!size.ok) {
      setProblem(failureWords(size.error));
      return;
    }
    setProblem(null);
    const sizeMl = Number((size.value.value * 1000).toFixed(1));
    send(
      tinWrite({
        tin: {
          tinId: ids.tinId,
          productId,
          content,
          batch: orNull(v.batch),
          colour: orNull(v.colour),
          sizeMl,
          madeOn: orNull(v.madeOn),
          priceCents: orNull(v.price) === null ? null : Math.round(Number(v.price.replace(',', '.')) * 100),
          tareG: orNull(v.tare) === null ? null : Number(v.tare.replace(',', '.')),
        },
        receivedMl: sizeMl,
        factId: ids.factId,
        happenedAt: new Date().toISOString(),
        personId: personId ?? shop.data?.people[0]?.personId ?? '',
        deviceId,
      }),
      `Received: ${sheet?.name ?? productId}, ${CONTENT_WORDS[content]}`,
    )
      .then(onClose)
      .catch((e: unknown) => (e instanceof Refused ? setError(e) : undefined));
  };
  return (
    <Panel title="Receive a tin" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <Field label="Product" problem={problemAt(error, 'tin.productId')}>
          <select aria-label="Product" value={productId} onChange={(e) => setProductId(e.target.value)}>
            {newest.map((s) => (
              <option key={s.productId} value={s.productId}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
        <Choice<Content>
          label="It holds"
          value={content}
          options={contents.map((c) => ({ value: c, text: CONTENT_WORDS[c] }))}
          onChange={setContent}
        />
        <div className="grid grid-cols-2 gap-3">
          <Field label="Size" hint="mL, or 4 L, 1 qt" problem={problem ?? problemAt(error, 'tin.sizeMl')}>
            <input autoFocus value={v.size} onChange={(e) => set({ size: e.target.value })} />
          </Field>
          <Field label="Batch" problem={problemAt(error, 'tin.batch')}>
            <input value={v.batch} maxLength={60} onChange={(e) => set({ batch: e.target.value })} />
          </Field>
          {content === 'paint' ? (
            <Field label="Colour" hint="as the parts’ colour group says it">
              <input value={v.colour} maxLength={60} onChange={(e) => set({ colour: e.target.value })} />
            </Field>
          ) : null}
          <Field
            label="Made on"
            hint="from the label; empty: not known"
            problem={problemAt(error, 'tin.madeOn')}
          >
            <input type="date" value={v.madeOn} onChange={(e) => set({ madeOn: e.target.value })} />
          </Field>
          <Field label="Price" problem={problemAt(error, 'tin.priceCents')}>
            <input inputMode="decimal" value={v.price} onChange={(e) => set({ price: e.target.value })} />
          </Field>
          <Field label="Empty tin, g" problem={problemAt(error, 'tin.tareG')}>
            <input inputMode="decimal" value={v.tare} onChange={(e) => set({ tare: e.target.value })} />
          </Field>
        </div>
        {error ? (
          <p role="alert" className="text-bad">
            {error.body.remedy}
          </p>
        ) : null}
        <Foot>
          <Button look="main" disabled={v.size.trim() === ''} onClick={store}>
            Put it on the shelf
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
