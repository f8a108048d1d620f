import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { stripIndex } from '../../view.ts';

/** What a route rests on is looked at or tested before anything is touched. */
export const gatePlace = rule({
  id: 'work.gate-place',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const strip = stripIndex(v);
    const late = v.steps.find((s, i) => s.kind === 'gate' && strip >= 0 && i > strip);
    return late ? fires({ field: late.what ?? '' }) : null;
  },
});
