import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A conversion coating is for aluminium and magnesium. */
export const conversionMetals = rule({
  id: 'prep.conversion-metals',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.pretreats.includes('conversion') && v.metal !== 'aluminium' && v.metal !== 'magnesium'
      ? fires({ metal: v.metal })
      : null;
  },
});
