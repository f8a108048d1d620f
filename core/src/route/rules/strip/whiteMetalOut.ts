import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { BATHS, has, uses } from '../../view.ts';

/** White metal and solder come out before a bath, lye or heat: acid and lye eat them, heat melts them and makes lead fume. */
export const whiteMetalOut = rule({
  id: 'strip.white-metal-out',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('features'), byRoute],
  check: (v) => {
    const kept = (['white-metal', 'solder'] as const).filter((f) => has(v, f));
    return kept.length > 0 && uses(v, ...BATHS, 'hot-caustic', 'heat-gun')
      ? fires({ features: kept.join(', ') })
      : null;
  },
});
