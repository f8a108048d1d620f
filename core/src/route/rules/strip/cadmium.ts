import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { actThat } from '../../view.ts';

/** Cadmium is poison: no abrasion, no acid, nothing over 230 °C. It is stripped by licensed people. */
export const cadmium = rule({
  id: 'strip.cadmium',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('plating'), byRoute],
  check: (v) => {
    const bad = actThat(
      v,
      (a) => a.isDusty || a.way === 'bath' || a.way === null || a.actId === 'vapour-blast',
    );
    if (bad === undefined) return null;
    return v.survey.plating === 'cadmium'
      ? fires({ act: bad })
      : v.survey.plating === 'unknown'
        ? asks('plating')
        : null;
  },
});
