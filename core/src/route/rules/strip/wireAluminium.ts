import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { isFerrous, uses } from '../../view.ts';

/** Steel wire leaves iron in aluminium, magnesium and zinc: nylon or brass only. */
export const wireAluminium = rule({
  id: 'strip.wire-aluminium',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'wire-wheel') && !isFerrous(v.metal) ? fires({ metal: v.metal }) : null;
  },
});
