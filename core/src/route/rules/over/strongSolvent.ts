import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** Cellulose and lacquer thinners lift alkyd and oil paint below them. */
export const strongSolvent = rule({
  id: 'over.strong-solvent',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return pairs(v).some(
      ([a, b]) =>
        ['alkyd-1k', 'oil-1k', 'waterborne-1k'].includes(a.family.sheet.binder) &&
        ['cellulose-1k', 'acrylic-1k'].includes(b.family.sheet.binder),
    )
      ? fires()
      : null;
  },
});
