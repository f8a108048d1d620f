import { useState } from 'react';
import { CONTENTS, newestSheets, traitsOf, type Content, type ProductSheet } from '@calvetta/core';
import type { ShopInfo } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useSheets, useShop } from '../api/queries.ts';
import { Choice } from '../forms/Field.tsx';
import { NumberField, QuantityField, SelectField, TextField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { asIs, maybe, number, price, quantity, words, type Reader } from '../forms/read.ts';
import { packSizeField } from '../forms/readMl.ts';
import { useDraft, type Draft } from '../forms/useDraft.ts';
import { useSave, type Save } from '../forms/useSave.ts';
import { useWriter } from '../record/useRecord.ts';
import { useSend } from '../record/useSend.ts';
import { tinWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { useMoney } from '../ui/money.ts';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useDialogs } from '../state/dialogs.ts';

/** A tin that came in: product, what it holds, size; batch, date and price where they are printed. */
export function ReceiveDialog({ onClose }: { readonly onClose: () => void }) {
  const sheets = useSheets();
  const shop = useShop();
  return (
    <Panel title="Receive a tin" onClose={onClose}>
      {sheets.data && shop.data ? (
        <ReceiveForm sheets={sheets.data.sheets} shop={shop.data} onClose={onClose} />
      ) : (
        <Waiting error={sheets.error ?? shop.error} what="shelf" />
      )}
    </Panel>
  );
}

interface Props {
  readonly sheets: readonly ProductSheet[];
  readonly shop: ShopInfo;
  readonly onClose: () => void;
}

/** How what is printed on a tin is read; empty is "not known". */
export const labelReaders = (coins: number) => ({
  batch: maybe(words),
  colour: maybe(words),
  madeOn: maybe(asIs),
  price: maybe(price(coins)),
  tare: maybe(number('g', 1, 50_000)),
});
type LabelReaders = ReturnType<typeof labelReaders>;

function ReceiveForm({ sheets, shop, onClose }: Props) {
  const send = useSend();
  const save = useSave();
  const writer = useWriter();
  const show = useDialogs((s) => s.show);
  const { coins } = useMoney();
  const newest = newestSheets(sheets).sort((a, b) => (a.name < b.name ? -1 : 1));
  const [productId, setProductId] = useState(newest[0]?.productId ?? '');
  const [content, setContent] = useState<Content>('paint');
  const draft = useDraft(
    { ...labelReaders(coins), sizeMl: quantity(packSizeField(shop.volumeSystem), 1000) },
    { batch: '', colour: '', madeOn: '', price: '', tare: '', sizeMl: '' },
  );
  // Made once, so that a second touch after a lost answer is the same tin.
  const [ids] = useState(() => ({ tinId: newId(), factId: newId() }));
  const sheet = newest.find((s) => s.productId === productId);
  const contents = CONTENTS.filter((c) => c !== 'hardener' || (sheet && traitsOf(sheet).mix !== null));
  const store = (): void => {
    const v = draft.read();
    if (!v) return;
    const sizeMl = Number(v.sizeMl.toFixed(1));
    const { batch, colour, madeOn, price: paid, tare } = v;
    const tin = { ...ids, productId, content, batch, colour, madeOn, sizeMl, priceCents: paid, tareG: tare };
    const { factId, ...received } = tin;
    const write = async () =>
      tinWrite({
        tin: received,
        receivedMl: sizeMl,
        factId,
        happenedAt: new Date().toISOString(),
        ...(await writer()),
      });
    save.run(
      async () => send(await write(), `Received: ${sheet?.name ?? productId}, ${CONTENT_WORDS[content]}`),
      onClose,
    );
  };
  return (
    <div className="flex flex-col gap-3">
      <SelectField
        label="Product"
        problem={save.problemAt('tin.productId')}
        value={productId}
        options={newest.map((s) => ({ value: s.productId, text: s.name }))}
        onChange={setProductId}
      />
      <Button
        look="quiet"
        className="self-start"
        onClick={() => show({ kind: 'own-sheet', familyId: productId })}
      >
        Its tin says otherwise: type its sheet
      </Button>
      <Choice<Content>
        label="It holds"
        value={content}
        options={contents.map((c) => ({ value: c, text: CONTENT_WORDS[c] }))}
        onChange={setContent}
      />
      <Printed draft={draft} save={save} hasColour={content === 'paint'} />
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button look="main" disabled={draft.texts.sizeMl.trim() === '' || save.isBusy} onClick={store}>
          Put it on the shelf
        </Button>
      </Foot>
    </div>
  );
}

interface PrintedProps {
  readonly draft: Draft<LabelReaders & { readonly sizeMl: Reader<number> }>;
  readonly save: Save;
  readonly hasColour: boolean;
}

/** What is printed on the tin. */
function Printed({ draft, save, hasColour }: PrintedProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <QuantityField
        label="Size"
        hint="mL, or 4 L, 1 qt"
        bound={draft.bind('sizeMl')}
        refused={save.problemAt('tin.sizeMl')}
        autoFocus
      />
      <TextField
        label="Batch"
        maxLength={60}
        bound={draft.bind('batch')}
        refused={save.problemAt('tin.batch')}
      />
      {hasColour ? (
        <TextField
          label="Colour"
          hint="as the parts’ colour group says it"
          maxLength={60}
          bound={draft.bind('colour')}
        />
      ) : null}
      <TextField
        label="Made on"
        hint="from the label; empty: not known"
        type="date"
        bound={draft.bind('madeOn')}
        refused={save.problemAt('tin.madeOn')}
      />
      <NumberField label="Price" bound={draft.bind('price')} refused={save.problemAt('tin.priceCents')} />
      <NumberField label="Empty tin, g" bound={draft.bind('tare')} refused={save.problemAt('tin.tareG')} />
    </div>
  );
}
