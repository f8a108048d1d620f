import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A clear is for metallics: over a plain colour it only adds hours. */
export const clearAlone = rule({
  id: 'over.clear-alone',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.coats.some((c) => c.family.sheet.role === 'clear') &&
      !v.coats.some((c) => c.family.traits.needsOver === 'clear')
      ? fires()
      : null;
  },
});
