import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Iron and steel media leave iron in aluminium, magnesium and zinc, and it rusts there. */
export const ironMedia = rule({
  id: 'strip.iron-media',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'grit-blast', 'needle-gun') &&
      ['aluminium', 'magnesium', 'zinc', 'copper', 'stainless', 'glass-fibre'].includes(v.metal)
      ? fires({ metal: v.metal })
      : null;
  },
});
