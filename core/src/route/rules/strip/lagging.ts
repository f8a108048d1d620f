import { bySurvey, published, rule, whenYes } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** What lays hands on the part. */
const TOUCHES: readonly string[] = ['mask', 'degrease', 'strip', 'abrade', 'wash', 'repair'];

/** Lagging that may hold asbestos is surveyed by licensed people before anything is touched. */
export const lagging = rule({
  id: 'strip.lagging',
  severity: 'refuse',
  phase: 'prep',
  source: published('asbestos regulations of your country'),
  safety: true,
  remedies: [bySurvey('lagging')],
  check: (v) => {
    const touch = v.steps.findIndex((s) => TOUCHES.includes(s.kind));
    const refer = indexOf(v, 'refer', 'asbestos');
    if (touch < 0 || (refer >= 0 && refer < touch)) return null;
    return whenYes(v.survey.lagging, 'lagging');
  },
});
