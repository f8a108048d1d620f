import type { ReactNode } from 'react';
import {
  nothingUnusual,
  type Advice,
  type AskedField,
  type Family,
  type Schools,
  type Substrate,
  type Survey,
  type SurveyDoubt,
} from '@calvetta/core';
import { SUBSTRATE_WORDS, SURVEY_WORDS } from '@calvetta/contract/words';
import type { Life } from '../../state/drafts.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { doubtWords } from './doubtWords.ts';
import { KindPicker } from './KindPicker.tsx';
import { PracticeHere } from './PracticeHere.tsx';
import { Questions } from './Questions.tsx';
import { SheetSection } from './SheetSection.tsx';
import type { Said } from './useSurvey.ts';
import { ZonesHere } from './ZonesHere.tsx';

interface Props {
  readonly survey: Survey;
  readonly partName: string;
  /** What the part is made of on its own record: a survey from before it was put right may say another metal. */
  readonly partMetal: Substrate;
  readonly advice: Advice;
  readonly families: ReadonlyMap<string, Family>;
  readonly doubts: readonly SurveyDoubt[];
  readonly house: Schools;
  readonly worth: ReadonlyMap<AskedField, number>;
  readonly said: Said | null;
  /** An answer that was asked for elsewhere on the page: its level opens at it. */
  readonly asked: AskedField | null;
  readonly onAsked: () => void;
  /** Where the last part of this machine lives. */
  readonly proposed: Life | null;
  readonly onAsk: (field: AskedField) => void;
  /** What stands above the questions. */
  readonly children?: ReactNode;
  readonly onAnswer: (patch: Partial<Survey>) => void;
  readonly onUndo: () => void;
}

/** The survey by looking: what it is, what the eye sees, and the whole sheet one touch away. */
export function SurveyPanel(props: Props) {
  const { survey, partName, advice, families, doubts, house, worth, said, onAnswer, onUndo, children } =
    props;
  const { asked, onAsked, onAsk } = props;
  return (
    <section
      aria-label="Survey"
      className="flex min-w-0 flex-col gap-3 border border-line bg-panel p-3 lg:sticky lg:top-3 lg:max-h-[calc(100vh-24px)] lg:overflow-y-auto"
    >
      <h2 className="sr-only">Survey</h2>
      <KindPicker survey={survey} name={partName} onAnswer={onAnswer} />
      {survey.substrate === props.partMetal ? null : (
        <p role="alert" className="border-l-4 border-bad bg-ground px-2 py-1 text-[14px]">
          The part is {SUBSTRATE_WORDS[props.partMetal]} on its record, and this survey says{' '}
          {SUBSTRATE_WORDS[survey.substrate]}.{' '}
          <button
            type="button"
            className="underline pointer-coarse:min-h-11"
            onClick={() => onAnswer({ substrate: props.partMetal })}
          >
            Take {SUBSTRATE_WORDS[props.partMetal]}
          </button>
        </p>
      )}
      {doubts.map((d) => (
        <Doubt key={d.code} doubt={d} survey={survey} onAsk={onAsk} />
      ))}
      <Questions
        survey={survey}
        advice={advice}
        families={families}
        worth={worth}
        said={said}
        onAnswer={onAnswer}
        onUndo={onUndo}
        proposed={props.proposed}
      />
      <NothingUnusual survey={survey} onAnswer={onAnswer} />
      <SheetSection survey={survey} asked={asked} onAsked={onAsked} onAnswer={onAnswer} />
      <ZonesHere survey={survey} onAnswer={onAnswer} />
      <PracticeHere survey={survey} house={house} onAnswer={onAnswer} />
      {children}
    </section>
  );
}

/** Two answers that cannot both be: said where they were given, each one touch away. */
function Doubt({
  doubt,
  survey,
  onAsk,
}: {
  readonly doubt: SurveyDoubt;
  readonly survey: Survey;
  readonly onAsk: Props['onAsk'];
}) {
  const units = usePrefs((p) => p.units);
  return (
    <p role="alert" className="border-l-4 border-bad bg-ground px-2 py-1 text-[14px]">
      <b className="font-semibold">Can that be?</b> {doubtWords(doubt, survey, units)}{' '}
      {doubt.fields.map((f, i) => (
        <span key={f}>
          {i > 0 ? ' · ' : ''}
          <button type="button" className="underline pointer-coarse:min-h-11" onClick={() => onAsk(f)}>
            {SURVEY_WORDS[f].toLowerCase()}
          </button>
        </span>
      ))}
    </p>
  );
}

/** One touch for whoever has looked: what it says is written out before it is said. */
function NothingUnusual({ survey, onAnswer }: Pick<Props, 'survey' | 'onAnswer'>) {
  const units = useUnits();
  const patch = nothingUnusual(survey);
  const fields = Object.keys(patch).filter((f) => f !== 'heatC' && f !== 'usual') as (keyof Survey)[];
  if (Object.keys(patch).length === 0) return null;
  return (
    <div>
      <Button className="w-full whitespace-normal!" onClick={() => onAnswer(patch)}>
        I looked: nothing else unusual
      </Button>
      <p className="mt-1 text-[13px] text-quiet">
        That says:{' '}
        {fields.length > 0
          ? `no ${fields.map((f) => PLAIN[f] ?? SURVEY_WORDS[f].toLowerCase()).join(', ')}`
          : ''}
        {patch.heatC === undefined
          ? ''
          : `${fields.length > 0 ? '; ' : ''}no hotter than ${units.temp(60, 0)}`}
        {patch.usual === undefined
          ? ''
          : `${fields.length > 0 || patch.heatC !== undefined ? '; ' : ''}what is usual for it is so`}
        .
      </p>
    </div>
  );
}
/** The same answers in the words of a no. */
const PLAIN: Readonly<Partial<Record<keyof Survey, string>>> = {
  assembled: 'parts inside',
  hardened: 'hard steel',
  scale: 'mill scale',
  salt: 'salt from coast or road',
  oldFiller: 'old filler',
  glue: 'glue',
  priorPrimer: 'bare primer',
  phosphated: 'phosphate film',
  lagging: 'lagging',
  leaks: 'leaks or cracks',
  fuel: 'fuel or oil dripping',
  chips: 'stones or tools',
  concealed: 'place out of sight',
  metallic: 'metallic colour',
  dark: 'dark colour',
  otherMetal: 'other metal against it',
};
