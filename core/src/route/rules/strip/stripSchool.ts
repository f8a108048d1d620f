import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** House practice: old paint comes off. */
export const stripSchool = rule({
  id: 'strip.strip-school',
  severity: 'prefer',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySchool('oldPaint')],
  check: (v) => {
    return !v.keeps && v.survey.coating === 'sound' && v.means.schools.oldPaint === 'strip' ? fires() : null;
  },
});
