import { isFerrous } from '../../../products/traits.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex } from '../../view.ts';

/** Bare iron is primed within its flash-rust limit: nothing that takes days stands between. */
export const flashRust = rule({
  id: 'prep.flash-rust',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!isFerrous(v.metal) || v.keeps || v.coats.length === 0) return null;
    const coated = firstCoatIndex(v);
    const strip = v.steps.findLastIndex(
      (s) => s.kind === 'strip' || s.kind === 'pretreat' || s.kind === 'abrade',
    );
    const days = v.steps.some((s, i) => i > strip && i < coated && (s.kind === 'repair' || s.waitHours > 24));
    return days ? fires() : null;
  },
});
