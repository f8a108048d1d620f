import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** A heat gun makes lead fume of old paint. */
export const heatGunLead = rule({
  id: 'strip.heat-gun-lead',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('legacy'), byRoute],
  check: (v) => {
    if (!uses(v, 'heat-gun') || v.survey.coating === 'none') return null;
    return v.survey.legacy === 'none'
      ? null
      : v.survey.legacy === 'unknown'
        ? asks('legacy')
        : fires({ legacy: v.survey.legacy });
  },
});
