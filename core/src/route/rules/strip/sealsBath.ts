import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { FLOODS, has, usesAny } from '../../view.ts';

/** Baths, media and lye get into seals, glazing and wiring that stay in place. */
export const sealsBath = rule({
  id: 'strip.seals-bath',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('features'), byRoute],
  check: (v) => {
    const kept = (['seals', 'glass', 'wiring'] as const).filter((f) => has(v, f));
    return kept.length > 0 && usesAny(v, FLOODS) ? fires({ features: kept.join(', ') }) : null;
  },
});
