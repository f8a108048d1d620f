import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** A mist coat, a flash, then the full coat over zinc-rich: it is porous and bubbles. */
export const mist = rule({
  id: 'zinc.mist',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return pairs(v).some(([a]) => a.family.traits.pigment === 'zinc-metal') ? fires() : null;
  },
});
