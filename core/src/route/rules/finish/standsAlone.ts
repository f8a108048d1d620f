import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** The last coat must be one that may stand by itself. */
export const standsAlone = rule({
  id: 'finish.stands-alone',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const last = lastCoat(v);
    return last && !last.family.traits.standsAlone ? fires({ product: last.family.sheet.name }) : null;
  },
});
