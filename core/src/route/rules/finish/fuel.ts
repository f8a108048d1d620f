import { byRoute, bySurvey, COMMON_PRACTICE, rule, whenYes } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Fuel and oil soften one-pack enamels and lacquers. */
export const fuel = rule({
  id: 'finish.fuel',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('fuel'), byRoute],
  check: (v) => {
    const last = lastCoat(v);
    return last &&
      !last.family.traits.fuelProof &&
      v.survey.concealed !== 'yes' &&
      last.family.sheet.binder !== 'silicone-heat'
      ? whenYes(v.survey.fuel, 'fuel', { product: last.family.sheet.name })
      : null;
  },
});
