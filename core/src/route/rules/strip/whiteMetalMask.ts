import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { BLASTS, has, indexOf, stripIndex, uses } from '../../view.ts';

/** Grit embeds in white metal: mask it before blasting. */
export const whiteMetalMask = rule({
  id: 'strip.white-metal-mask',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!has(v, 'white-metal') || !uses(v, ...BLASTS, 'wire-wheel')) return null;
    const mask = indexOf(v, 'mask', 'before-strip');
    return mask >= 0 && mask < stripIndex(v) ? null : fires();
  },
});
