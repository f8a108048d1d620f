import { useId, useState } from 'react';
import { SURVEY_SHAPES, type AskedField, type Survey } from '@calvetta/core';
import { FIND_OUT, SURVEY_ASKS, SURVEY_WORDS } from '@calvetta/contract/words';
import { CategoryByAir } from './CategoryByAir.tsx';
import { Figure } from './FieldRow.tsx';
import { PictureChoice } from './PictureChoice.tsx';

interface Props {
  readonly field: AskedField;
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
  /** It stays open: it is not asked again. */
  readonly onLeave: () => void;
}

/** One question to somebody who stands in front of the part: pictures to touch where the eye decides, words where it does not. */
export function Question({ field, survey, onAnswer, onLeave }: Props) {
  const [isLost, setLost] = useState(false);
  const id = useId();
  const shape = SURVEY_SHAPES[field];
  const label = SURVEY_ASKS[field] ?? SURVEY_WORDS[field];
  return (
    <div role="group" aria-labelledby={id} data-question={field} className="border-t border-line/60 pt-2">
      <p className="flex items-baseline justify-between gap-2">
        <b id={id} className="text-[15px] font-semibold">
          {label}
        </b>
        <button
          type="button"
          aria-expanded={isLost}
          className="shrink-0 text-[13px] underline pointer-coarse:min-h-11"
          onClick={() => setLost(!isLost)}
        >
          not known
        </button>
      </p>
      {field === 'category' ? <CategoryByAir onTake={(category) => onAnswer({ category })} /> : null}
      {isLost ? <HowToFindOut field={field} onLeave={onLeave} /> : null}
      {shape.type === 'figure' ? (
        <TypedFigure field={field} label={label} onAnswer={onAnswer} />
      ) : (
        <PictureChoice
          field={field}
          label={label}
          survey={survey}
          value={null}
          onPick={(v) => onAnswer({ [field]: v })}
        />
      )}
    </div>
  );
}

/** A figure is said when the field is left or Enter is pressed: a question does not vanish while it is typed. */
function TypedFigure({
  field,
  label,
  onAnswer,
}: Pick<Props, 'field' | 'onAnswer'> & { readonly label: string }) {
  const [value, setValue] = useState<number | null>(null);
  const say = (): void => {
    if (value !== null) onAnswer({ [field]: value });
  };
  return (
    <form
      className="mt-1 max-w-[220px]"
      onBlur={say}
      onSubmit={(e) => {
        e.preventDefault();
        say();
      }}
    >
      <Figure field={field} label={label} value={value} onChange={setValue} />
    </form>
  );
}

/** Two lines: what to do, with what, in how many minutes; until then it counts as the worst it can be. */
function HowToFindOut({ field, onLeave }: { readonly field: AskedField; readonly onLeave: () => void }) {
  const find = FIND_OUT[field];
  return (
    <div className="my-1 border-l-4 border-mark bg-ground px-2 py-1 text-[14px]">
      {find ? (
        <p>
          {find.how}{' '}
          <span className="text-quiet">
            {find.minutes === null
              ? `Ask: ${find.withWhat}.`
              : `With ${find.withWhat}, ${find.minutes} minutes.`}
          </span>
        </p>
      ) : null}
      <p className="text-quiet">
        Until then it counts as the worst it can be.{' '}
        <button type="button" className="text-ink underline pointer-coarse:min-h-11" onClick={onLeave}>
          Leave it open
        </button>
      </p>
    </div>
  );
}
