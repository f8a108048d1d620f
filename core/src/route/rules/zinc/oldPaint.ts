import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Zinc-rich over old paint touches no steel. */
export const oldPaint = rule({
  id: 'zinc.old-paint',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const zinc = v.coats.find((c) => c.family.traits.pigment === 'zinc-metal');
    if (!zinc) return null;
    return v.keeps || paintOf(v)[0] !== zinc ? fires() : null;
  },
});
