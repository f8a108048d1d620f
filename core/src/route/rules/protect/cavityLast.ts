import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** Wax and oil come last, after all painting: any of it on a face still to be painted stops paint sticking. */
export const cavityLast = rule({
  id: 'protect.cavity-last',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const cavity = indexOf(v, 'cavity');
    if (cavity < 0) return null;
    return v.steps.some(
      (s, i) =>
        i > cavity &&
        (s.kind === 'etch' ||
          s.kind === 'prime' ||
          s.kind === 'topcoat' ||
          s.kind === 'level' ||
          s.kind === 'intermediate'),
    )
      ? fires()
      : null;
  },
});
