import { useState } from 'react';
import { DEEPEST_PIT_MM, likelySlips, FACES, type Face, type InspectView } from '@calvetta/core';
import { Choice, Field } from '../../forms/Field.tsx';
import { NumberField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { maybe, number, type Reader } from '../../forms/read.ts';
import { useDraft, type Draft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { useFinds } from './useFinding.ts';

/** Depths as they are typed: "0.30 0.45 0,52", one for each patch. */
const depths: Reader<readonly number[]> = (text) => {
  const parts = text
    .trim()
    .split(/[\s;]+/)
    .filter((p) => p !== '');
  const list = parts.map((p) => Number(p.replace(',', '.')));
  const bad = parts.find((_, i) => !(list[i]! >= 0 && list[i]! <= DEEPEST_PIT_MM));
  if (parts.length === 0)
    return { ok: false, problem: 'Write the deepest pit of each patch in mm, such as 0.30 0.45 0.52.' };
  return bad === undefined
    ? { ok: true, value: list }
    : { ok: false, problem: `“${bad}” is no depth. A depth is 0 to ${DEEPEST_PIT_MM} mm, such as 0.45.` };
};

const READERS = {
  depths,
  whole: number('', 1, 1_000_000),
  soundMm: maybe(number('mm', 0.1, 500)),
  leastMm: maybe(number('mm', 0.1, 500)),
};

interface Props {
  readonly view: InspectView;
  readonly onStored: () => void;
}

/** What was measured: depths patch by patch, and what is known of the wall. A likely slip is asked about first. */
export function PitsForm({ view, onStored }: Props) {
  const { log, save } = useFinds(view);
  const [isThrough, setThrough] = useState(false);
  const [isSure, setSure] = useState(false);
  const [face, setFace] = useState<Face>('A');
  const [soundBy, setSoundBy] = useState<SoundBy>('nominal');
  const draft = useDraft(READERS, {
    depths: '',
    whole: '',
    soundMm: String(view.survey?.thicknessMm ?? ''),
    leastMm: '',
  });
  const slips = likelySlips(draft.peek('depths') ?? []);
  const store = (): void => {
    const v = draft.read();
    if (!v || (slips.length > 0 && !isSure)) return;
    log(
      'pits-measured',
      view.card.faceCount > 1 ? face : null,
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
      <Wall draft={draft} soundBy={soundBy} onSoundBy={setSoundBy} />
      {view.card.faceCount > 1 ? (
        <Choice<Face>
          label="Face"
          value={face}
          options={FACES.map((f) => ({ value: f, text: f }))}
          onChange={setFace}
        />
      ) : null}
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

type SoundBy = 'measured' | 'nominal';
interface WallProps {
  readonly draft: Draft<typeof READERS>;
  readonly soundBy: SoundBy;
  readonly onSoundBy: (by: SoundBy) => void;
}
function Wall({ draft, soundBy, onSoundBy }: WallProps) {
  return (
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
        onChange={onSoundBy}
        options={[
          { value: 'measured', text: 'measured' },
          { value: 'nominal', text: 'by the drawing' },
        ]}
      />
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
