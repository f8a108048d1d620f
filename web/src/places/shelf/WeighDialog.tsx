import { useState } from 'react';
import { recipeOf, traitsOf, type ProductSheet } from '@calvetta/core';
import type { TinView } from '@calvetta/contract';
import { isRefusal } from '../../dialogs/refusal.ts';
import { useStock } from '../../record/useRecord.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { LabelDialog } from './LabelDialog.tsx';
import { tinName } from './tinWords.ts';

interface Props {
  readonly tin: TinView;
  readonly sheets: readonly ProductSheet[];
  readonly onClose: () => void;
}

/** Density of what is in the tin, kg/L, by its sheet; null when the sheet contradicts itself. */
export function contentDensity(
  tin: Pick<TinView, 'productId' | 'content'>,
  sheets: readonly ProductSheet[],
): number | null {
  const sheet = sheets
    .filter((s) => s.productId === tin.productId)
    .sort((a, b) => b.revision - a.revision)[0];
  if (!sheet) return null;
  const traits = traitsOf(sheet);
  if (tin.content === 'hardener') return traits.hardenerDensityKgL;
  if (tin.content === 'thinner') return traits.thinnerDensityKgL;
  const recipe = recipeOf(traits, 0);
  return recipe.ok ? recipe.value.aKgL : null;
}

const SHARES = [1, 0.75, 0.5, 0.25, 0.1, 0] as const;
const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

/** How much is in a tin: on a scale with its empty weight, or by eye. One touch for a guess, two fields for a weight. */
export function WeighDialog({ tin, sheets, onClose }: Props) {
  const units = useUnits();
  const stock = useStock();
  const [gross, setGross] = useState('');
  const [tare, setTare] = useState(tin.tareG === null ? '' : String(tin.tareG));
  const [isLabel, setLabel] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const density = contentDensity(tin, sheets);
  const netG = numberOf(gross) - numberOf(tare);
  const ml = density === null || !Number.isFinite(netG) ? null : netG / density;
  const isPossible = ml !== null && ml >= 0 && ml <= tin.sizeMl * 1.1;
  const store = (amountMl: number, by: 'weighed' | 'guessed'): void => {
    stock({
      kind: 'tin-weighed',
      about: tinName(tin),
      body: { tinId: tin.tinId, ml: Number(amountMl.toFixed(1)), by },
    })
      .then(onClose)
      .catch((e: unknown) => {
        if (!isRefusal(e)) throw e;
        setProblem(e.body.remedy);
      });
  };
  const bin = (): void =>
    void stock({ kind: 'tin-binned', about: tinName(tin), body: { tinId: tin.tinId } }).then(onClose);
  if (isLabel) return <LabelDialog tin={tin} onClose={onClose} />;
  return (
    <Panel
      title="How much is in it?"
      subtitle={`${tinName(tin)}, batch ${tin.batch ?? 'not known'}`}
      onClose={onClose}
    >
      <div className="flex flex-col gap-4">
        <p className="text-quiet">
          It should hold {units.volume(tin.levelMl)}. A difference goes to the unexplained, and is kept as
          that.
        </p>
        <fieldset>
          <legend className="mb-1 text-[14px]">By eye: about</legend>
          <div className="flex flex-wrap gap-2">
            {SHARES.map((s) => (
              <Button key={s} onClick={() => store(s * tin.sizeMl, 'guessed')}>
                {s === 0 ? 'empty' : s === 1 ? 'full' : `${s * 100} %`}
              </Button>
            ))}
          </div>
        </fieldset>
        <div className="grid grid-cols-2 gap-3">
          <Field label="On the scale, g" problem={problem}>
            <input autoFocus inputMode="decimal" value={gross} onChange={(e) => setGross(e.target.value)} />
          </Field>
          <Field label="Empty tin, g" hint="with lid; an empty one of the same size">
            <input inputMode="decimal" value={tare} onChange={(e) => setTare(e.target.value)} />
          </Field>
        </div>
        <p role="status" className={isPossible || ml === null ? 'figure text-[18px]' : 'text-bad'}>
          {ml === null
            ? ''
            : isPossible
              ? `${units.volume(ml)} at ${density!.toFixed(2)} kg/L`
              : `${ml.toFixed(0)} mL cannot be in a tin of ${units.volume(tin.sizeMl)}: check both weights`}
        </p>
        <Foot>
          <Button look="main" disabled={!isPossible} onClick={() => store(ml!, 'weighed')}>
            Store the weight
          </Button>
          <Button look="quiet" onClick={() => setLabel(true)}>
            Correct its label
          </Button>
          <Button look="quiet" onClick={bin}>
            Bin it, with what is in it
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
