import { useState } from 'react';
import {
  familiesOf,
  newestSheet,
  readFilm,
  readRatio,
  readTimes,
  sheetLike,
  type Inherited,
  type ProductSheet,
  type Result,
} from '@calvetta/core';
import { useSheets } from '../api/queries.ts';
import { SheetTimes } from '../drawings/SheetTimes.tsx';
import { Choice, Field } from '../forms/Field.tsx';
import { failureWords } from '../forms/failureWords.ts';
import { NumberField, SelectField, TextField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { maybe, number, words, type Reader } from '../forms/read.ts';
import { useDraft, type Bound, type ValuesOf } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { storePicture } from '../record/usePicture.ts';
import { useSend } from '../record/useSend.ts';
import { sheetWrite } from '../record/write.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';

interface Props {
  readonly familyId: string | null;
  readonly onClose: () => void;
}

/** A maker's product from the back of its tin: pick what it is like, type what is printed. */
export function OwnSheetDialog({ familyId, onClose }: Props) {
  const sheets = useSheets();
  return (
    <Panel
      title="A sheet from the tin"
      subtitle="pick the family it is like, then type what is printed; the rest is the family’s"
      onClose={onClose}
    >
      {sheets.data ? (
        <SheetForm sheets={sheets.data.sheets} familyId={familyId} onClose={onClose} />
      ) : (
        <Waiting error={sheets.error} what="sheets" />
      )}
    </Panel>
  );
}

/** A reader of core's as a form's. */
const asReader =
  <T,>(read: (text: string) => Result<T>): Reader<T> =>
  (text) => {
    const r = read(text);
    return r.ok ? r : { ok: false, problem: failureWords(r.error) };
  };

const readersFor = (temperature: 'C' | 'F', film: 'um' | 'mil') => {
  const times = asReader((text) => readTimes(text, temperature));
  return {
    name: words,
    recoatFrom: times,
    recoatUntil: maybe(times),
    potLife: maybe(times),
    ratio: maybe(asReader(readRatio)),
    film: maybe(asReader((text) => readFilm(text, film))),
    solidsPct: maybe(number('%', 1, 100)),
    thinMaxPct: maybe(number('%', 0, 100)),
  };
};
type SheetReaders = ReturnType<typeof readersFor>;
type Longest = 'says' | 'never' | 'silent';

const EMPTY = {
  name: '',
  recoatFrom: '',
  recoatUntil: '',
  potLife: '',
  ratio: '',
  film: '',
  solidsPct: '',
  thinMaxPct: '',
};

interface FormProps extends Props {
  readonly sheets: readonly ProductSheet[];
}

function SheetForm({ sheets, familyId, onClose }: FormProps) {
  const send = useSend();
  const save = useSave();
  const units = usePrefs((s) => s.units);
  const families = [...familiesOf([]).values()].sort((a, b) => (a.sheet.name < b.sheet.name ? -1 : 1));
  const [like, setLike] = useState(
    families.some((f) => f.familyId === familyId) ? familyId! : 'epoxy-primer',
  );
  const [longest, setLongest] = useState<Longest>('says');
  const [picture, setPicture] = useState<File | null>(null);
  const draft = useDraft<SheetReaders>(readersFor(units.temperature, units.film), EMPTY);
  const family = families.find((f) => f.familyId === like)!.sheet;
  const newest = newestSheet(sheets, like) ?? family;
  const made = draft.values && madeOf(family, newest, draft.values, longest);
  const needsUntil = longest === 'says' && draft.texts.recoatUntil.trim() === '';
  const store = (): void => {
    const v = draft.read();
    if (!v || needsUntil) return;
    const r = madeOf(family, newest, v, longest);
    if (!r.ok) return;
    save.run(async () => {
      const sheet = picture ? { ...r.value.sheet, pictureId: await storePicture(picture) } : r.value.sheet;
      await send(sheetWrite(sheet), `Its sheet is in: ${v.name}`);
    }, onClose);
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        store();
      }}
    >
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <SelectField
          label="It is like"
          hint="by what it is: binder, packs, what it is for"
          value={like}
          options={families.map((f) => ({ value: f.familyId, text: f.sheet.name }))}
          onChange={setLike}
        />
        <TextField label="Name on the tin" bound={draft.bind('name')} refused={save.problemAt('name')} />
      </div>
      <TextField
        label="Next coat not before"
        hint="“16 h @ 50 F”, “16 h @ 10 C; 8 h @ 20 C”; without a temperature 20 °C is meant"
        bound={draft.bind('recoatFrom')}
      />
      <Longest value={longest} onChange={setLongest} />
      {longest === 'says' ? (
        <TextField
          label="Next coat not after"
          hint="“7 days @ 20 C”"
          bound={draft.bind('recoatUntil')}
          refused={
            needsUntil && draft.texts.recoatFrom !== '' ? 'Type it, or say that the tin does not.' : null
          }
        />
      ) : null}
      <Figures family={family} bind={draft.bind} />
      <SheetPicture problem={save.problemAt('file')} onPick={setPicture} />
      {made?.ok ? <Made sheet={made.value.sheet} inherited={made.value.inherited} family={family} /> : null}
      {made && !made.ok ? (
        <p role="alert" className="border-l-4 border-bad bg-ground p-3">
          {failureWords(made.error)}
        </p>
      ) : null}
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button type="submit" look="main" disabled={save.isBusy || needsUntil || made?.ok === false}>
          We have this
        </Button>
      </Foot>
    </form>
  );
}

