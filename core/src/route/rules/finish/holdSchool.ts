import { byRoute, bySchool, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** House practice while the colour is undecided: prime to stop rust, and leave the later coats open. */
export const holdSchool = rule({
  id: 'finish.hold-school',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('colourUndecided'), bySchool('undecided'), byRoute],
  check: (v) => {
    if (!v.survey.colourUndecided || v.means.schools.undecided !== 'hold-primer') return null;
    const last = lastCoat(v);
    const { role } = last?.family.sheet ?? {};
    return last && (role === 'finish' || role === 'clear')
      ? fires({ product: last.family.sheet.name })
      : null;
  },
});
