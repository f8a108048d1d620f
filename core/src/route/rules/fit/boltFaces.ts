import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** No paint under bolt heads or on torque-critical faces: it creeps and the bolt goes slack. */
export const boltFaces = rule({
  id: 'fit.bolt-faces',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return has(v, 'bolted-joints') && v.coats.length > 0 ? fires() : null;
  },
});
