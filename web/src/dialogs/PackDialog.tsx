import type { Content } from '@calvetta/core';
import type { ShelfResponse, ShopInfo } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useShelf, useShop } from '../api/queries.ts';
import { NumberField, QuantityField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { price, quantity } from '../forms/read.ts';
import { packSizeField } from '../forms/readMl.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { packGone, packWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useMoney } from '../ui/money.ts';
import { useUnits } from '../ui/useUnits.ts';

interface Props {
  readonly productId: string;
  readonly productName: string;
  readonly content: Content;
  readonly onClose: () => void;
}

/** The sizes a product is sold in, with their prices: what shopping is worked out from. */
export function PackDialog({ onClose, ...of }: Props) {
  const shop = useShop();
  const shelf = useShelf();
  return (
    <Panel
      title="Sold in packs of"
      subtitle={`${of.productName}, ${CONTENT_WORDS[of.content]}`}
      onClose={onClose}
    >
      {shop.data && shelf.data ? (
        <PackForm {...of} shop={shop.data} packs={shelf.data.packs} />
      ) : (
        <Waiting error={shop.error ?? shelf.error} what="shelf" />
      )}
    </Panel>
  );
}

interface FormProps extends Omit<Props, 'onClose'> {
  readonly shop: ShopInfo;
  readonly packs: ShelfResponse['packs'];
}

function PackForm({ productId, productName, content, shop, packs }: FormProps) {
  const send = useSend();
  const save = useSave();
  const units = useUnits();
  const money = useMoney();
  const draft = useDraft(
    { sizeMl: quantity(packSizeField(shop.volumeSystem), 1000), priceCents: price(money.coins) },
    { sizeMl: '', priceCents: '' },
  );
  const add = (): void => {
    const v = draft.read();
    if (!v) return;
    const pack = {
      packId: newId(),
      productId,
      content,
      sizeMl: Math.round(v.sizeMl),
      priceCents: v.priceCents,
    };
    save.run(
      () => send(packWrite(pack), `Sold in ${units.volume(pack.sizeMl)}: ${productName}`),
      // What was typed stays until it is stored.
      () => draft.clear(),
    );
  };
  return (
    <div className="flex flex-col gap-3">
      <ul aria-label="Packs">
        {packs
          .filter((p) => p.productId === productId && p.content === content)
          .map((p) => (
            <li key={p.packId} className="flex min-h-11 items-center gap-3 border-t border-line/60">
              <span className="figure w-24">{units.volume(p.sizeMl)}</span>
              <span className="figure w-20 text-right">{money.price(p.priceCents)}</span>
              <span className="text-[13px] text-quiet">
                {money.price(p.priceCents / (p.sizeMl / 1000))} a litre
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                disabled={save.isBusy}
                onClick={() =>
                  save.run(() =>
                    send(packGone(p.packId), `No longer sold: ${units.volume(p.sizeMl)} of ${productName}`),
                  )
                }
              >
                No longer sold
              </Button>
            </li>
          ))}
      </ul>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField label="Size" hint="mL, or 2.5 L, 1 qt" bound={draft.bind('sizeMl')} autoFocus />
        <NumberField label="Price" bound={draft.bind('priceCents')} />
      </div>
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button look="main" disabled={draft.texts.sizeMl.trim() === '' || save.isBusy} onClick={add}>
          Add this pack
        </Button>
      </Foot>
    </div>
  );
}
