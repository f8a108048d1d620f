import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A show finish is not built on old paint. */
export const keepShow = rule({
  id: 'strip.keep-show',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('finish'), byRoute],
  check: (v) => {
    return v.keeps && v.survey.finish === 'show' ? fires() : null;
  },
});
