import { answerOf, answersFor } from '../../answers.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** This answer without paint is not for this part. */
export const answerHere = rule({
  id: 'work.answer-here',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const answer = answerOf(v.steps);
    if (answer === null || answer.kind === 'paint') return null;
    const may = answersFor(v.survey, v.means).some((a) => a.answer === answer.kind && a.what === answer.what);
    return may ? null : fires({ answer: answer.what });
  },
});
