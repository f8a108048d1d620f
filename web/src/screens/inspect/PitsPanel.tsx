import { likelySlips, type InspectView, type PitsView } from '@calvetta/core';
import { useState } from 'react';
import { Field } from '../../forms/Field.tsx';
import { NumberField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { maybe, number, type Reader } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { PitCut } from './PitCut.tsx';
import { RepairOptions } from './RepairOptions.tsx';
import { useFinds } from './useFinding.ts';
import { NO_ESTIMATE_WORDS } from '@calvetta/contract/words';

/** Depths as they are typed: "0.30 0.45 0,52", one for each patch. */
const depths: Reader<readonly number[]> = (text) => {
  const parts = text
    .trim()
    .split(/[\s;]+/)
    .filter((p) => p !== '');
  const list = parts.map((p) => Number(p.replace(',', '.')));
  const bad = parts.find((_, i) => !(list[i]! >= 0 && list[i]! <= 50));
  if (parts.length === 0)
    return { ok: false, problem: 'Write the deepest pit of each patch in mm, such as 0.30 0.45 0.52.' };
  return bad === undefined
    ? { ok: true, value: list }
    : { ok: false, problem: `“${bad}” is no depth. A depth is 0 to 50 mm, such as 0.45.` };
};

/** The deepest pits of some equal patches, what that says of the whole, and what to do about it. */
export function PitsPanel({ view }: { readonly view: InspectView }) {
  const newest = view.pits[view.pits.length - 1] ?? null;
  const [isOpen, setOpen] = useState(false);
  return (
    <section aria-label="Pits and wall" className="flex flex-col gap-3 border border-line bg-panel p-3">
      <div className="flex items-center justify-between">
        <h2 className="text-[16px]">Pits and wall</h2>
        <Button onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Not now' : newest ? 'Measure again' : 'Measure'}
        </Button>
      </div>
      {newest ? (
        <Judged pits={newest} />
      ) : isOpen ? null : (
        <p className="text-[13px] text-quiet">
          Six equal patches and a depth gauge say how deep the deepest of the whole face is likely to be.
        </p>
      )}
      {isOpen ? <PitsForm view={view} onStored={() => setOpen(false)} /> : null}
      {newest ? <RepairOptions view={view} pits={newest} /> : null}
    </section>
  );
}

const mm = (x: number): string => `${x.toFixed(2)} mm`;

function Judged({ pits }: { readonly pits: PitsView }) {
  const { verdict, leftMm, fact } = pits;
  const { soundMm = null, leastMm = null, soundBy } = fact.body;
  return (
    <>
      <PitCut pits={pits} />
      <p className="text-[15px]">
        {verdict.estimate ? (
          <>
            Judge by <strong>{mm(verdict.judgeByMm)}</strong>: the deepest of the whole face is likely{' '}
            {mm(verdict.estimate.x95Mm)}, between {mm(verdict.estimate.fromMm)} and{' '}
            {mm(verdict.estimate.toMm)} nine times in ten. Deepest seen {mm(verdict.deepestSeenMm)}.
          </>
        ) : (
          <>
            {verdict.isAtLeast ? 'At least ' : ''}
            <strong>{mm(verdict.deepestSeenMm)}</strong>, the deepest seen: {NO_ESTIMATE_WORDS[verdict.none!]}
            .
          </>
        )}
      </p>
      <p className="text-[14px] text-quiet">
        {soundMm === null
          ? 'How thick the sound wall is, nobody has said: what is left is not known.'
          : `Sound wall ${mm(soundMm)}, ${soundBy === 'measured' ? 'measured' : 'by the drawing'}; left under the deepest pit ${mm(leftMm ?? 0)}${leastMm === null ? '; the least it needs has not been asked' : `, least needed ${mm(leastMm)}`}.`}
      </p>
    </>
  );
}

function PitsForm({ view, onStored }: { readonly view: InspectView; readonly onStored: () => void }) {
  const { log, save } = useFinds(view);
  const [isThrough, setThrough] = useState(false);
  const [isSure, setSure] = useState(false);
  const [soundBy, setSoundBy] = useState<'measured' | 'nominal'>('nominal');
  const draft = useDraft(
    {
      depths,
      whole: number('', 1, 1_000_000),
      soundMm: maybe(number('mm', 0.1, 500)),
      leastMm: maybe(number('mm', 0.1, 500)),
    },
    { depths: '', whole: '', soundMm: String(view.survey?.thicknessMm ?? ''), leastMm: '' },
  );
  const slips = likelySlips(draft.peek('depths') ?? []);
  const store = (): void => {
    const v = draft.read();
    if (!v || (slips.length > 0 && !isSure)) return;
    log(
      'pits-measured',
      view.card.faceCount > 1 ? 'A' : null,
      {
        deepestMm: v.depths,
        wholeOverPatch: v.whole,
        isThrough,
        ...(v.soundMm === null ? {} : { soundMm: v.soundMm, soundBy }),
        ...(v.leastMm === null ? {} : { leastMm: v.leastMm }),
      },
      { done: onStored },
    );
  };
  const bound = draft.bind('depths');
  return (
    <div className="flex flex-col gap-2">
      <Field
        label="Deepest pit of each patch, mm"
        hint="equal patches, six or more, spread over the face: 0.30 0.45 0.52"
        problem={bound.problem}
      >
        <textarea rows={2} value={bound.value} onChange={(e) => bound.onChange(e.target.value)} />
      </Field>
      {slips.length > 0 ? (
        <div role="alert" className="border-l-4 border-mark bg-ground p-2 text-[14px]">
          {slips.map((i) => draft.peek('depths')![i]).join(' and ')} mm stands far off the others: a slip of
          the pen?
          <Tick label="It is right" isOn={isSure} onChange={setSure} />
        </div>
      ) : null}
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label="Patches the whole face would make"
          hint="whole area over one patch"
          bound={draft.bind('whole')}
        />
        <NumberField label="Sound wall, mm" hint="empty: not known" bound={draft.bind('soundMm')} />
        <NumberField label="Least the part needs, mm" hint="empty: not asked" bound={draft.bind('leastMm')} />
        <OneOf
          label="Where the wall is from"
          value={soundBy}
          onChange={setSoundBy}
          options={[
            { value: 'measured', text: 'measured' },
            { value: 'nominal', text: 'by the drawing' },
          ]}
        />
      </div>
      <Tick label="It is eaten through somewhere" isOn={isThrough} onChange={setThrough} />
      <p className="text-[13px] text-quiet">
        Ultrasonic through paint reads echo to echo only, with the velocity of this metal; grey iron varies.
      </p>
      <FormTrouble words={save.trouble} />
      <Button
        look="main"
        className="self-start"
        disabled={save.isBusy || (slips.length > 0 && !isSure)}
        onClick={store}
      >
        Log the pits
      </Button>
    </div>
  );
}

interface TickProps {
  readonly label: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
}
const Tick = ({ label, isOn, onChange }: TickProps) => (
  <label className="flex min-h-9 items-center gap-2 text-[14px]">
    <input
      type="checkbox"
      className="size-4 accent-chosen"
      checked={isOn}
      onChange={(e) => onChange(e.target.checked)}
    />
    {label}
  </label>
);
