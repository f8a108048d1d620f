import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Etch primer over old paint wrinkles it or stays soft. */
export const overPaint = rule({
  id: 'etch.over-paint',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.keeps && v.coats.some((c) => c.kind === 'etch') ? fires() : null;
  },
});
