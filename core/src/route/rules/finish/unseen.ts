import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Out of sight and dry: a primer or mastic alone does, and a finish only costs an evening. */
export const unseen = rule({
  id: 'finish.unseen',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    const isDry = v.survey.category === 'C1' || v.survey.category === 'C2';
    return v.survey.concealed === 'yes' &&
      isDry &&
      v.paint.length > 0 &&
      v.paint.every((c) => c.kind === 'prime')
      ? fires()
      : null;
  },
});
