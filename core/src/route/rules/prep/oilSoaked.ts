import { isCasting } from '../../../part/substrate.ts';
import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, stripIndex } from '../../view.ts';

/** Porous iron and old castings hold oil: degrease again after stripping and warm it out. */
export const oilSoaked = rule({
  id: 'prep.oil-soaked',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('oil'), byRoute],
  check: (v) => {
    const again = v.steps.some((s, i) => s.kind === 'degrease' && i > stripIndex(v) && i < firstCoatIndex(v));
    if (again) return null;
    return v.survey.oil === 'soaked'
      ? fires()
      : v.survey.oil === 'unknown' && isCasting(v.survey.substrate)
        ? asks('oil')
        : null;
  },
});
