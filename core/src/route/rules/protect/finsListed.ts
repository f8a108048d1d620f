import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Fins and radiators take one thin coat of a product that lists them, or none. */
export const finsListed = rule({
  id: 'protect.fins-listed',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('kind'), byRoute],
  check: (v) => {
    if (v.survey.kind !== 'radiator') return null;
    const bad = paintOf(v).find((c) => !c.family.traits.onFins);
    return bad ? fires({ product: bad.family.sheet.name }) : null;
  },
});
