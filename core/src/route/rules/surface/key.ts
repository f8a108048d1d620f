import { unmetHere } from '../../surface/unmet.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** Nothing has given this first coat a hold: a kept coat is keyed all over, other metals are keyed, swept or converted. */
export const key = rule({
  id: 'surface.key',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const u = unmetHere(v).find((x) => x.code === 'key' || x.code === 'conversion');
    return u ? fires({ product: firstCoat(v)!.family.sheet.name, wants: u.code }) : null;
  },
});
