import { useState } from 'react';
import { parseQuantity, type Content } from '@calvetta/core';
import type { Pack } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { Refused } from '../../api/client.ts';
import { useSend } from '../../record/useSend.ts';
import { packGone, packWrite, type Write } from '../../record/write.ts';
import { useShop } from '../../api/queries.ts';
import { failureWords } from '../../dialogs/failureWords.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { newId } from '../../ui/newId.ts';
import { Panel } from '../../ui/Panel.tsx';
import { useUnits } from '../../ui/useUnits.ts';

interface Props {
  readonly productId: string;
  readonly productName: string;
  readonly content: Content;
  readonly packs: readonly Pack[];
  readonly onClose: () => void;
}

/** The sizes a product is sold in, with their prices: what shopping is worked out from. */
export function PackDialog({ productId, productName, content, packs, onClose }: Props) {
  const send = useSend();
  const shop = useShop();
  const units = useUnits();
  const [size, setSize] = useState('');
  const [price, setPrice] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const own = packs.filter((p) => p.productId === productId && p.content === content);
  const change = (write: Write, said: string): void =>
    void send(write, said).catch((e: unknown) =>
      setProblem(e instanceof Refused ? e.body.remedy : 'It could not be stored; try again.'),
    );
  const add = (): void => {
    const ml = parseQuantity(size, {
      field: 'Size',
      dimension: 'volume',
      bareUnit: 'ml',
      min: 0.01,
      max: 250,
      plausibleMin: 0.05,
      otherUnit: 'l',
      ...(shop.data ? { volumeSystem: shop.data.volumeSystem } : {}),
    });
    const money = Number(price.replace(',', '.'));
    if (!ml.ok) {
      setProblem(failureWords(ml.error));
      return;
    }
    if (price.trim() === '' || !(money >= 0)) {
      setProblem('The price of one pack is needed, such as 24.50.');
      return;
    }
    setProblem(null);
    const pack = {
      packId: newId(),
      productId,
      content,
      sizeMl: Math.round(ml.value.value * 1000),
      priceCents: Math.round(money * 100),
    };
    change(packWrite(pack), `Sold in ${units.volume(pack.sizeMl)}: ${productName}`);
    setSize('');
    setPrice('');
  };
  return (
    <Panel title="Sold in packs of" subtitle={`${productName}, ${CONTENT_WORDS[content]}`} onClose={onClose}>
      <div className="flex flex-col gap-3">
        <ul aria-label="Packs">
          {own.map((p) => (
            <li key={p.packId} className="flex min-h-11 items-center gap-3 border-t border-line/60">
              <span className="figure w-24">{units.volume(p.sizeMl)}</span>
              <span className="figure w-20 text-right">{(p.priceCents / 100).toFixed(2)}</span>
              <span className="text-[13px] text-quiet">
                {(p.priceCents / 100 / (p.sizeMl / 1000)).toFixed(2)} a litre
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                onClick={() =>
                  change(packGone(p.packId), `No longer sold: ${units.volume(p.sizeMl)} of ${productName}`)
                }
              >
                No longer sold
              </Button>
            </li>
          ))}
        </ul>
        <div className="grid grid-cols-2 gap-3">
          <Field label="Size" hint="mL, or 2.5 L, 1 qt" problem={problem}>
            <input autoFocus value={size} onChange={(e) => setSize(e.target.value)} />
          </Field>
          <Field label="Price">
            <input inputMode="decimal" value={price} onChange={(e) => setPrice(e.target.value)} />
          </Field>
        </div>
        <Foot>
          <Button look="main" disabled={size.trim() === ''} onClick={add}>
            Add this pack
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
