import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule, whenYes } from '../../rule.ts';

/** A phosphate film keeps the zinc from touching the steel. */
export const phosphate = rule({
  id: 'zinc.phosphate',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('phosphated'), byRoute],
  check: (v) => {
    const zinc = v.coats.find((c) => c.family.traits.pigment === 'zinc-metal');
    if (!zinc) return null;
    if (v.pretreats.includes('phosphate')) return fires();
    return whenYes(v.survey.phosphated, 'phosphated');
  },
});
