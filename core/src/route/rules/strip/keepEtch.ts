import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Days an etch primer may stand uncovered indoors (common practice, no published source). */
const MOST_DAYS = 2;

/** An etch primer is no weather coat: left open more than two days it has drunk water, and nothing goes over it. */
export const keepEtch = rule({
  id: 'strip.keep-etch',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('priorPrimer'), bySurvey('primerDays'), byRoute],
  check: (v) => {
    if (!v.keeps) return null;
    const { priorPrimer, primerDays } = v.survey;
    if (priorPrimer === 'unknown')
      return primerDays !== null && primerDays <= MOST_DAYS ? null : asks('priorPrimer');
    if (priorPrimer !== 'etch') return null;
    if (primerDays === null) return asks('primerDays');
    return primerDays > MOST_DAYS ? fires({ days: primerDays, most: MOST_DAYS }) : null;
  },
});
