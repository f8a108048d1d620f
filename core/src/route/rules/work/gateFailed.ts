import { passes } from '../../gates.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** The answer is known, and it is not one that this route goes on with. */
export const gateFailed = rule({
  id: 'work.gate-failed',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const failed = v.steps.find((s) => {
      if (s.kind !== 'gate' || !s.gate) return false;
      const got = v.survey[s.gate.field as keyof typeof v.survey];
      return got !== 'unknown' && got !== null && !passes(s.gate, got);
    });
    return failed ? fires({ field: failed.what ?? '' }) : null;
  },
});
