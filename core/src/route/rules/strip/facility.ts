import { needsOf, placeOfAct } from '../../facilities.ts';
import { actOf } from '../../surface/acts.ts';
import { byFacility, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** The shop lacks what the method needs, and no contractor does it. */
export const facility = rule({
  id: 'strip.facility',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [
    byFacility('grit'),
    byFacility('bead'),
    byFacility('bristle'),
    byFacility('needle'),
    byFacility('bath'),
    byFacility('caustic'),
    byFacility('contractor'),
  ],
  check: (v) => {
    for (const method of v.methods) {
      const a = actOf(method);
      if (!a || placeOfAct(a, v.survey, v.means) !== null) continue;
      // Too big or heavy for what the shop has is said by its own rule.
      const hasOwn = a.needs !== null && a.needs !== 'none' && v.means.facilities.includes(a.needs);
      if (!hasOwn) return fires({ method, needs: needsOf(a).join(' or ') || 'a contractor' });
    }
    return null;
  },
});
