import { mayWarmOut } from '../../surface/search.ts';
import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** Oil is warmed out of a loose casting only: never with white metal, solder or seals in place, nor in a whole unit. */
export const warmOut = rule({
  id: 'prep.warm-out',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('features'), bySurvey('assembled'), byRoute],
  check: (v) => {
    return indexOf(v, 'degrease', 'warm-out') >= 0 && !mayWarmOut(v.survey) ? fires() : null;
  },
});
