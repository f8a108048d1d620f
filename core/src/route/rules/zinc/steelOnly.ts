import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Zinc-rich protects by touching steel; on other metals it does nothing. */
export const steelOnly = rule({
  id: 'zinc.steel-only',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const zinc = v.coats.find((c) => c.family.traits.pigment === 'zinc-metal');
    if (!zinc) return null;
    return v.metal === 'steel' ? null : fires({ metal: v.metal });
  },
});
