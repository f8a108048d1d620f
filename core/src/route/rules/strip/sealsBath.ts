import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has, uses } from '../../view.ts';

/** Baths, beads and solvents get into seals and glazing that stay in place. */
export const sealsBath = rule({
  id: 'strip.seals-bath',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('features'), byRoute],
  check: (v) => {
    const kept = (['seals', 'glass', 'wiring'] as const).filter((f) => has(v, f));
    return kept.length > 0 &&
      uses(v, 'bead-blast', 'grit-blast', 'chelating-bath', 'citric-bath', 'hot-caustic', 'electrolysis')
      ? fires({ features: kept.join(', ') })
      : null;
  },
});
