import { MOST_BATH_KG, placeOfAct } from '../../facilities.ts';
import { actOf } from '../../surface/acts.ts';
import { asks, byFacility, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A bath or cabinet of a workshop holds what one person can lift and what fits it. */
export const bathSize = rule({
  id: 'strip.bath-size',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('massKg'), bySurvey('tooBigFor'), byFacility('contractor')],
  check: (v) => {
    for (const method of v.methods) {
      const a = actOf(method);
      if (!a || (a.needs !== 'bath' && a.needs !== 'bead')) continue;
      const where = placeOfAct(a, v.survey, v.means);
      if (where === 'here' && a.needs === 'bath' && v.survey.massKg === null) return asks('massKg');
      if (where === null && v.means.facilities.includes(a.needs))
        return fires({ act: method, kg: v.survey.massKg ?? 0, mostKg: MOST_BATH_KG });
    }
    return null;
  },
});
