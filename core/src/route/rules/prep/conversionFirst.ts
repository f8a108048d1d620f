import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Aluminium outdoors holds paint longer over a conversion coating. */
export const conversionFirst = rule({
  id: 'prep.conversion-first',
  severity: 'prefer',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.metal === 'aluminium' && v.pretreats.includes('conversion') && v.survey.category !== 'C1'
      ? fires()
      : null;
  },
});
