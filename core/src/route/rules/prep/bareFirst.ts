import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex } from '../../view.ts';

/** Stripping and washing with acid come before the first coat: after it they take the coat. */
export const bareFirst = rule({
  id: 'prep.bare-first',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const coated = firstCoatIndex(v);
    const late = v.steps.find((s, i) => i > coated && (s.kind === 'strip' || s.kind === 'pretreat'));
    return late ? fires({ act: late.what ?? '' }) : null;
  },
});
