import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Aluminium’s oxide regrows in hours: the first coat goes on the same day it is keyed. */
export const aluminiumWarn = rule({
  id: 'metal.aluminium-warn',
  severity: 'warn',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.metal === 'aluminium' && !v.keeps && v.coats.length > 0 ? fires() : null;
  },
});
