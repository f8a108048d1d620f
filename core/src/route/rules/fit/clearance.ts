import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, has, paintOf, totalUm } from '../../view.ts';

/** Paint on both faces eats the clearance of a close fit: mask it. */
export const clearance = rule({
  id: 'fit.clearance',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('clearanceUm'), byRoute],
  check: (v) => {
    if (!has(v, 'close-fit') || v.coats.length === 0) return null;
    const mask = v.steps.findLastIndex((s) => s.kind === 'mask');
    if (mask >= 0 && mask < firstCoatIndex(v)) return null;
    const um = 2 * paintOf(v).reduce((sum, c) => sum + totalUm(c), 0);
    const clearanceUm = v.survey.clearanceUm;
    return clearanceUm === null ? asks('clearanceUm') : um > clearanceUm ? fires({ um, clearanceUm }) : null;
  },
});
