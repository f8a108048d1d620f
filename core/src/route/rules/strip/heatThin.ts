import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Thinner than this, a heat gun warps it, mm (common practice). */
const LEAST_MM = 1.2;

/** A heat gun warps thin sheet, and is no tool near fuel. */
export const heatThin = rule({
  id: 'strip.heat-thin',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), byRoute],
  check: (v) => {
    if (!uses(v, 'heat-gun')) return null;
    if (v.survey.criticality.includes('fuel')) return fires({ near: 'fuel' });
    const mm = v.survey.thicknessMm ?? (v.survey.substrate === 'steel-sheet' ? 1 : null);
    return mm !== null && mm < LEAST_MM ? fires({ mm, leastMm: LEAST_MM }) : null;
  },
});
