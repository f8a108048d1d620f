import { useRef, useState } from 'react';
import { questionsNext, type Advice, type AskedField, type Family, type Survey } from '@calvetta/core';
import { SURVEY_WORDS } from '@calvetta/contract/words';
import { LIFE_FIELDS, type Life } from '../../state/drafts.ts';
import { Button } from '../../ui/Button.tsx';
import { usePrefs } from '../../state/prefs.ts';
import { MovesHere } from './MovesHere.tsx';
import { Question } from './Question.tsx';
import { SoundShare } from './SoundShare.tsx';
import { saidWords } from './said.ts';
import type { Said } from './useSurvey.ts';

interface Props {
  readonly survey: Survey;
  readonly advice: Advice;
  readonly families: ReadonlyMap<string, Family>;
  /** How much each open answer would move the advice, of those worked out so far. */
  readonly worth: ReadonlyMap<AskedField, number>;
  /** The last answer, with what it moved; null: none yet. */
  readonly said: Said | null;
  readonly onAnswer: (patch: Partial<Survey>) => void;
  readonly onUndo: () => void;
  /** Where the last part of this machine lives: proposed, and one touch to say. */
  readonly proposed: Life | null;
}

/** What is asked stays where it stands, new ones come below: figures that arrive late move nothing under a finger. */
const inPlace = (shown: readonly AskedField[], next: readonly AskedField[]): readonly AskedField[] => [
  ...shown.filter((f) => next.includes(f)),
  ...next.filter((f) => !shown.includes(f)),
];

/** At most five questions at a time, those that move the answer most; and what the last one moved. */
export function Questions({ survey, advice, families, worth, said, onAnswer, onUndo, proposed }: Props) {
  const units = usePrefs((s) => s.units);
  const [left, setLeft] = useState<readonly AskedField[]>([]);
  const gates = advice.routes[0]?.gates.map((g) => g.field) ?? [];
  const next = questionsNext(survey, worth, left, gates);
  const [shown, setShown] = useState<readonly AskedField[]>(next);
  const fields = inPlace(shown, next);
  if (fields.join() !== shown.join()) setShown(fields);
  const root = useRef<HTMLElement>(null);
  // The question that was answered goes: the hand is put on the next one, for whoever works by keys.
  const answerAndGoOn = (patch: Partial<Survey>): void => {
    onAnswer(patch);
    requestAnimationFrame(() =>
      root.current
        ?.querySelector<HTMLElement>('[data-question] [role="radio"], [data-question] input')
        ?.focus({ preventScroll: true }),
    );
  };
  return (
    <section ref={root} aria-label="Questions" className="flex flex-col gap-2">
      {said ? (
        <div className="border-l-4 border-chosen bg-ground px-2 py-1 text-[14px]">
          <p className="flex items-baseline justify-between gap-2">
            <span>
              {said.fields.length === 1
                ? `You said: ${saidWords(said.fields[0]!, survey, units)}`
                : `${said.fields.length} answers`}
            </span>
            <button type="button" className="underline pointer-coarse:min-h-11" onClick={onUndo}>
              undo
            </button>
          </p>
          {survey.coating === 'partly' &&
          (said.fields.includes('coating') || said.fields.includes('soundShare')) ? (
            <SoundShare survey={survey} onAnswer={onAnswer} />
          ) : null}
          <MovesHere moves={said.moves} families={families} />
        </div>
      ) : null}
      {fields.length > 0 ? (
        <>
          <h3 className="figure text-[13px] text-quiet">
            Look, and touch what you see: these move the answer most
          </h3>
          {proposed ? (
            <Button
              className="justify-start whitespace-normal! text-left"
              onClick={() => answerAndGoOn(proposed)}
            >
              As the last part of this machine:{' '}
              {LIFE_FIELDS.filter((f) => proposed[f] !== undefined)
                .map((f) => saidWords(f, { ...survey, ...proposed }, units))
                .join(', ')}
            </Button>
          ) : null}
          {fields.map((f) => (
            <Question
              key={f}
              field={f}
              survey={survey}
              onAnswer={answerAndGoOn}
              onLeave={() => setLeft([...left, f])}
            />
          ))}
        </>
      ) : (
        <p className="text-[14px] text-quiet">
          No open answer would move the advice now.
          {left.length > 0 ? ` Left open: ${left.map((f) => SURVEY_WORDS[f].toLowerCase()).join(', ')}.` : ''}
        </p>
      )}
    </section>
  );
}
