import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';

/** What is kept must be there: paint that is not known, or not there, carries nothing. */
export const keepUnsound = rule({
  id: 'strip.keep-unsound',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('coating'), byRoute],
  check: (v) => {
    if (!v.keeps) return null;
    const c = v.survey.coating;
    return c === 'unknown' ? asks('coating') : c === 'none' || c === 'unsound' ? fires({ coating: c }) : null;
  },
});
