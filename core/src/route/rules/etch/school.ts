import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** House practice: etch wet-on-wet, or hardened and scuffed. */
export const school = rule({
  id: 'etch.school',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySchool('etch')],
  check: (v) => {
    const etch = v.coats.find((c) => c.kind === 'etch');
    const next = etch && v.coats.find((c) => c.index > etch.index);
    return next && next.policy === v.means.schools.etch ? fires({ school: v.means.schools.etch }) : null;
  },
});
