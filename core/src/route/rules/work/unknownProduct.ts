import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A coat without a sheet has no window, no limits and no advice. */
export const unknownProduct = rule({
  id: 'work.unknown-product',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.unknownFamilies.length > 0 ? fires({ products: v.unknownFamilies.join(', ') }) : null;
  },
});
