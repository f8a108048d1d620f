import { placeOfAct } from '../../facilities.ts';
import { isLegacy } from '../../build.ts';
import { COMMON_PRACTICE, byFacility, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { DUSTY, actThat, indexOf, stripIndex, usesAny } from '../../view.ts';

/** Lead or chromate in the paint: no dry dust here. Strip it wet or chemically, or send it to licensed people who blast contained. */
export const legacyDust = rule({
  id: 'strip.legacy-dust',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('legacy'), byFacility('contractor'), byRoute],
  check: (v) => {
    if (v.survey.coating === 'none' || !isLegacy(v.survey)) return null;
    if (indexOf(v, 'abrade', 'key') >= 0) return fires({ legacy: v.survey.legacy, act: 'key' });
    const dusty = actThat(v, (a) => a.isDusty && placeOfAct(a, v.survey, v.means) !== 'contractor');
    if (dusty !== undefined) return fires({ legacy: v.survey.legacy, act: dusty });
    const refer = indexOf(v, 'refer', 'legacy-removal');
    return usesAny(v, DUSTY) && (refer < 0 || refer > stripIndex(v))
      ? fires({ legacy: v.survey.legacy })
      : null;
  },
});
