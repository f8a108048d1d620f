import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { BLASTS, firstCoatIndex, stripIndex, uses } from '../../view.ts';

/** Blast dust is washed or wiped off before the first coat. */
export const blastDust = rule({
  id: 'prep.blast-dust',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!uses(v, ...BLASTS) || v.coats.length === 0) return null;
    return v.steps.some(
      (s, i) => i > stripIndex(v) && i < firstCoatIndex(v) && (s.kind === 'wash' || s.kind === 'degrease'),
    )
      ? null
      : fires();
  },
});
