import { bySurvey, published, rule, whenYes } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** Lagging that may hold asbestos is surveyed by licensed people before anything is touched. */
export const lagging = rule({
  id: 'strip.lagging',
  severity: 'refuse',
  phase: 'prep',
  source: published('asbestos regulations of your country'),
  safety: true,
  remedies: [bySurvey('lagging')],
  check: (v) => {
    const refer = indexOf(v, 'refer', 'asbestos');
    if (refer >= 0 && (stripIndex(v) < 0 || refer < stripIndex(v))) return null;
    return whenYes(v.survey.lagging, 'lagging');
  },
});
