import { byRoute, bySurvey, COMMON_PRACTICE, rule, whenYes } from '../../rule.ts';
import { ACIDS, uses } from '../../view.ts';

/** Acid and electrolysis load hardened and high-strength steel with hydrogen: it cracks later. */
export const hydrogen = rule({
  id: 'strip.hydrogen',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('hardened'), byRoute],
  check: (v) => {
    if (v.metal !== 'steel') return null;
    return uses(v, ...ACIDS) || v.pretreats.includes('phosphate')
      ? whenYes(v.survey.hardened, 'hardened')
      : null;
  },
});
