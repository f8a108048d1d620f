import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Coarse grit, needles and a disc nick a spring, and it breaks at the nick. */
export const springs = rule({
  id: 'strip.springs',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('kind'), byRoute],
  check: (v) => {
    return v.survey.kind === 'spring' && uses(v, 'grit-blast', 'needle-gun', 'rotary-bristle', 'disc')
      ? fires()
      : null;
  },
});
