import { ofKind, standingFacts } from '../facts/part.ts';
import { wholeSurvey, type Survey } from '../part/survey.ts';
import type { DerivedPart } from './part.ts';

/** What was found of a part when somebody last looked; null: nobody has. */
export function newestSurvey(part: Pick<DerivedPart, 'facts'>): Survey | null {
  const newest = ofKind(standingFacts(part.facts), 'surveyed').at(-1);
  return newest ? wholeSurvey(newest.body.survey) : null;
}
