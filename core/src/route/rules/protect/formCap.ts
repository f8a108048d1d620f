import { capUm } from '../../caps.ts';
import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { paintOf, totalUm } from '../../view.ts';

/** Its form carries little film: springs flex, fasteners must go together, fins give off heat, oil spaces shed flakes. */
export const formCap = rule({
  id: 'protect.form-cap',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('kind'), byRoute],
  check: (v) => {
    const brittle = paintOf(v).find((c) => ['inorganic-zinc', 'powder'].includes(c.family.sheet.binder));
    if (v.survey.kind === 'spring' && brittle)
      return fires({ product: brittle.family.sheet.name, form: 'spring' });
    const mostUm = capUm(v.survey);
    const um = paintOf(v).reduce((sum, c) => sum + totalUm(c), 0);
    return mostUm !== null && um > mostUm ? fires({ um, mostUm, form: v.survey.kind }) : null;
  },
});
