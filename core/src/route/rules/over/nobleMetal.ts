import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Copper, graphite and lead pigments never touch aluminium or magnesium. */
export const nobleMetal = rule({
  id: 'over.noble-metal',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const bad = paintOf(v).find((c) => ['copper', 'graphite', 'red-lead'].includes(c.family.traits.pigment));
    return bad && (v.metal === 'aluminium' || v.metal === 'magnesium')
      ? fires({ pigment: bad.family.traits.pigment })
      : null;
  },
});
