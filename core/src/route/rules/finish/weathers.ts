import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Outdoors a two-pack finish keeps its gloss and colour for twice as long as a one-pack. */
export const weathers = rule({
  id: 'finish.weathers',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    const last = lastCoat(v);
    const out = v.survey.sun === 'yes' || ['C3', 'C4', 'C5', 'CX'].includes(v.survey.category);
    return out && last?.family.sheet.binder === 'urethane-2k' ? fires() : null;
  },
});
