import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { has, uses } from '../../view.ts';

/** Lye in seams and box sections weeps for years and lifts the paint: bare iron or steel in one piece only. */
export const causticSeams = rule({
  id: 'strip.caustic-seams',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'hot-caustic') && (has(v, 'seams') || has(v, 'box-section') || has(v, 'bolted-joints'))
      ? fires()
      : null;
  },
});
