import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { DUSTY, indexOf, stripIndex, uses } from '../../view.ts';

/** Old paint is tested for lead and chromate before it becomes dust. */
export const legacyTest = rule({
  id: 'strip.legacy-test',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('legacy'), byRoute],
  check: (v) => {
    if (v.survey.coating === 'none' || !uses(v, ...DUSTY) || v.survey.legacy === 'none') return null;
    const test = indexOf(v, 'test', 'legacy');
    if (test >= 0 && test < stripIndex(v)) return null;
    return v.survey.legacy === 'unknown' ? asks('legacy') : fires({ legacy: v.survey.legacy });
  },
});
