import { SURVEY_SHAPES, type AskedField, type Survey } from '@calvetta/core';
import { OneOf } from '../../ui/Toggle.tsx';
import { hasPictures, pictureOf } from './pictures.tsx';
import { answerWord } from './surveyWords.ts';

interface Props {
  readonly field: AskedField;
  readonly label: string;
  readonly survey: Survey;
  /** What is said now; null: nothing. */
  readonly value: string | null;
  readonly onPick: (answer: string) => void;
}

/** Five in a row at most, and rows as even as they come. */
const acrossOf = (n: number): number => (n <= 5 ? Math.max(n, 4) : Math.ceil(n / 2));

/** The answers of a question side by side: pictures where the eye decides, words where it does not. */
export function PictureChoice({ field, label, survey, value, onPick }: Props) {
  const shape = SURVEY_SHAPES[field];
  const options = (shape.type === 'choice' ? shape.options : []).filter((o) => o !== 'unknown');
  const isDrawn = hasPictures(field);
  return (
    <OneOf<string>
      label={label}
      size={isDrawn ? 'picture' : 'form'}
      className={isDrawn ? 'mt-1 grid gap-1' : 'mt-1 flex flex-wrap gap-1'}
      style={
        isDrawn ? { gridTemplateColumns: `repeat(${acrossOf(options.length)}, minmax(0, 1fr))` } : undefined
      }
      options={options.map((o) => ({
        value: o,
        text: (
          <>
            {pictureOf(field, o, survey)}
            {answerWord(o)}
          </>
        ),
      }))}
      value={value}
      onChange={onPick}
    />
  );
}
