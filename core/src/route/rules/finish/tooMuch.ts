import { bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Meets the standard you set: levelling a working part only eats evenings. */
export const tooMuch = rule({
  id: 'finish.too-much',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('finish')],
  check: (v) => {
    return v.survey.finish === 'working' && !v.coats.some((c) => c.kind === 'level') ? fires() : null;
  },
});
