import { contentDensityKgL, type ProductSheet } from '@calvetta/core';
import type { TinView } from '@calvetta/contract';
import { useSheets, useShelf } from '../api/queries.ts';
import { NumberField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { MeasuredWith, useMeasuredWith } from '../forms/MeasuredWith.tsx';
import { number } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { useDialogs } from '../state/dialogs.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { tinName } from '../words/tinWords.ts';

interface Props {
  readonly tinId: string;
  readonly onClose: () => void;
}

/** How much is in a tin: on a scale with its empty weight, or by eye. One touch for a guess, two fields for a weight. */
export function WeighDialog({ tinId, onClose }: Props) {
  const shelf = useShelf();
  const sheets = useSheets();
  const tin = shelf.data?.tins.find((t) => t.tinId === tinId);
  return (
    <Panel
      title="How much is in it?"
      subtitle={tin ? `${tinName(tin)}, batch ${tin.batch ?? 'not known'}` : ''}
      onClose={onClose}
    >
      {tin && sheets.data ? (
        <WeighForm tin={tin} sheets={sheets.data.sheets} onClose={onClose} />
      ) : (
        <Waiting error={shelf.error ?? sheets.error} what="tin" />
      )}
    </Panel>
  );
}

const SHARES = [1, 0.75, 0.5, 0.25, 0.1, 0] as const;
const grams = number('g', 0, 100_000);

interface FormProps {
  readonly tin: TinView;
  readonly sheets: readonly ProductSheet[];
  readonly onClose: () => void;
}

interface ByEyeProps {
  readonly isBusy: boolean;
  readonly onShare: (share: number) => void;
}
const ByEye = ({ isBusy, onShare }: ByEyeProps) => (
  <fieldset>
    <legend className="mb-1 text-[14px]">By eye: about</legend>
    <div className="flex flex-wrap gap-2">
      {SHARES.map((s) => (
        <Button key={s} disabled={isBusy} onClick={() => onShare(s)}>
          {s === 0 ? 'empty' : s === 1 ? 'full' : `${s * 100} %`}
        </Button>
      ))}
    </div>
  </fieldset>
);

function WeighForm({ tin, sheets, onClose }: FormProps) {
  const units = useUnits();
  const stock = useStock();
  const save = useSave();
  const show = useDialogs((s) => s.show);
  const gaugeId = useMeasuredWith('scale');
  const draft = useDraft(
    { gross: grams, tare: grams },
    { gross: '', tare: tin.tareG === null ? '' : String(tin.tareG) },
  );
  const density = contentDensityKgL(sheets, tin.productId, tin.content);
  const ml = density === null || !draft.values ? null : (draft.values.gross - draft.values.tare) / density;
  const isPossible = ml !== null && ml >= 0 && ml <= tin.sizeMl * 1.1;
  const about = tinName(tin);
  const store = (amountMl: number, by: 'weighed' | 'guessed'): void =>
    save.run(
      () =>
        stock({
          kind: 'tin-weighed',
          about,
          body: {
            tinId: tin.tinId,
            ml: Number(amountMl.toFixed(1)),
            by,
            ...(by === 'weighed' && gaugeId !== null ? { gaugeId } : {}),
          },
        }),
      onClose,
    );
  return (
    <div className="flex flex-col gap-4">
      <p className="text-quiet">
        It should hold {units.volume(tin.levelMl)}. A difference goes to the unexplained, and is kept as that.
      </p>
      <ByEye isBusy={save.isBusy} onShare={(share) => store(share * tin.sizeMl, 'guessed')} />
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="On the scale, g" bound={draft.bind('gross')} autoFocus />
        <NumberField
          label="Empty tin, g"
          hint="with lid; an empty one of the same size"
          bound={draft.bind('tare')}
        />
      </div>
      <MeasuredWith kind="scale" />
      <p role="status" className={isPossible || ml === null ? 'figure text-[18px]' : 'text-bad'}>
        {ml === null
          ? ''
          : isPossible
            ? `${units.volume(ml)} at ${density!.toFixed(2)} kg/L`
            : `${ml.toFixed(0)} mL cannot be in a tin of ${units.volume(tin.sizeMl)}: check both weights`}
      </p>
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button look="main" disabled={!isPossible || save.isBusy} onClick={() => store(ml!, 'weighed')}>
          Store the weight
        </Button>
        <Button look="quiet" onClick={() => show({ kind: 'label', tinId: tin.tinId })}>
          Label and papers
        </Button>
        <Button
          look="quiet"
          disabled={save.isBusy}
          onClick={() =>
            save.run(() => stock({ kind: 'tin-binned', about, body: { tinId: tin.tinId } }), onClose)
          }
        >
          Bin it, with what is in it
        </Button>
      </Foot>
    </div>
  );
}
