import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has, uses } from '../../view.ts';

/** A disc takes thin edges and lips off with the paint. */
export const discEdges = rule({
  id: 'strip.disc-edges',
  severity: 'warn',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return uses(v, 'disc') && has(v, 'thin-edges') ? fires() : null;
  },
});
