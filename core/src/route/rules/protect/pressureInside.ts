import { byRoute, bySurvey, fires, published, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Water and fire sides of a boiler are never coated; a receiver only by its maker or the inspector. */
export const pressureInside = rule({
  id: 'protect.pressure-inside',
  severity: 'refuse',
  phase: 'coats',
  source: published('pressure equipment law of your country'),
  safety: true,
  remedies: [bySurvey('criticality'), byRoute],
  check: (v) => {
    return v.survey.criticality.includes('pressure') &&
      v.survey.category === 'immersed' &&
      paintOf(v).length > 0
      ? fires()
      : null;
  },
});
