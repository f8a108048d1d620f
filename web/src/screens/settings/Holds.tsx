import { M2_PER_FT2, type Capacity } from '@calvetta/core';
import type { MeansInfo } from '@calvetta/contract';
import { CAPACITY_WORDS } from '@calvetta/contract/words';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { NumberField, QuantityField } from '../../forms/fields.tsx';
import { maybe, number, quantity, type Reader } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { useSave } from '../../forms/useSave.ts';
import { useSend } from '../../record/useSend.ts';
import { meansWrite } from '../../record/write.ts';
import { Button } from '../../ui/Button.tsx';
import { numberText } from '../../dialogs/usePartForm.ts';
import { usePrefs } from '../../state/prefs.ts';

/** Pieces: a whole number, or nothing said. */
const pieces =
  (min: number): Reader<number | null> =>
  (text) => {
    const read = maybe(number('', min, 50))(text);
    return read.ok && read.value !== null && !Number.isInteger(read.value)
      ? { ok: false, problem: 'Write a whole number, or leave it empty.' }
      : read;
  };

/** How much the shop's things hold at once: plans are made by it. */
export function Holds({ means }: { readonly means: MeansInfo }) {
  const areaUnit = usePrefs((s) => s.units.area);
  const send = useSend();
  const save = useSave();
  const now = means.capacity;
  const kg = { field: 'Mass', dimension: 'mass', bareUnit: 'kg', min: 1, max: 100_000 } as const;
  const m2 = { field: 'Area', dimension: 'area', bareUnit: areaUnit, min: 0.01, max: 10_000 } as const;
  const draft = useDraft(
    {
      hangKg: maybe(quantity(kg)),
      bathKg: maybe(quantity(kg)),
      ovenM2: maybe(quantity(m2)),
      cabinets: pieces(1),
      hoists: pieces(0),
      airTools: pieces(1),
    },
    {
      hangKg: numberText(now.hangKg),
      bathKg: numberText(now.bathKg),
      ovenM2: numberText(now.ovenM2 === null || areaUnit === 'm2' ? now.ovenM2 : now.ovenM2 / M2_PER_FT2),
      cabinets: numberText(now.cabinets),
      hoists: numberText(now.hoists),
      airTools: numberText(now.airTools),
    },
  );
  const store = (): void => {
    const capacity: Capacity | null = draft.read();
    const { version, facilities, schools } = means;
    if (capacity)
      save.run(() =>
        send(meansWrite({ version, facilities, schools, capacity }), 'What the shop holds is stored'),
      );
  };
  const field = (key: keyof Capacity) => {
    const { label, hint, isCount } = CAPACITY_WORDS[key];
    const Kind = isCount ? NumberField : QuantityField;
    const unit = isCount ? '' : `, ${key === 'ovenM2' ? (areaUnit === 'ft2' ? 'ft²' : 'm²') : 'kg'}`;
    return (
      <Kind
        key={key}
        label={`${label}${unit}`}
        hint={hint}
        size={8}
        bound={draft.bind(key)}
        refused={save.problemAt(`capacity.${key}`)}
      />
    );
  };
  return (
    <form
      className="flex flex-col gap-2 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        store();
      }}
    >
      <h3 className="figure text-[15px]">How much it holds at once</h3>
      <p className="text-[13px] text-quiet">
        Plans go by it. Empty: nobody has said, and there is no end of it.
      </p>
      <div className="grid gap-x-4 gap-y-1 sm:grid-cols-3">
        {(Object.keys(CAPACITY_WORDS) as (keyof Capacity)[]).map(field)}
      </div>
      <FormTrouble words={save.trouble} />
      <Button type="submit" className="self-start" disabled={save.isBusy}>
        Store what it holds
      </Button>
    </form>
  );
}
