import { useState, type ReactNode } from 'react';
import type { Advice, Schools, Survey, SurveyDoubt } from '@calvetta/core';
import {
  isAsked,
  nothingUnusual,
  SUBSTRATES,
  SURVEY_GROUPS,
  SURVEY_SHAPES,
  type SurveyField,
} from '@calvetta/core';
import { SURVEY_WORDS } from '@calvetta/contract/words';
import { useDialogs } from '../../state/dialogs.ts';
import { AnyOf } from '../../ui/Toggle.tsx';
import { Button } from '../../ui/Button.tsx';
import { PracticeHere } from './PracticeHere.tsx';
import { ZonesHere } from './ZonesHere.tsx';
import { answerWord, GROUP_TITLES, shownAnswer } from './surveyWords.ts';
import { useUnits } from '../../ui/useUnits.ts';

interface Props {
  readonly survey: Survey;
  readonly advice: Advice;
  readonly doubts: readonly SurveyDoubt[];
  readonly house: Schools;
  /** What stands above the questions. */
  readonly children?: ReactNode;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

/** The guided sheet: first what would open most, then every answer given, each one touch to change. */
export function SurveyPanel({ survey, advice, doubts, house, onAnswer, children }: Props) {
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const asked = advice.questions.filter((q) => isAsked(q.field, survey)).slice(0, 4);
  return (
    <section aria-label="Survey" className="flex flex-col gap-3 border border-line bg-panel p-3">
      <h2 className="text-[18px]">Survey</h2>
      {children}
      {doubts.map((d) => (
        <p key={d.code} role="alert" className="border-l-4 border-bad bg-ground px-2 py-1 text-[14px]">
          {d.got}: can that be? {d.accepts}.
        </p>
      ))}
      {asked.length > 0 ? (
        <div className="flex flex-col gap-2 border-l-4 border-mark bg-ground p-2">
          <h3 className="figure text-[13px] text-quiet">Answer next: these open most</h3>
          {asked.map((q) => (
            <FieldRow key={q.field} field={q.field} survey={survey} onAnswer={onAnswer} />
          ))}
        </div>
      ) : null}
      {Object.keys(nothingUnusual(survey)).length > 0 ? (
        <Button className="whitespace-normal!" onClick={() => onAnswer(nothingUnusual(survey))}>
          I looked: nothing else unusual, no hotter than {units.temp(60, 0)}
        </Button>
      ) : null}
      {SURVEY_GROUPS.map((g) => (
        <details key={g.group} open={g.group === 'as-found'} className="border-t border-line pt-2">
          <summary className="figure cursor-pointer text-[15px] font-semibold">
            {GROUP_TITLES[g.group]}{' '}
            <span className="text-[13px] font-normal text-quiet">
              {g.fields.filter((f) => isAsked(f, survey) && shownAnswer(f, survey) === null).length ||
                'nothing'}{' '}
              open
            </span>
          </summary>
          <div className="mt-2 flex flex-col gap-2">
            {g.fields
              .filter((f) => isAsked(f, survey))
              .map((f) => (
                <FieldRow key={f} field={f} survey={survey} onAnswer={onAnswer} />
              ))}
            {g.fields.includes('areaM2') ? (
              <button
                type="button"
                className="self-start text-[14px] underline pointer-coarse:min-h-11"
                onClick={() =>
                  show({
                    kind: 'area',
                    survey,
                    onUse: (areaM2) => onAnswer({ areaM2: Number(areaM2.toPrecision(3)) }),
                  })
                }
              >
                work the area out by shapes
              </button>
            ) : null}
          </div>
        </details>
      ))}
      <ZonesHere survey={survey} onAnswer={onAnswer} />
      <PracticeHere survey={survey} house={house} onAnswer={onAnswer} />
    </section>
  );
}

interface RowProps {
  readonly field: SurveyField;
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

function FieldRow({ field, survey, onAnswer }: RowProps) {
  if (field === 'colourGroup' || field === 'practice' || field === 'zones') return null;
  const shape = SURVEY_SHAPES[field];
  const value = survey[field];
  const label = SURVEY_WORDS[field];
  const set = (v: unknown): void => onAnswer({ [field]: v });
  if (shape.type === 'many')
    return <Many label={label} options={shape.options} value={value as readonly string[]} onChange={set} />;
  if (shape.type === 'flag')
    return (
      <label className="flex min-h-8 items-center gap-2 pointer-coarse:min-h-11">
        <input type="checkbox" checked={value === true} onChange={(e) => set(e.target.checked)} />
        {label}
      </label>
    );
  return (
    <label className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2 text-[14px]">
      <span className={shownAnswer(field, survey) === null ? 'font-semibold' : ''}>{label}</span>
      {shape.type === 'figure' ? (
        <Figure label={label} value={value as number | null} onChange={set} />
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
    </label>
  );
}

interface FigureProps {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (v: number | null) => void;
}
const figureOf = (text: string): number | null => {
  const n = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(n) ? null : n;
};

/** A figure typed; what is no figure stays in the field and counts as not known. A figure set elsewhere shows itself. */
function Figure({ label, value, onChange }: FigureProps) {
  const [text, setText] = useState(value === null ? '' : String(value));
  const shown = figureOf(text) === value ? text : value === null ? '' : String(value);
  return (
    <input
      inputMode="decimal"
      aria-label={label}
      placeholder="not known"
      className="min-h-8! py-0! text-[14px] pointer-coarse:min-h-11!"
      value={shown}
      onChange={(e) => {
        setText(e.target.value);
        onChange(figureOf(e.target.value));
      }}
    />
  );
}

interface ManyProps {
  readonly label: string;
  readonly options: readonly string[];
  readonly value: readonly string[];
  readonly onChange: (v: readonly string[]) => void;
}

function Many({ label, options, value, onChange }: ManyProps) {
  return (
    <div>
      <span className="mb-1 block text-[14px]" aria-hidden="true">
        {label}
      </span>
      <AnyOf
        label={label}
        size="small"
        options={options.map((o) => ({ value: o, text: answerWord(o) }))}
        value={value}
        onChange={onChange}
      />
    </div>
  );
}
