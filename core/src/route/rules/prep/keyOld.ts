import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex } from '../../view.ts';

/** A kept coat is sanded all over, P180 to P220, every edge feathered. */
export const keyOld = rule({
  id: 'prep.key-old',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.keeps && !v.steps.some((s, i) => s.kind === 'abrade' && i < firstCoatIndex(v)) ? fires() : null;
  },
});
