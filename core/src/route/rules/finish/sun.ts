import { byRoute, bySurvey, COMMON_PRACTICE, rule, whenYes } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Epoxy and primers chalk in sunlight: the last coat must hold the sun. */
export const sun = rule({
  id: 'finish.sun',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('sun'), bySurvey('concealed'), byRoute],
  check: (v) => {
    const last = lastCoat(v);
    if (!last || last.family.traits.holdsSun || v.survey.concealed === 'yes' || v.isHeld) return null;
    return whenYes(v.survey.sun, 'sun', { product: last.family.sheet.name });
  },
});
