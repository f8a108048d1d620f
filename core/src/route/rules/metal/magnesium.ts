import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { firstCoatIndex, indexOf } from '../../view.ts';

/** Magnesium burns as dust and corrodes under water: nothing abrades it, dry or wet, before a specialist has treated it. */
export const magnesium = rule({
  id: 'metal.magnesium',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [byRoute],
  check: (v) => {
    if (v.metal !== 'magnesium') return null;
    const refer = indexOf(v, 'refer', 'magnesium');
    const first = v.steps.findIndex((s) => s.kind === 'strip' || s.kind === 'abrade' || s.kind === 'wash');
    if (first < 0 && v.coats.length === 0) return null;
    return refer >= 0 && refer < firstCoatIndex(v) && (first < 0 || refer < first) ? null : fires();
  },
});
