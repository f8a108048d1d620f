import { unmetHere } from '../../surface/unmet.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** A wire wheel burnishes: it hides rust under a glaze that paint does not hold to. Follow it with abrasive. */
export const burnished = rule({
  id: 'surface.burnished',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return unmetHere(v).some((x) => x.code === 'burnished') ? fires() : null;
  },
});
