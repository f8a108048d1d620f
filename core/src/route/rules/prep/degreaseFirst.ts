import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { ABRASIVE, indexOf } from '../../view.ts';

/** Degrease before any abrasive, or oil is ground into the metal and the abrasive. */
export const degreaseFirst = rule({
  id: 'prep.degrease-first',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const first = v.steps.findIndex(
      (s) => s.kind === 'abrade' || (s.kind === 'strip' && ABRASIVE.includes(s.what as never)),
    );
    if (first < 0) return null;
    const degrease = indexOf(v, 'degrease');
    return degrease >= 0 && degrease < first ? null : fires();
  },
});
