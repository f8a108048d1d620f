import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

const LEAST_MM = 3;

/** A needle gun dents thin sheet. */
export const needleThin = rule({
  id: 'strip.needle-thin',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), byRoute],
  check: (v) => {
    if (!uses(v, 'needle-gun')) return null;
    const mm = v.survey.thicknessMm;
    return mm === null ? asks('thicknessMm') : mm < LEAST_MM ? fires({ mm, leastMm: LEAST_MM }) : null;
  },
});
