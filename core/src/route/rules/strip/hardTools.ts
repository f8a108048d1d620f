import { COMMON_PRACTICE, byRoute, bySurvey, rule, whenYes } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Needle gun and rotary bristle peen: never on hardened or high-strength steel. */
export const hardTools = rule({
  id: 'strip.hard-tools',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('hardened'), byRoute],
  check: (v) => {
    return uses(v, 'needle-gun', 'rotary-bristle') && v.metal === 'steel'
      ? whenYes(v.survey.hardened, 'hardened')
      : null;
  },
});
