import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** No warming out of oil with white metal, solder or seals in place. */
export const warmOut = rule({
  id: 'prep.warm-out',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.survey.oil === 'soaked' && (has(v, 'white-metal') || has(v, 'seals')) ? fires() : null;
  },
});
