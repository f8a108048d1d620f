import { byRoute, bySurvey, COMMON_PRACTICE, rule, whenYes } from '../../rule.ts';
import { BLASTS, uses } from '../../view.ts';

/** Grit finds its way into assembled units and their internals. */
export const blastAssembled = rule({
  id: 'strip.blast-assembled',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('assembled'), byRoute],
  check: (v) => {
    return uses(v, ...BLASTS, 'hot-caustic', 'chelating-bath', 'citric-bath', 'electrolysis')
      ? whenYes(v.survey.assembled, 'assembled')
      : null;
  },
});
