import { isFerrous } from '../../../products/traits.ts';
import { askHere } from '../../surface/unmet.ts';
import { setpointUm } from '../../surface/asks.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { firstCoat, totalUm } from '../../view.ts';

/** A primer thinner than one and a half times the profile leaves peaks bare. */
export const thinPrimer = rule({
  id: 'protect.thin-primer',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const first = firstCoat(v);
    if (
      !first ||
      !isFerrous(v.metal) ||
      v.keeps ||
      first.kind === 'etch' ||
      first.family.sheet.binder === 'silicone-heat'
    )
      return null;
    // The blaster aims at the least profile that his media can leave and the sheet takes.
    const rzUm = setpointUm(v.surface(), askHere(v, first));
    if (rzUm === null || v.surface().clean < 4) return null;
    const um = totalUm(first);
    return um < 1.5 * rzUm ? fires({ um, leastUm: 1.5 * rzUm }) : null;
  },
});
