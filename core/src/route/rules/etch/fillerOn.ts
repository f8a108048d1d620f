import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** No filler directly on etch. */
export const fillerOn = rule({
  id: 'etch.filler-on',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return pairs(v).some(([a, b]) => a.kind === 'etch' && b.family.sheet.binder === 'polyester-2k')
      ? fires()
      : null;
  },
});
