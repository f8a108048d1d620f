import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { isFerrous } from '../../view.ts';

/** A phosphating wash is for iron and steel. */
export const phosphateMetals = rule({
  id: 'prep.phosphate-metals',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.pretreats.includes('phosphate') && !isFerrous(v.metal) ? fires({ metal: v.metal }) : null;
  },
});
