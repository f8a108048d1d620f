import { COMMON_PRACTICE, asks, byRoute, bySurvey, rule } from '../../rule.ts';
import { DUSTY, indexOf, usesAny } from '../../view.ts';

/** Old paint is tested for lead and chromate, through all its layers, before any of it becomes dust or fume. */
export const legacyTest = rule({
  id: 'strip.legacy-test',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('legacy'), byRoute],
  check: (v) => {
    if (v.survey.coating === 'none' || v.survey.legacy !== 'unknown') return null;
    return usesAny(v, DUSTY) || indexOf(v, 'abrade', 'key') >= 0 ? asks('legacy') : null;
  },
});
