import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Parts of one colour group are coated from one batch. */
export const oneBatch = rule({
  id: 'finish.one-batch',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.survey.colourGroup !== null && v.coats.some((c) => c.kind === 'topcoat')
      ? fires({ group: v.survey.colourGroup })
      : null;
  },
});
