import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** Etch over filler: its acid stays in the filler. */
export const overFiller = rule({
  id: 'etch.over-filler',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const etch = v.coats.find((c) => c.kind === 'etch');
    return etch && v.coats.some((c) => c.family.sheet.role === 'filler' && c.index < etch.index)
      ? fires()
      : null;
  },
});
