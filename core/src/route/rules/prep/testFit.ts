import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, has, indexOf } from '../../view.ts';

/** Bend, file and fit while it is bare: fitting after paint scratches paint. */
export const testFit = rule({
  id: 'prep.test-fit',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!has(v, 'close-fit')) return null;
    const fit = indexOf(v, 'test-fit');
    return fit >= 0 && fit < firstCoatIndex(v) ? null : fires();
  },
});
