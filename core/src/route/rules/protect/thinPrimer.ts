import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat, totalUm, uses } from '../../view.ts';

/** Depth of a medium grit-blasted profile, µm. */
const GRIT_RZ_UM = 40;

/** A primer thinner than one and a half times the profile leaves peaks bare. */
export const thinPrimer = rule({
  id: 'protect.thin-primer',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const first = firstCoat(v);
    if (!first || !uses(v, 'grit-blast') || first.kind === 'etch') return null;
    const um = totalUm(first);
    return um < 1.5 * GRIT_RZ_UM ? fires({ um, leastUm: 1.5 * GRIT_RZ_UM }) : null;
  },
});
