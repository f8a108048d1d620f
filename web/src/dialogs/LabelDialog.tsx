import { useState } from 'react';
import type { TinRow, TinView } from '@calvetta/contract';
import { useShelf } from '../api/queries.ts';
import { NumberField, TextField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { labelWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { useMoney } from '../ui/money.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { tinName } from '../words/tinWords.ts';
import { BatchPapers } from './BatchPapers.tsx';
import { labelReaders } from './ReceiveDialog.tsx';

interface Props {
  readonly tinId: string;
  readonly onClose: () => void;
}

/** What is printed on a tin, corrected. When someone else was first, both are shown. */
export function LabelDialog({ tinId, onClose }: Props) {
  const shelf = useShelf();
  const tin = shelf.data?.tins.find((t) => t.tinId === tinId);
  return (
    <Panel title="Label and papers" subtitle={tin ? tinName(tin) : ''} onClose={onClose}>
      {tin ? (
        <div className="flex flex-col gap-4">
          <BatchPapers tin={tin} />
          <LabelForm tin={tin} onClose={onClose} />
        </div>
      ) : (
        <Waiting error={shelf.error} what="tin" />
      )}
    </Panel>
  );
}

const textsOf = (t: Pick<TinRow, 'batch' | 'colour' | 'madeMs' | 'priceCents' | 'tareG'>, coins: number) => ({
  batch: t.batch ?? '',
  colour: t.colour ?? '',
  madeOn: t.madeMs === null ? '' : new Date(t.madeMs).toISOString().slice(0, 10),
  price: t.priceCents === null ? '' : (t.priceCents / coins).toFixed(coins === 1 ? 0 : 2),
  tare: t.tareG === null ? '' : String(t.tareG),
});

function LabelForm({ tin, onClose }: { readonly tin: TinView; readonly onClose: () => void }) {
  const send = useSend();
  const save = useSave();
  const [version, setVersion] = useState(tin.version);
  const { coins } = useMoney();
  const draft = useDraft(labelReaders(coins), () => textsOf(tin, coins));
  const refusal = save.refused?.body;
  const theirs = refusal?.code === 'version-conflict' ? (refusal.details.stored as TinRow) : null;
  const store = (): void => {
    const v = draft.read();
    if (!v) return;
    const { batch, colour, madeOn, price, tare } = v;
    const patch = { version, batch, colour, madeOn, priceCents: price, tareG: tare };
    save.run(() => send(labelWrite(tin.tinId, patch), `Label corrected: ${tinName(tin)}`), onClose);
  };
  return (
    <div className="flex flex-col gap-3">
      {theirs ? (
        <div role="alert" className="border-l-4 border-bad bg-ground p-3">
          <p>
            Someone changed this tin meanwhile: batch {theirs.batch ?? '—'}, colour {theirs.colour ?? '—'},
            made {textsOf(theirs, coins).madeOn || '—'}.
          </p>
          <div className="mt-2 flex gap-2">
            <Button onClick={onClose}>Keep theirs</Button>
            <Button
              onClick={() => {
                setVersion(theirs.version);
                save.clear();
              }}
            >
              Go on with mine
            </Button>
          </div>
        </div>
      ) : (
        <FormTrouble words={save.trouble} />
      )}
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Batch" bound={draft.bind('batch')} refused={save.problemAt('batch')} />
        <TextField label="Colour" bound={draft.bind('colour')} refused={save.problemAt('colour')} />
        <TextField
          label="Made on"
          type="date"
          bound={draft.bind('madeOn')}
          refused={save.problemAt('madeOn')}
        />
        <NumberField label="Price" bound={draft.bind('price')} refused={save.problemAt('priceCents')} />
        <NumberField label="Empty tin, g" bound={draft.bind('tare')} refused={save.problemAt('tareG')} />
      </div>
      <Foot>
        <Button look="main" disabled={theirs !== null || save.isBusy} onClick={store}>
          Save
        </Button>
      </Foot>
    </div>
  );
}
