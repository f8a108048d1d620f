import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** A metallic colour is a ground coat, two metallic and two clear; a plain one is none of it. */
export const metallic = rule({
  id: 'over.metallic',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('metallic'), byRoute],
  check: (v) => {
    const base = v.coats.some((c) => c.family.traits.needsOver === 'clear');
    if (v.survey.metallic === 'no') return base ? fires() : null;
    // Not known is asked, on a hidden part too: nobody lays a metallic by chance.
    if (v.survey.metallic === 'unknown') return base ? asks('metallic') : null;
    if (v.coats.length === 0 || v.isHeld || v.survey.concealed === 'yes') return null;
    return base ? null : fires();
  },
});
