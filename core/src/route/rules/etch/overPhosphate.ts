import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule, whenYes } from '../../rule.ts';
import { BLASTS, isFerrous, uses } from '../../view.ts';

/** Etch needs bare metal: acid on a phosphate film leaves a weak layer. */
export const overPhosphate = rule({
  id: 'etch.over-phosphate',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('phosphated'), byRoute],
  check: (v) => {
    if (!v.coats.some((c) => c.kind === 'etch') || !isFerrous(v.metal)) return null;
    if (v.pretreats.includes('phosphate')) return fires();
    return uses(v, ...BLASTS) ? null : whenYes(v.survey.phosphated, 'phosphated');
  },
});
