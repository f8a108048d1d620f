import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Solvent stripper attacks glass-fibre and plastics. */
export const solventPlastics = rule({
  id: 'strip.solvent-plastics',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'solvent-stripper', 'heat-gun') && v.metal === 'glass-fibre' ? fires() : null;
  },
});
