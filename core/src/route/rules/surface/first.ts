import { actOf, standsBefore } from '../../surface/acts.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** What smears, clogs or spoils is off before the act: oil and glue before media, paint before a bath. */
export const first = rule({
  id: 'surface.first',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.methods.length === 0 && v.pretreats.length === 0) return null;
    const at = v.through();
    for (let i = 0; i < v.steps.length; i++) {
      const s = v.steps[i]!;
      const act = s.kind === 'strip' || s.kind === 'pretreat' ? actOf(s.what ?? '') : undefined;
      const matter = act ? standsBefore(act, at[i]!.amounts) : null;
      if (matter !== null) return fires({ act: act!.actId, matter });
    }
    return null;
  },
});
