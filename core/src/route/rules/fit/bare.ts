import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, has } from '../../view.ts';

/** Machined faces, threads, bores and ports carry no paint: mask them before the first coat. */
export const bare = rule({
  id: 'fit.bare',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const kept = (['machined', 'threads', 'bores', 'drains-ports', 'seals', 'glass'] as const).filter((f) =>
      has(v, f),
    );
    if (kept.length === 0 || v.coats.length === 0) return null;
    const mask = v.steps.findLastIndex((s, i) => s.kind === 'mask' && i < firstCoatIndex(v));
    return mask >= 0 ? null : fires({ features: kept.join(', ') });
  },
});
