import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** House practice: painted in pieces, or assembled as the works did. */
export const assemblySchool = rule({
  id: 'work.assembly-school',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySchool('assembly')],
  check: (v) => {
    return v.survey.assembled !== 'unknown' &&
      (v.survey.assembled === 'yes') === (v.means.schools.assembly === 'assembled')
      ? fires({ school: v.means.schools.assembly })
      : null;
  },
});
