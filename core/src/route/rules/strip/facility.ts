import type { Method } from '../../route.ts';
import type { Facility } from '../../../part/shopMeans.ts';
import { byFacility, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

const NEEDS: Readonly<Partial<Record<Method, readonly Facility[]>>> = {
  'grit-blast': ['grit', 'contractor'],
  'bead-blast': ['bead', 'contractor'],
  'dry-ice': ['contractor'],
  'chelating-bath': ['bath'],
  'citric-bath': ['bath'],
  electrolysis: ['bath'],
  'hot-caustic': ['contractor'],
};

/** The shop has not what the method needs. */
export const facility = rule({
  id: 'strip.facility',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byFacility('grit'), byFacility('bead'), byFacility('bath'), byFacility('contractor')],
  check: (v) => {
    for (const m of v.methods) {
      const needs = NEEDS[m];
      if (needs && !needs.some((f) => v.means.facilities.includes(f)))
        return fires({ method: m, needs: needs.join(' or ') });
    }
    return null;
  },
});
