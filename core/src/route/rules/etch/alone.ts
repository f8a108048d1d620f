import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** An etch is no weather coat: it must be covered. */
export const alone = rule({
  id: 'etch.alone',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return lastCoat(v)?.kind === 'etch' ? fires() : null;
  },
});
