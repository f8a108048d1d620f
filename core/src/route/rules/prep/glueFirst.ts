import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** Glue is scraped and wiped off before anything abrasive: an abrasive smears it into the profile. */
export const glueFirst = rule({
  id: 'prep.glue-first',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('glue'), byRoute],
  check: (v) => {
    if (v.survey.glue === 'no') return null;
    const at = indexOf(v, 'degrease', 'glue');
    if (stripIndex(v) < 0) return null;
    return at < 0 || at > stripIndex(v) ? fires() : null;
  },
});
