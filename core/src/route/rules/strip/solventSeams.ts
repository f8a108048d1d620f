import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has, uses } from '../../view.ts';

/** Stripper that cannot be rinsed from a seam lifts the next paint. */
export const solventSeams = rule({
  id: 'strip.solvent-seams',
  severity: 'warn',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'solvent-stripper') && (has(v, 'seams') || has(v, 'box-section')) ? fires() : null;
  },
});
