import { actOf } from '../../surface/acts.ts';
import { needsOf, placeOfAct } from '../../facilities.ts';
import { COMMON_PRACTICE, byFacility, fires, rule } from '../../rule.ts';
import { actThat } from '../../view.ts';

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
    const missing = actThat(v, (a) => a.way !== null && placeOfAct(a, v.survey, v.means) === null);
    if (missing === undefined) return null;
    // A bath for one person is a matter of weight, and said by its own rule.
    const a = actOf(missing)!;
    const hasOwn = a.needs !== null && a.needs !== 'none' && v.means.facilities.includes(a.needs);
    return hasOwn ? null : fires({ method: missing, needs: needsOf(a).join(' or ') || 'a contractor' });
  },
});
