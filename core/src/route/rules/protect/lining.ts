import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** A tank lining is for insides: outside it chalks, and nothing was meant to stick to it. */
export const lining = rule({
  id: 'protect.lining',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const s = v.survey;
    const lining = v.coats.find((c) => c.family.traits.isLining);
    return lining && (s.category !== 'immersed' || s.sun === 'yes' || s.kind === 'float-hull')
      ? fires({ product: lining.family.sheet.name })
      : null;
  },
});
