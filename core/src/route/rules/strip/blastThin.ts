import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Thinner than this, grit warps it, mm. */
const LEAST_MM = 2;

/** Grit warps sheet thinner than 2 mm. */
export const blastThin = rule({
  id: 'strip.blast-thin',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), byRoute],
  check: (v) => {
    if (!uses(v, 'grit-blast')) return null;
    const mm = v.survey.thicknessMm;
    if (mm === null)
      return v.survey.substrate === 'steel-sheet' ? fires({ leastMm: LEAST_MM }) : asks('thicknessMm');
    return mm < LEAST_MM ? fires({ mm, leastMm: LEAST_MM }) : null;
  },
});
