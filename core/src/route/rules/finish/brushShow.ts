import { byFacility, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Two-pack gloss by brush does not make a show finish. */
export const brushShow = rule({
  id: 'finish.brush-show',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byFacility('gun'), bySurvey('finish')],
  check: (v) => {
    const last = lastCoat(v);
    return v.survey.finish === 'show' && last && last.tool !== 'gun' && last.tool !== 'aerosol'
      ? fires()
      : null;
  },
});
