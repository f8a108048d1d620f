import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Stones and tools chip brittle finishes, and dark colours show it down to bright metal. */
export const chips = rule({
  id: 'finish.chips',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    const last = lastCoat(v);
    return v.survey.chips === 'yes' && last && last.family.traits.chipProof >= 3
      ? fires({ dark: v.survey.dark })
      : null;
  },
});
