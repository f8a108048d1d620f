import { isCasting } from '../../../part/substrate.ts';
import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** House practice on rough castings: primed, or straight to enamel. */
export const castingSchool = rule({
  id: 'metal.casting-school',
  severity: 'prefer',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySchool('castings')],
  check: (v) => {
    if (!isCasting(v.survey.substrate) || v.keeps) return null;
    const direct = firstCoat(v)?.kind === 'topcoat';
    return direct === (v.means.schools.castings === 'direct')
      ? fires({ school: v.means.schools.castings })
      : null;
  },
});
