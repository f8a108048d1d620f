import { byFacility, byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Zinc-rich settles and is sprayed; the brush is for stripes only. */
export const gun = rule({
  id: 'zinc.gun',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byFacility('gun'), byRoute],
  check: (v) => {
    const zinc = v.coats.find((c) => c.family.traits.pigment === 'zinc-metal');
    if (!zinc) return null;
    return zinc.tool === 'gun' && v.means.facilities.includes('gun') && v.survey.reach === 'gun'
      ? null
      : fires();
  },
});
