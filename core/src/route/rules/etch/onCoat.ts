import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** An etch bites into bare metal: laid over another coat its acid has nothing to bite into, and stays. */
export const onCoat = rule({
  id: 'etch.on-coat',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const etch = v.paint.findIndex((c) => c.kind === 'etch');
    return etch > 0 && v.paint[etch - 1]!.kind !== 'etch'
      ? fires({ etch: v.paint[etch]!.family.sheet.name, product: v.paint[etch - 1]!.family.sheet.name })
      : null;
  },
});
