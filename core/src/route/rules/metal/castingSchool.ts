import { isCasting } from '../../../part/substrate.ts';
import { COMMON_PRACTICE, bySchool, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** House practice on rough castings: primed, or straight to enamel. */
export const castingSchool = rule({
  id: 'metal.casting-school',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySchool('castings')],
  check: (v) => {
    if (!isCasting(v.survey.substrate) || v.coats.length === 0) return null;
    const direct = firstCoat(v)?.kind === 'topcoat';
    return direct === (v.means.schools.castings === 'direct')
      ? fires({ school: v.means.schools.castings })
      : null;
  },
});
