import { byFacility, byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Chromate and red lead are legacy products: licensed use only. */
export const legacyProduct = rule({
  id: 'work.legacy-product',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byFacility('legacy-licence'), byRoute],
  check: (v) => {
    const old = v.coats.find((c) => c.family.traits.isLegacy);
    return old && !v.means.facilities.includes('legacy-licence')
      ? fires({ product: old.family.sheet.name })
      : null;
  },
});
