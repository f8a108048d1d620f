import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** A zinc-rich primer left open more than two days grows white salts: washed off before the next coat. */
export const zincSalts = rule({
  id: 'prep.zinc-salts',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('priorPrimer'), byRoute],
  check: (v) => {
    const { priorPrimer, primerDays } = v.survey;
    if (!v.keeps || priorPrimer !== 'zinc-rich' || (primerDays !== null && primerDays <= 2)) return null;
    return indexOf(v, 'wash', 'zinc-salts') < 0 ? fires() : null;
  },
});
