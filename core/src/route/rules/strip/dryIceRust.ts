import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { isFerrous, uses } from '../../view.ts';

/** Dry ice takes off paint and grease, never rust. */
export const dryIceRust = rule({
  id: 'strip.dry-ice-rust',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('rust'), byRoute],
  check: (v) => {
    if (!uses(v, 'dry-ice') || v.methods.length > 1 || !isFerrous(v.metal)) return null;
    return v.survey.rust === 'none'
      ? null
      : v.survey.rust === 'unknown'
        ? asks('rust')
        : fires({ rust: v.survey.rust });
  },
});
