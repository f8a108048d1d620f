import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { BLASTS, has, indexOf, stripIndex, usesAny } from '../../view.ts';

/** Blasting pits machined faces, threads and bores, and fills oilways, that stand unmasked. */
export const blastMachined = rule({
  id: 'strip.blast-machined',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const kept = (['machined', 'threads', 'bores', 'oilways'] as const).filter((f) => has(v, f));
    if (kept.length === 0 || !usesAny(v, BLASTS)) return null;
    const mask = indexOf(v, 'mask', 'before-strip');
    return mask >= 0 && mask < stripIndex(v) ? null : fires({ features: kept.join(', ') });
  },
});
