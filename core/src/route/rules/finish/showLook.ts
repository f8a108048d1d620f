import { capUm } from '../../caps.ts';
import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** A show finish needs a finish that can be flatted and polished. */
export const showLook = rule({
  id: 'finish.show-look',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('finish'), byRoute],
  check: (v) => {
    const last = lastCoat(v);
    if (
      v.survey.finish !== 'show' ||
      !last ||
      v.survey.concealed === 'yes' ||
      (v.survey.heatC ?? 0) > 150 ||
      v.isHeld
    )
      return null;
    if (v.survey.category === 'immersed' && v.survey.sun !== 'yes') return null;
    return last.family.traits.look < 3 && capUm(v.survey) === null
      ? fires({ product: last.family.sheet.name })
      : null;
  },
});
