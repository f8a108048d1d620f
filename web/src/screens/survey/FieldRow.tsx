import { useId, useState, type ReactNode } from 'react';
import { SUBSTRATES, SURVEY_SHAPES, type AskedField, type Survey, type UsualField } from '@calvetta/core';
import { SURVEY_WORDS } from '@calvetta/contract/words';
import { usePrefs } from '../../state/prefs.ts';
import { AnyOf } from '../../ui/Toggle.tsx';
import { hasPictures, pictureOf } from './pictures.tsx';
import { PictureChoice } from './PictureChoice.tsx';
import { figureText, readFigure, unitOf } from './figures.ts';
import { answerWord, shownAnswer } from './surveyWords.ts';

interface RowProps {
  readonly field: AskedField;
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

/** One answer of the whole sheet, to be read and changed. What is only usual for the kind says so. */
export function FieldRow({ field, survey, onAnswer }: RowProps) {
  const [isPictured, setPictured] = useState(false);
  const shape = SURVEY_SHAPES[field];
  const value = survey[field];
  const label = SURVEY_WORDS[field];
  const set = (v: unknown): void => onAnswer({ [field]: v });
  const isUsual = survey.usual.includes(field as UsualField);
  const mark = isUsual ? <UsualMark onLooked={() => set(value)} /> : null;
  if (shape.type === 'many') return <Many field={field} survey={survey} mark={mark} onAnswer={onAnswer} />;
  if (shape.type === 'flag')
    return (
      <label className="flex min-h-8 items-center gap-2 text-[14px] pointer-coarse:min-h-11">
        <input type="checkbox" checked={value === true} onChange={(e) => set(e.target.checked)} />
        {label}
      </label>
    );
  return (
    <div className="text-[14px]">
      <div className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2">
        <span className={shownAnswer(field, survey) === null ? 'font-semibold' : ''}>
          <span aria-hidden="true">{label}</span> {mark}
          {hasPictures(field) ? (
            <button
              type="button"
              aria-expanded={isPictured}
              className="ml-1 text-[13px] font-normal underline pointer-coarse:min-h-11"
              onClick={() => setPictured(!isPictured)}
            >
              pictures<span className="sr-only"> of {label}</span>
            </button>
          ) : null}
        </span>
        {shape.type === 'figure' ? (
          <Figure field={field} label={label} value={value as number | null} onChange={set} />
        ) : (
          <select
            aria-label={label}
            className="min-h-8! py-0! text-[14px] pointer-coarse:min-h-11!"
            value={value === null ? 'none' : String(value)}
            onChange={(e) =>
              set(shape.type === 'metal-or-none' && e.target.value === 'none' ? null : e.target.value)
            }
          >
            {(shape.type === 'choice' ? shape.options : ['none', 'unknown', ...SUBSTRATES]).map((o) => (
              <option key={o} value={o}>
                {o === 'unknown' ? 'not known' : answerWord(o)}
              </option>
            ))}
          </select>
        )}
      </div>
      {isPictured ? (
        <PictureChoice
          field={field}
          label={`${label}, by its picture`}
          survey={survey}
          value={String(value)}
          onPick={set}
        />
      ) : null}
    </div>
  );
}

/** Any of several, pictured where the eye knows them. */
function Many({ field, survey, mark, onAnswer }: RowProps & { readonly mark: ReactNode }) {
  const shape = SURVEY_SHAPES[field];
  const isDrawn = hasPictures(field);
  return (
    <div>
      <span className="mb-1 block text-[14px]">
        <span aria-hidden="true">{SURVEY_WORDS[field]}</span> {mark}
      </span>
      <AnyOf
        label={SURVEY_WORDS[field]}
        size={isDrawn ? 'picture' : 'small'}
        className={isDrawn ? 'grid grid-cols-4 gap-1' : 'flex flex-wrap gap-1'}
        options={(shape.type === 'many' ? shape.options : []).map((o) => ({
          value: o,
          text: (
            <>
              {pictureOf(field, o, survey)}
              {answerWord(o)}
            </>
          ),
        }))}
        value={survey[field] as readonly string[]}
        onChange={(v) => onAnswer({ [field]: v })}
      />
    </div>
  );
}

/** Nobody looked yet: a touch says that it is so. */
function UsualMark({ onLooked }: { readonly onLooked: () => void }) {
  return (
    <button
      type="button"
      className="text-[13px] text-warn underline decoration-dashed pointer-coarse:min-h-11"
      onClick={onLooked}
    >
      usual: looked, it is so
    </button>
  );
}

interface FigureProps {
  readonly field: AskedField;
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (v: number | null) => void;
}

/** A figure in the reader's units; what is no figure stays in the field, says what would do, and counts as not known. */
export function Figure({ field, label, value, onChange }: FigureProps) {
  const units = usePrefs((s) => s.units);
  const id = useId();
  const [text, setText] = useState(value === null ? '' : figureText(field, value, units));
  const read = readFigure(field, text, units);
  // A figure set elsewhere shows itself; what was typed stands as it was typed.
  const shown =
    !read.ok || read.value === value ? text : value === null ? '' : figureText(field, value, units);
  return (
    <span>
      <span className="flex items-center gap-1">
        <input
          inputMode="text"
          autoComplete="off"
          aria-label={label}
          aria-describedby={read.ok ? undefined : id}
          aria-invalid={!read.ok}
          placeholder="not known"
          className="min-h-8! min-w-0 flex-1 py-0! text-[14px] pointer-coarse:min-h-11!"
          value={shown}
          onChange={(e) => {
            setText(e.target.value);
            const next = readFigure(field, e.target.value, units);
            onChange(next.ok ? next.value : null);
          }}
        />
        <span className="w-8 shrink-0 text-[13px] text-quiet">{unitOf(field, units)}</span>
      </span>
      {read.ok ? null : (
        <span id={id} role="alert" className="block text-[13px] text-bad">
          {read.problem}
        </span>
      )}
    </span>
  );
}