interface FiguresProps {
  readonly family: ProductSheet;
  readonly bind: (name: keyof SheetReaders) => Bound;
}

/** What else is printed: each may be left out. */
function Figures({ family, bind }: FiguresProps) {
  return (
    <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
      <TextField label="Pot life" hint="“4 h @ 20 C”" bound={bind('potLife')} />
      {family.packs === 2 ? (
        <TextField label="Mixing ratio" hint="“4:1 v/v”, “100:20 by weight”" bound={bind('ratio')} />
      ) : null}
      <TextField label="Film of one coat, dry" hint="“75 µm”, “3-5 mil”" bound={bind('film')} />
      <NumberField label="Solids by volume, %" bound={bind('solidsPct')} />
      <NumberField label="Thinner at most, %" bound={bind('thinMaxPct')} />
    </div>
  );
}

interface PictureProps {
  readonly problem: string | null;
  readonly onPick: (file: File | null) => void;
}

function SheetPicture({ problem, onPick }: PictureProps) {
  return (
    <Field
      label="A picture of the data sheet"
      hint="JPEG, PNG or WebP; whoever reads these figures later can look at what they were typed from"
      problem={problem}
    >
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        onChange={(e) => onPick(e.target.files?.[0] ?? null)}
      />
    </Field>
  );
}

function Longest({ value, onChange }: { readonly value: Longest; readonly onChange: (l: Longest) => void }) {
  return (
    <Choice<Longest>
      label="The longest time to the next coat"
      value={value}
      options={[
        { value: 'says', text: 'the tin says it' },
        { value: 'never', text: 'the tin says there is none' },
        { value: 'silent', text: 'the tin does not say' },
      ]}
      onChange={onChange}
    />
  );
}

function madeOf(family: ProductSheet, newest: ProductSheet, v: ValuesOf<SheetReaders>, longest: Longest) {
  const recoatUntil = longest === 'never' ? ('never' as const) : longest === 'says' ? v.recoatUntil : null;
  return sheetLike(family, newest, { ...v, recoatUntil }, `typed from the tin; the rest like ${family.name}`);
}

const INHERITED: Readonly<Record<Exclude<Inherited['what'], 'times' | 'noLongest'>, string>> = {
  potLife: 'pot life',
  ratio: 'mixing ratio',
  film: 'film of a coat',
  solids: 'solids',
  thinner: 'most thinner',
  climate: 'what air and metal it asks',
};

interface MadeProps {
  readonly sheet: ProductSheet;
  readonly inherited: readonly Inherited[];
  readonly family: ProductSheet;
}

/** What the clock makes of it, and what nobody typed. */
function Made({ sheet, inherited, family }: MadeProps) {
  const taken = inherited.flatMap((i) =>
    i.what === 'times' || i.what === 'noLongest' ? [] : [INHERITED[i.what]],
  );
  const times = inherited.find((i) => i.what === 'times');
  return (
    <div className="flex flex-wrap items-start gap-4 border border-line bg-ground p-3">
      <SheetTimes sheet={sheet} />
      <div className="min-w-56 flex-1 text-[13px]">
        <p>
          Like {family.name}: {taken.join(', ')}.
        </p>
        <p>
          Touch-dry, handling, sanding and service are the family’s
          {times && times.longerBy > 1.01
            ? `, ${times.longerBy.toFixed(1)} times as long, because this one is slower`
            : '; they are never made shorter'}
          .
        </p>
        {inherited.some((i) => i.what === 'noLongest') ? (
          <p className="text-warn">
            No longest time is said, and the family’s is not taken for it:{' '}
            {sheet.packs === 2
              ? 'after 24 h at 20 °C the coat counts as shut, and is abraded.'
              : 'the window’s end is not known. Ask the maker.'}
          </p>
        ) : null}
        <p className="text-quiet">The maker’s own sheet comes first; correct this one when you have it.</p>
      </div>
    </div>
  );
}
