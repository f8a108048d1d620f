import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** No heat, sparks or grinding on a fuel tank until it is certified gas-free. */
export const fuelTank = rule({
  id: 'strip.fuel-tank',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [byRoute],
  check: (v) => {
    if (!v.survey.criticality.includes('fuel') || stripIndex(v) < 0) return null;
    const refer = indexOf(v, 'refer', 'gas-free');
    return refer >= 0 && refer < stripIndex(v) ? null : fires();
  },
});
