import { spoilsZinc } from '../../surface/acts.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { actThat } from '../../view.ts';

/** Iron media and steel wire leave rust in light metals, baths eat them, strippers soften glass-fibre: each act is for its own metals. */
export const metals = rule({
  id: 'strip.metals',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const wrong = actThat(
      v,
      (a) =>
        !a.metals.includes(v.metal) ||
        spoilsZinc(a.actId, v.survey.substrate) ||
        // Sweeping and T-wash are for a zinc skin on steel, not for zinc castings.
        ((a.actId === 'sweep' || a.actId === 't-wash') && v.survey.substrate !== 'galvanised'),
    );
    if (wrong !== undefined) return fires({ act: wrong, metal: v.survey.substrate });
    const bath = actThat(v, (a) => a.way === 'bath' || a.actId === 'hot-caustic');
    return bath !== undefined && v.survey.substrate === 'timber-backed-steel'
      ? fires({ act: bath, metal: v.survey.substrate })
      : null;
  },
});
