import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, indexOf, lastCoat } from '../../view.ts';

/** What is masked for paint is unmasked while the edge still cuts clean. */
export const unmask = rule({
  id: 'fit.unmask',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.coats.length === 0) return null;
    const mask = indexOf(v, 'mask', 'before-paint');
    return mask >= 0 && mask < firstCoatIndex(v) && indexOf(v, 'unmask') < (lastCoat(v)?.index ?? 0)
      ? fires()
      : null;
  },
});
