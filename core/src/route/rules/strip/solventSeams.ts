import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { has, uses } from '../../view.ts';

/** Stripper and acid that cannot be rinsed from a seam lift the next paint. */
export const solventSeams = rule({
  id: 'strip.solvent-seams',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('seamsRinse'), byRoute],
  check: (v) => {
    if (!(has(v, 'seams') || has(v, 'box-section'))) return null;
    if (!uses(v, 'solvent-stripper', 'citric-bath', 'electrolysis')) return null;
    return v.survey.seamsRinse === 'yes'
      ? null
      : v.survey.seamsRinse === 'unknown'
        ? asks('seamsRinse')
        : fires();
  },
});
