import { COMMON_PRACTICE, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** Coal tar burns the skin and causes cancer: a specialist says how it comes off before anyone scrapes it. */
export const tar = rule({
  id: 'strip.tar',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  safety: true,
  remedies: [bySurvey('alsoOn'), byRoute],
  check: (v) => {
    if (!v.survey.alsoOn.includes('tar') || stripIndex(v) < 0) return null;
    const refer = indexOf(v, 'refer', 'tar');
    return refer >= 0 && refer < stripIndex(v) ? null : fires();
  },
});
