import { byFacility, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** A heat finish cures only by a stepped bake: an oven, or the engine run up in steps. */
export const bake = rule({
  id: 'heat.bake',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byFacility('oven'), byFacility('heat'), byFacility('contractor')],
  check: (v) => {
    if (!v.coats.some((c) => c.family.sheet.cureBy === 'bake')) return null;
    return v.means.facilities.some((f) => f === 'oven' || f === 'heat' || f === 'contractor') &&
      indexOf(v, 'bake') >= 0
      ? null
      : fires();
  },
});
