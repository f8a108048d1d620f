import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** No coat lasts on a face that wears: coat it for the store, and oil it in use. */
export const wearFace = rule({
  id: 'protect.wear-face',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return has(v, 'wear-face') && v.coats.length > 0 ? fires() : null;
  },
});
