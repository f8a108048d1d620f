import { COMMON_PRACTICE, byFacility, byRoute, fires, rule } from '../../rule.ts';

/** Isocyanate is sprayed only with an air-fed mask; without one it is brushed. */
export const isocyanate = rule({
  id: 'work.isocyanate',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [byFacility('air-fed-mask'), byRoute],
  check: (v) => {
    const bad = v.coats.find(
      (c) => c.family.sheet.cautions.includes('isocyanate') && (c.tool === 'gun' || c.tool === 'aerosol'),
    );
    return bad && !v.means.facilities.includes('air-fed-mask')
      ? fires({ product: bad.family.sheet.name })
      : null;
  },
});
