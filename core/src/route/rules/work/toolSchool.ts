import { bySchool, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** House practice: gun or brush. */
export const toolSchool = rule({
  id: 'work.tool-school',
  severity: 'prefer',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySchool('tool')],
  check: (v) => {
    const last = lastCoat(v);
    return last?.tool === v.means.schools.tool ? fires({ school: last.tool }) : null;
  },
});
