import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { totalUm } from '../../view.ts';

/** An etch has a total maximum, however many passes. */
export const totalFilm = rule({
  id: 'etch.total-film',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const thick = v.coats.find((c) => c.kind === 'etch' && totalUm(c) > c.family.traits.totalMaxUm);
    return thick ? fires({ um: totalUm(thick), mostUm: thick.family.traits.totalMaxUm }) : null;
  },
});
