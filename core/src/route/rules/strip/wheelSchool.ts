import { byRoute, bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** House practice: no wire wheel. */
export const wheelSchool = rule({
  id: 'strip.wheel-school',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySchool('wireWheel'), byRoute],
  check: (v) => {
    return v.means.schools.wireWheel === 'no' && uses(v, 'wire-wheel') ? fires() : null;
  },
});
