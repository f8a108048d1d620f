import { actOf } from '../../surface/acts.ts';
import { isStiff } from '../../../part/kindFacts.ts';
import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';

/** Grit warps thin sheet, a needle gun dents it, a stiff shape stands more than a flat one. */
export const thin = rule({
  id: 'strip.thin',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), bySurvey('kind'), byRoute],
  check: (v) => {
    for (const id of v.methods) {
      const least = actOf(id)?.leastMm;
      if (!least) continue;
      const leastMm = isStiff(v.survey) ? least.stiff : least.flat;
      const mm = v.survey.thicknessMm;
      if (mm === null)
        return v.survey.substrate === 'steel-sheet' ? fires({ act: id, leastMm }) : asks('thicknessMm');
      if (mm < leastMm) return fires({ act: id, mm, leastMm });
    }
    return null;
  },
});
