import { byFacility, bySurvey, COMMON_PRACTICE, rule, whenYes } from '../../rule.ts';
import { BLASTS, uses } from '../../view.ts';

/** Mill scale does not come off by hand, disc or wheel; paint on it falls with it. */
export const scaleHand = rule({
  id: 'strip.scale-hand',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('scale'), byFacility('grit'), byFacility('bath')],
  check: (v) => {
    if (
      v.metal !== 'steel' ||
      v.keeps ||
      !uses(v, 'hand', 'disc', 'wire-wheel', 'solvent-stripper', 'heat-gun')
    )
      return null;
    if (uses(v, ...BLASTS, 'chelating-bath', 'citric-bath', 'electrolysis', 'needle-gun')) return null;
    return whenYes(v.survey.scale, 'scale');
  },
});
