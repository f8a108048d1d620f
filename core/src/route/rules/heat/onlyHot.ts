import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A heat finish where it never gets hot stays soft and protects little. */
export const onlyHot = rule({
  id: 'heat.only-hot',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('heatC'), byRoute],
  check: (v) => {
    if (!v.coats.some((c) => c.family.sheet.binder === 'silicone-heat')) return null;
    const heatC = v.survey.heatC;
    return heatC === null ? asks('heatC') : heatC < 150 ? fires({ heatC, leastC: 150 }) : null;
  },
});
