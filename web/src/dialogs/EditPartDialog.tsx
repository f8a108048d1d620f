import { useState } from 'react';
import { M2_PER_FT2, parseQuantity, SUBSTRATES, type Dimension, type Substrate } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { Refused } from '../api/client.ts';
import { useSend } from '../record/useSend.ts';
import { partWrite } from '../record/write.ts';
import { usePart } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { failureWords } from './failureWords.ts';
import { isRefusal } from './refusal.ts';

/** What a part is: name, metal, sizes. Two tablets editing at once both see both versions. */
export function EditPartDialog({
  partId,
  onClose,
}: {
  readonly partId: string;
  readonly onClose: () => void;
}) {
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

type Values = Record<'name' | 'massKg' | 'areaM2' | 'thicknessMm' | 'colourGroup' | 'substrate', string>;

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

function EditForm({ part, onClose }: { readonly part: PartDetail; readonly onClose: () => void }) {
  const send = useSend();
  const areaUnit = usePrefs((s) => s.units.area);
  // What the person started from stays, though the part behind may be read again meanwhile.
  const [base, setBase] = useState(part);
  const [values, setValues] = useState<Values>(() => ({
    name: part.card.name,
    massKg: numberText(part.massKg),
    areaM2: numberText(
      part.card.areaM2 === null
        ? null
        : areaUnit === 'ft2'
          ? part.card.areaM2 / M2_PER_FT2
          : part.card.areaM2,
    ),
    thicknessMm: numberText(part.thicknessMm),
    colourGroup: part.colourGroup ?? '',
    substrate: part.card.substrate,
  }));
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [theirs, setTheirs] = useState<Stored | null>(null);

  const size = (
    field: string,
    text: string,
    dimension: Dimension,
    bareUnit: string,
    max: number,
  ): { value: number | null; problem: string | null } => {
    if (text.trim() === '') return { value: null, problem: null };
    const r = parseQuantity(text, { field, dimension, bareUnit, min: 1e-5, max });
    return r.ok ? { value: r.value.value, problem: null } : { value: null, problem: failureWords(r.error) };
  };
  const save = (version: number): void => {
    const mass = size('mass', values.massKg, 'mass', 'kg', 200_000);
    const area = size('area', values.areaM2, 'area', areaUnit, 10_000);
    const thickness = size('thickness', values.thicknessMm, 'length', 'mm', 1);
    const bad = Object.fromEntries(
      [
        ['massKg', mass.problem],
        ['areaM2', area.problem],
        ['thicknessMm', thickness.problem],
        ['name', values.name.trim() === '' ? 'a name is needed' : null],
      ].filter(([, p]) => p !== null),
    ) as Record<string, string>;
    setProblems(bad);
    if (Object.keys(bad).length > 0) return;
    const patch = {
      version,
      name: values.name.trim(),
      massKg: mass.value,
      areaM2: area.value,
      thicknessMm: thickness.value === null ? null : Number((thickness.value * 1000).toFixed(3)),
      colourGroup: values.colourGroup.trim() === '' ? null : values.colourGroup.trim(),
      substrate: values.substrate,
    };
    send(partWrite(part.card.partId, patch), `Stored: ${patch.name}`)
      .then(onClose)
      .catch((e: unknown) => {
        if (e instanceof Refused && e.body.code === 'version-conflict')
          setTheirs(e.body.details.stored as Stored);
        else
          setProblems({
            form: isRefusal(e) ? e.body.remedy : 'It could not be saved; it is still here. Try again.',
          });
      });
  };
  const text = (name: keyof Values, label: string, hint?: string) => (
    <Field label={label} hint={hint} problem={problems[name] ?? null}>
      <input value={values[name]} onChange={(e) => setValues((v) => ({ ...v, [name]: e.target.value }))} />
    </Field>
  );
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        save(base.version);
      }}
    >
      {text('name', 'Name')}
      <Field label="Metal">
        <select
          value={values.substrate}
          onChange={(e) => setValues((v) => ({ ...v, substrate: e.target.value }))}
        >
          {SUBSTRATES.map((s) => (
            <option key={s} value={s}>
              {SUBSTRATE_WORDS[s]}
            </option>
          ))}
        </select>
      </Field>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        {text('massKg', 'Mass', 'kg, or write 120 lb')}
        {text('areaM2', 'Area', areaUnit === 'ft2' ? 'ft², or write 2 m2' : 'm², or write 20 ft2')}
        {text('thicknessMm', 'Thickest web', 'mm, or write 1/2 in')}
      </div>
      {text('colourGroup', 'Colour group', 'parts that must come from one batch')}
      {theirs ? (
        <div role="alert" className="border-l-4 border-bad bg-ground p-3">
          <p>
            Someone changed this part meanwhile. Stored now:{' '}
            {[
              theirs.name,
              SUBSTRATE_WORDS[theirs.substrate],
              `${numberText(theirs.massKg)} kg`,
              `${numberText(theirs.areaM2)} m²`,
              `${numberText(theirs.thicknessMm)} mm`,
              theirs.colourGroup ?? '',
            ].join(' · ')}
            . Yours is in the form.
          </p>
          <div className="mt-2 flex gap-2">
            <Button onClick={onClose}>Keep theirs</Button>
            <Button
              onClick={() => {
                setBase({ ...base, version: theirs.version });
                setTheirs(null);
                save(theirs.version);
              }}
            >
              Save mine over it
            </Button>
          </div>
        </div>
      ) : null}
      {problems['form'] ? (
        <p role="alert" className="text-bad">
          {problems['form']}
        </p>
      ) : null}
      <Button type="submit" look="main" className="self-start">
        Save
      </Button>
    </form>
  );
}
