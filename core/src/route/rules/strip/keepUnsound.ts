import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Paint that flakes or is not known cannot carry new paint. */
export const keepUnsound = rule({
  id: 'strip.keep-unsound',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('coating'), byRoute],
  check: (v) => {
    if (!v.keeps) return null;
    const c = v.survey.coating;
    return c === 'sound' ? null : c === 'unknown' ? asks('coating') : fires({ coating: c });
  },
});
