import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** Polyester filler never on zinc, under water, or on a phosphate film. */
export const fillerPlace = rule({
  id: 'over.filler-place',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('category'), byRoute],
  check: (v) => {
    const filler = v.coats.find((c) => c.family.sheet.binder === 'polyester-2k');
    if (!filler) return null;
    if (v.metal === 'zinc' && firstCoat(v) === filler) return fires({ place: 'zinc' });
    return v.survey.category === 'immersed'
      ? fires({ place: 'water' })
      : v.survey.category === 'unknown'
        ? asks('category')
        : null;
  },
});
