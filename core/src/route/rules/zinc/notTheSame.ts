import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Zinc-rich (metal), zinc phosphate (an inhibitor in ordinary primers) and zinc chromate (legacy, carcinogenic) are three things. */
export const notTheSame = rule({
  id: 'zinc.not-the-same',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    const named = v.coats.find((c) => c.family.traits.pigment.startsWith('zinc'));
    return named ? fires({ pigment: named.family.traits.pigment }) : null;
  },
});
