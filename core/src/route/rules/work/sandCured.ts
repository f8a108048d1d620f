import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Epoxy dust is a hazard until it has cured a week: it is not dry-sanded sooner. */
export const sandCured = rule({
  id: 'work.sand-cured',
  severity: 'warn',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return paintOf(v).some(
      (c) =>
        c.family.sheet.binder === 'epoxy-2k' && v.steps.some((s, i) => i > c.index && s.kind === 'level'),
    )
      ? fires()
      : null;
  },
});
