import { byFacility, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { DUSTY, indexOf, uses } from '../../view.ts';

/** Lead or chromate in the paint: no dry dust. Strip it wet or chemically, by local rules and licensed people. */
export const legacyDust = rule({
  id: 'strip.legacy-dust',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('legacy'), byFacility('contractor'), byRoute],
  check: (v) => {
    if (v.survey.coating === 'none' || !(v.survey.legacy === 'lead' || v.survey.legacy === 'chromate'))
      return null;
    return uses(v, ...DUSTY.filter((m) => m !== 'keep')) && indexOf(v, 'refer', 'legacy-removal') < 0
      ? fires({ legacy: v.survey.legacy })
      : null;
  },
});
