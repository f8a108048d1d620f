import { asks, byFacility, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** What one person lifts into a bath, kg. */
const MOST_KG = 25;

/** A bath of a workshop holds what one person can lift. */
export const bathSize = rule({
  id: 'strip.bath-size',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('massKg'), byFacility('contractor')],
  check: (v) => {
    if (!uses(v, 'chelating-bath', 'citric-bath', 'electrolysis')) return null;
    const kg = v.survey.massKg;
    return kg === null ? asks('massKg') : kg > MOST_KG ? fires({ kg, mostKg: MOST_KG }) : null;
  },
});
