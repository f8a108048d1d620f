import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { BLASTS, firstCoatIndex, indexOf, uses } from '../../view.ts';

/** Magnesium corrodes fast and burns as dust: specialist treatment, then epoxy. */
export const magnesium = rule({
  id: 'metal.magnesium',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.metal !== 'magnesium') return null;
    const refer = indexOf(v, 'refer', 'magnesium');
    return refer >= 0 && refer < firstCoatIndex(v) && !uses(v, ...BLASTS, 'disc', 'wire-wheel', 'needle-gun')
      ? null
      : fires();
  },
});
