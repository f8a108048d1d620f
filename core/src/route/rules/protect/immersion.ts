import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Under water only what is made for it. */
export const immersion = rule({
  id: 'protect.immersion',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('category'), byRoute],
  check: (v) => {
    if (v.survey.category !== 'immersed') return null;
    const weak = paintOf(v).find((c) => !c.family.traits.immersion);
    return weak ? fires({ product: weak.family.sheet.name }) : null;
  },
});
