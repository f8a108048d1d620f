import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** Fill or drain a water trap, or it rusts from under the paint. */
export const waterTraps = rule({
  id: 'protect.water-traps',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return has(v, 'water-traps') ? fires() : null;
  },
});
