import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has, indexOf } from '../../view.ts';

/** A box section rusts from inside: wax it, last of all. */
export const boxSection = rule({
  id: 'protect.box-section',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return has(v, 'box-section') && v.coats.length > 0 && indexOf(v, 'cavity') < 0 ? fires() : null;
  },
});
