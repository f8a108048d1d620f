import { actOf } from '../../surface/acts.ts';
import { MOST_BATH_KG, placeOfAct } from '../../facilities.ts';
import { COMMON_PRACTICE, asks, byFacility, bySurvey, fires, rule } from '../../rule.ts';
import { actThat } from '../../view.ts';

/** A bath or cabinet of a workshop holds what one person can lift and what fits it. */
export const bathSize = rule({
  id: 'strip.bath-size',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('massKg'), bySurvey('tooBigFor'), byFacility('contractor')],
  check: (v) => {
    const bath = actThat(v, (a) => a.needs === 'bath' || a.needs === 'bead');
    if (bath === undefined) return null;
    const a = actOf(bath)!;
    if (placeOfAct(a, v.survey, v.means) === 'contractor') return null;
    if (a.needs === 'bath' && v.survey.massKg === null) return asks('massKg');
    const hasOwn = v.means.facilities.includes(a.needs as 'bath');
    return hasOwn && placeOfAct(a, v.survey, v.means) === null
      ? fires({ act: bath, kg: v.survey.massKg ?? 0, mostKg: MOST_BATH_KG })
      : null;
  },
});
