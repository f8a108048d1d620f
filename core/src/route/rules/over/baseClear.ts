import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A metallic ground coat is nothing without its clear. */
export const baseClear = rule({
  id: 'over.base-clear',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const base = v.coats.find((c) => c.family.traits.needsOver === 'clear');
    return base && !v.coats.some((c) => c.index > base.index && c.family.sheet.role === 'clear')
      ? fires()
      : null;
  },
});
