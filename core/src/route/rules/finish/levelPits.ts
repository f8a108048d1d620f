import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** Pits show through a show or as-built finish: level them. */
export const levelPits = rule({
  id: 'finish.level-pits',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('pits'), byRoute],
  check: (v) => {
    if (
      v.survey.finish === 'working' ||
      v.survey.concealed === 'yes' ||
      (v.survey.heatC ?? 0) > 80 ||
      v.coats.length === 0 ||
      v.survey.category === 'immersed'
    )
      return null;
    if (v.coats.some((c) => c.kind === 'level') || indexOf(v, 'repair') >= 0) return null;
    return v.survey.pits === 'deep' || (v.survey.pits === 'light' && v.survey.finish === 'show')
      ? fires({ pits: v.survey.pits })
      : v.survey.pits === 'unknown'
        ? asks('pits')
        : null;
  },
});
