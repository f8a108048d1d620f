import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** Layers, colours and markings are recorded before they go. */
export const recordFirst = rule({
  id: 'prep.record-first',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.survey.coating === 'none') return null;
    const record = indexOf(v, 'record');
    return record >= 0 && record < stripIndex(v) ? null : fires();
  },
});
