import { wantsLevelling } from '../../systems.ts';
import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** Pits show through a show or as-built finish: level them. */
export const levelPits = rule({
  id: 'finish.level-pits',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('pits'), byRoute],
  check: (v) => {
    const s = v.survey;
    if (v.coats.length === 0 || s.finish === 'working' || s.criticality.includes('pressure')) return null;
    if (v.coats.some((c) => c.kind === 'level') || indexOf(v, 'repair') >= 0) return null;
    if (s.pits === 'unknown') return wantsLevelling({ ...s, pits: 'deep' }) ? asks('pits') : null;
    return wantsLevelling(s) && !v.keeps ? fires({ pits: s.pits }) : null;
  },
});
