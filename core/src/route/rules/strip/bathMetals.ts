import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { isFerrous, uses } from '../../view.ts';

/** Chelating, citric, electrolytic and caustic baths are for iron and steel only. */
export const bathMetals = rule({
  id: 'strip.bath-metals',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'chelating-bath', 'citric-bath', 'electrolysis', 'hot-caustic') &&
      (!isFerrous(v.metal) || v.survey.substrate === 'timber-backed-steel')
      ? fires({ metal: v.survey.substrate })
      : null;
  },
});
