import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { BLASTS, firstCoatIndex, indexOf, uses } from '../../view.ts';

/** A wire wheel burnishes smooth steel: it hides rust and paint will not hold. Follow it with abrasive. */
export const wireBurnish = rule({
  id: 'strip.wire-burnish',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!uses(v, 'wire-wheel')) return null;
    const wheel = indexOf(v, 'strip', 'wire-wheel');
    return v.steps.some(
      (s, i) =>
        i > wheel &&
        i < firstCoatIndex(v) &&
        (s.kind === 'abrade' || (s.kind === 'strip' && BLASTS.includes(s.what as never))),
    )
      ? null
      : fires();
  },
});
