import { COMMON_PRACTICE, byRoute, bySurvey, rule, whenYes } from '../../rule.ts';
import { FLOODS, usesAny } from '../../view.ts';

/** Grit, lye and baths find their way into assembled units and their internals. */
export const blastAssembled = rule({
  id: 'strip.blast-assembled',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('assembled'), byRoute],
  check: (v) => {
    return usesAny(v, FLOODS) ? whenYes(v.survey.assembled, 'assembled') : null;
  },
});
