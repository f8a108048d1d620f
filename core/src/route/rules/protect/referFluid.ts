import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Petrol, drinking water and brake fluid: the maker’s own system for that fluid, or a specialist. No generic coat. */
export const referFluid = rule({
  id: 'protect.refer-fluid',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('fluids'), byRoute],
  check: (v) => {
    const hard = v.survey.fluids.find((f) => f === 'petrol' || f === 'potable' || f === 'brake-fluid');
    if (hard === undefined || paintOf(v).length === 0) return null;
    return paintOf(v).every((c) => c.family.traits.fluids.includes(hard)) ? null : fires({ fluid: hard });
  },
});
