import { useMemo, useState } from 'react';
import {
  advise,
  answered,
  blankSurvey,
  MATERIALS,
  movesOf,
  surveyDoubts,
  type Advice,
  type AskedField,
  type Family,
  type Pace,
  type Moves,
  type ShopMeans,
  type Survey,
  type SurveyDoubt,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { usePace } from '../../words/usePace.ts';
import { LIFE_FIELDS, useDrafts, type Life } from '../../state/drafts.ts';

/** What the part's own record already answers. */
function firstSurvey(part: PartDetail): Survey {
  if (part.survey) return part.survey;
  return {
    ...blankSurvey(part.card.substrate),
    thicknessMm: part.thicknessMm,
    massKg: part.massKg,
    areaM2: part.card.areaM2,
    colourGroup: part.colourGroup,
    isPair: part.pairPartId !== null,
  };
}

/** An answer given a moment ago, and what it moved. */
export interface Said {
  readonly fields: readonly AskedField[];
  readonly before: Survey;
  readonly moves: Moves;
}

interface Surveying {
  readonly survey: Survey;
  /** How long work on such metal takes this shop. */
  readonly pace: Pace;
  readonly advice: Advice;
  readonly said: Said | null;
  /** Answers that cannot all be true. */
  readonly doubts: readonly SurveyDoubt[];
  /** Answers are here that the record does not hold. */
  readonly isDraft: boolean;
  /** Somebody stored another survey since these answers were begun. */
  readonly isOvertaken: boolean;
  /** What was last said of where another part of this machine lives, as far as it is open here; null: nothing. */
  readonly proposed: Life | null;
  readonly answer: (patch: Partial<Survey>) => void;
  readonly undo: () => void;
  /** Lets the answers given here go and takes what is on record. */
  readonly drop: () => void;
}

/** Proposed only while where it lives is open: an answer is never written over. */
function proposalOf(life: Life | undefined, s: Survey): Life | null {
  if (life?.category === undefined || s.category !== 'unknown') return null;
  const { sun, ...rest } = life;
  return s.sun === 'unknown' && sun !== undefined ? { ...rest, sun } : rest;
}

/** A survey under way: its answers are kept on this device until they are stored, so that leaving the page loses none. */
export function useSurvey(
  part: PartDetail,
  means: ShopMeans,
  families: ReadonlyMap<string, Family>,
): Surveying {
  const pace = usePace(part.card.substrate);
  const { partId } = part.card;
  const draft = useDrafts((s) => s.surveys[partId]);
  const put = useDrafts((s) => s.put);
  const drop = useDrafts((s) => s.drop);
  const { machineId } = part.card;
  const life = useDrafts((s) => s.lives[machineId]);
  const rememberLife = useDrafts((s) => s.rememberLife);
  const stored = JSON.stringify(part.survey);
  const onRecord = useMemo(() => firstSurvey(part), [part]);
  const survey = draft?.survey ?? onRecord;
  const advice = useMemo(
    () => advise({ survey, means, families, pace, branches: true }),
    [survey, means, families, pace],
  );
  const [said, setSaid] = useState<Said | null>(null);
  const begun = draft?.begunFrom ?? stored;
  return {
    survey,
    pace,
    advice,
    said,
    doubts: surveyDoubts(survey, MATERIALS[survey.substrate].densityKgM3),
    isDraft: draft !== undefined,
    isOvertaken: draft !== undefined && begun !== stored,
    proposed: proposalOf(life, survey),
    answer: (patch) => {
      const said = LIFE_FIELDS.filter((f) => patch[f] !== undefined && patch[f] !== 'unknown');
      if (said.length > 0) rememberLife(machineId, Object.fromEntries(said.map((f) => [f, patch[f]])));
      const next = answered(survey, patch);
      const moves = movesOf(advice, advise({ survey: next, means, families, pace }));
      setSaid({
        fields: Object.keys(patch).filter((f) => f !== 'usual') as AskedField[],
        before: survey,
        moves,
      });
      put(partId, { survey: next, begunFrom: begun });
    },
    undo: () => {
      if (said) put(partId, { survey: said.before, begunFrom: begun });
      setSaid(null);
    },
    drop: () => {
      drop(partId);
      setSaid(null);
    },
  };
}
