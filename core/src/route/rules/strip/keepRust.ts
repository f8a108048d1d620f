import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Where rust stands, a kept coat is already lifting: metal is bared to grade D or pits. */
export const keepRust = rule({
  id: 'strip.keep-rust',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!v.keeps) return null;
    return v.survey.rust === 'D' || v.survey.rust === 'C' || v.survey.pits === 'deep'
      ? fires({ rust: v.survey.rust })
      : null;
  },
});
