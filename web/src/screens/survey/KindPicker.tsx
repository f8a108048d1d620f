import { useState } from 'react';
import { kindsFor, likelyKinds, PART_KINDS, type PartKind, type Survey } from '@calvetta/core';
import { KIND_WORDS } from '@calvetta/contract/words';
import { KindDrawing } from '../../drawings/KindDrawing.tsx';
import { usePrefs } from '../../state/prefs.ts';
import { OneOf } from '../../ui/Toggle.tsx';
import { Word } from '../../ui/Word.tsx';
import { saidWords } from './said.ts';
import { shownAnswer } from './surveyWords.ts';

interface Props {
  readonly survey: Survey;
  /** What the part is called: most names say what it is. */
  readonly name: string;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}
const FEW = 6;
const NAMED = PART_KINDS.filter((k) => k !== 'unknown');

/** What is it? The kinds its name and metal suggest, the rest by a word or all at once. */
export function KindPicker({ survey, name, onAnswer }: Props) {
  const [isChanging, setChanging] = useState(false);
  const [isAll, setAll] = useState(false);
  const [text, setText] = useState('');
  const known = survey.kind !== 'unknown';
  if (known && !isChanging) return <Known survey={survey} onChange={() => setChanging(true)} />;
  const found = text.trim() === '' ? likelyKinds(name, survey.substrate) : kindsFor(text, null, KIND_WORDS);
  const shown = isAll && text.trim() === '' ? NAMED : found.slice(0, FEW);
  const pick = (kind: PartKind): void => {
    onAnswer({ kind });
    setChanging(false);
    setAll(false);
    setText('');
  };
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="figure text-[17px] font-semibold">What is it?</legend>
      <input
        aria-label="What it is, in a word"
        placeholder="mudguard, crankcase, horn guide…"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' || !shown[0]) return;
          e.preventDefault();
          pick(shown[0]);
        }}
      />
      <OneOf<PartKind>
        label="What it is"
        size="drawing"
        className="grid grid-cols-3 gap-1"
        options={shown.map((k) => ({
          value: k,
          text: (
            <>
              <KindDrawing kind={k} />
              {KIND_WORDS[k]}
            </>
          ),
        }))}
        value={known ? survey.kind : null}
        onChange={pick}
      />
      {shown.length === 0 ? (
        <p role="status" className="text-[14px] text-quiet">
          No kind has that word. Try another, or look through all of them.
        </p>
      ) : null}
      <div className="flex flex-wrap gap-x-4 text-[14px]">
        <button
          type="button"
          className="min-h-8 underline pointer-coarse:min-h-11"
          onClick={() => {
            setAll(!isAll);
            setText('');
          }}
        >
          {isAll ? 'only the likely ones' : `all ${NAMED.length} kinds`}
        </button>
        {known ? (
          <button
            type="button"
            className="min-h-8 underline pointer-coarse:min-h-11"
            onClick={() => setChanging(false)}
          >
            leave it as it is
          </button>
        ) : null}
      </div>
    </fieldset>
  );
}

/** The kind, and what stands only because it is usual for it. */
function Known({ survey, onChange }: { readonly survey: Survey; readonly onChange: () => void }) {
  const units = usePrefs((s) => s.units);
  const usual = survey.usual.filter((f) => shownAnswer(f, survey) !== null);
  return (
    <div className="flex items-start gap-3">
      <KindDrawing kind={survey.kind} widthPx={72} />
      <div className="min-w-0 text-[14px]">
        <p>
          <b className="figure text-[17px] font-semibold first-letter:uppercase inline-block">
            {KIND_WORDS[survey.kind]}
          </b>{' '}
          <button type="button" className="underline pointer-coarse:min-h-11" onClick={onChange}>
            change
          </button>
        </p>
        {usual.length > 0 ? (
          <p className="text-[13px] text-quiet">
            <Word term="usual" className="text-warn">
              Usual: look.
            </Word>{' '}
            {usual.map((f) => saidWords(f, survey, units)).join(' · ')}
          </p>
        ) : null}
      </div>
    </div>
  );
}
