import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { firstCoat, lastCoat, paintOf } from '../../view.ts';

/** Under a fluid only what its sheet lists for that fluid; above the waterline a sun-fast finish that lists splash. */
export const immersion = rule({
  id: 'protect.immersion',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('fluids'), bySurvey('category'), byRoute],
  check: (v) => {
    const s = v.survey;
    if (s.category !== 'immersed' || paintOf(v).length === 0) return null;
    if (s.fluids.length === 0) return asks('fluids');
    const last = lastCoat(v);
    for (const c of paintOf(v)) {
      const { fluids, holdsSun } = c.family.traits;
      if (c === last && c !== firstCoat(v) && holdsSun && s.sun === 'yes' && fluids.includes('splash'))
        continue;
      const missing = s.fluids.find((f) => !fluids.includes(f));
      if (missing !== undefined) return fires({ product: c.family.sheet.name, fluid: missing });
    }
    return null;
  },
});
