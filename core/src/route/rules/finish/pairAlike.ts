import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Left and right are coated alike: same route, same session, same batch. */
export const pairAlike = rule({
  id: 'finish.pair-alike',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.survey.isPair && v.coats.length > 0 ? fires() : null;
  },
});
