import { useState } from 'react';
import { M2_PER_FT2, SUBSTRATES, type Dimension, type Substrate } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { usePart } from '../api/queries.ts';
import { QuantityField, SelectField, TextField } from '../forms/fields.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { maybe, quantity, words } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { partWrite } from '../record/write.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';

interface Props {
  readonly partId: string;
  readonly onClose: () => void;
}

/** What a part is: name, metal, sizes. Two tablets editing at once both see both versions. */
export function EditPartDialog({ partId, onClose }: Props) {
  const part = usePart(partId);
  return (
    <Panel title="Edit the part" subtitle={part.data?.card.name ?? ''} onClose={onClose}>
      {part.data ? (
        <EditForm part={part.data} onClose={onClose} />
      ) : (
        <Waiting error={part.error} what="part" />
      )}
    </Panel>
  );
}

interface Stored {
  readonly name: string;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly colourGroup: string | null;
  readonly substrate: Substrate;
  readonly version: number;
}

const numberText = (x: number | null): string => (x === null ? '' : String(Number(x.toPrecision(4))));
const size = (field: string, dimension: Dimension, bareUnit: string, max: number, per = 1) =>
  maybe(quantity({ field, dimension, bareUnit, min: 1e-5, max }, per));
const readersFor = (areaUnit: 'm2' | 'ft2') => ({
  name: words,
  massKg: size('mass', 'mass', 'kg', 200_000),
  areaM2: size('area', 'area', areaUnit, 10_000),
  thicknessMm: size('thickness', 'length', 'mm', 1, 1000),
  colourGroup: maybe(words),
});

function textsOf(part: PartDetail, areaUnit: 'm2' | 'ft2') {
  const { areaM2 } = part.card;
  const area = areaM2 === null || areaUnit === 'm2' ? areaM2 : areaM2 / M2_PER_FT2;
  return {
    name: part.card.name,
    massKg: numberText(part.massKg),
    areaM2: numberText(area),
    thicknessMm: numberText(part.thicknessMm),
    colourGroup: part.colourGroup ?? '',
  };
}

function EditForm({ part, onClose }: { readonly part: PartDetail; readonly onClose: () => void }) {
  const send = useSend();
  const save = useSave();
  const areaUnit = usePrefs((s) => s.units.area);
  // What the person started from stays, though the part behind may be read again meanwhile.
  const [version] = useState(part.version);
  const [substrate, setSubstrate] = useState(part.card.substrate);
  const draft = useDraft(readersFor(areaUnit), () => textsOf(part, areaUnit));
  const refusal = save.refused?.body;
  const theirs = refusal?.code === 'version-conflict' ? (refusal.details.stored as Stored) : null;
  const store = (over: number): void => {
    const v = draft.read();
    if (!v) return;
    const thicknessMm = v.thicknessMm === null ? null : Number(v.thicknessMm.toFixed(3));
    const patch = { ...v, thicknessMm, substrate, version: over };
    save.run(() => send(partWrite(part.card.partId, patch), `Stored: ${v.name}`), onClose);
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store(version);
      }}
    >
      <TextField label="Name" bound={draft.bind('name')} refused={save.problemAt('name')} />
      <SelectField<Substrate>
        label="Metal"
        value={substrate}
        options={SUBSTRATES.map((s) => ({ value: s, text: SUBSTRATE_WORDS[s] }))}
        onChange={setSubstrate}
      />
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <QuantityField label="Mass" hint="kg, or write 120 lb" bound={draft.bind('massKg')} />
        <QuantityField
          label="Area"
          hint={areaUnit === 'ft2' ? 'ft², or write 2 m2' : 'm², or write 20 ft2'}
          bound={draft.bind('areaM2')}
        />
        <QuantityField label="Thickest web" hint="mm, or write 1/2 in" bound={draft.bind('thicknessMm')} />
      </div>
      <TextField
        label="Colour group"
        hint="parts that must come from one batch"
        bound={draft.bind('colourGroup')}
      />
      {theirs ? (
        <Theirs stored={theirs} onKeep={onClose} onMine={() => store(theirs.version)} />
      ) : (
        <FormTrouble words={save.trouble} />
      )}
      <Button type="submit" look="main" className="self-start" disabled={save.isBusy}>
        Save
      </Button>
    </form>
  );
}

interface TheirsProps {
  readonly stored: Stored;
  readonly onKeep: () => void;
  readonly onMine: () => void;
}

/** Someone else stored first: both stand side by side until a person says which. */
function Theirs({ stored, onKeep, onMine }: TheirsProps) {
  return (
    <div role="alert" className="border-l-4 border-bad bg-ground p-3">
      <p>
        Someone changed this part meanwhile. Stored now:{' '}
        {[
          stored.name,
          SUBSTRATE_WORDS[stored.substrate],
          `${numberText(stored.massKg)} kg`,
          `${numberText(stored.areaM2)} m²`,
          `${numberText(stored.thicknessMm)} mm`,
          stored.colourGroup ?? '',
        ].join(' · ')}
        . Yours is in the form.
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={onKeep}>Keep theirs</Button>
        <Button onClick={onMine}>Save mine over it</Button>
      </div>
    </div>
  );
}
