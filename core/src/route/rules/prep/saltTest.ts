import { isFerrous } from '../../../products/traits.ts';
import { byRoute, bySurvey, fromMemory, rule, whenYes } from '../../rule.ts';
import { firstCoatIndex, indexOf } from '../../view.ts';

/** Salts from coast or road stay in the pits, and blasting hides them: test, wash, test again. */
export const saltTest = rule({
  id: 'prep.salt-test',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 8502-6, -9; 50 mg/m² outdoors, 20 immersed by common practice'),
  remedies: [bySurvey('salt'), byRoute],
  check: (v) => {
    const test = indexOf(v, 'test', 'salt');
    if (test >= 0 && test < firstCoatIndex(v)) return null;
    return isFerrous(v.metal) && !v.keeps && v.survey.rust !== 'none' ? whenYes(v.survey.salt, 'salt') : null;
  },
});
