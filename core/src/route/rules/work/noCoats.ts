import { answerOf } from '../../answers.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** No coat, and no other end: a part is painted, preserved, sent away or left as it is on purpose. */
export const noCoats = rule({
  id: 'work.no-coats',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return answerOf(v.steps) === null ? fires() : null;
  },
});
