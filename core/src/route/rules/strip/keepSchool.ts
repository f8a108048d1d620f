import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** House practice: sound paint stays on and is keyed. */
export const keepSchool = rule({
  id: 'strip.keep-school',
  severity: 'prefer',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySchool('oldPaint')],
  check: (v) => {
    return v.keeps && v.means.schools.oldPaint === 'keep' ? fires() : null;
  },
});
