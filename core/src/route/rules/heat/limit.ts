import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Every coat must stand the heat of service. */
export const limit = rule({
  id: 'heat.limit',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('heatC'), byRoute],
  check: (v) => {
    const least = Math.min(...paintOf(v).map((c) => c.family.traits.heatMaxC));
    if (!Number.isFinite(least)) return null;
    const heatC = v.survey.heatC;
    if (heatC === null) return asks('heatC');
    const weak = paintOf(v).find((c) => c.family.traits.heatMaxC < heatC);
    return weak
      ? fires({ heatC, mostC: weak.family.traits.heatMaxC, product: weak.family.sheet.name })
      : null;
  },
});
