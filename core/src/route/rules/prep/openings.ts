import { COMMON_PRACTICE, byRoute, bySurvey, rule, whenYes } from '../../rule.ts';
import { indexOf } from '../../view.ts';

/** Openings of an assembled unit are masked before the first wet act: water and solvent run into bearings and stay. */
export const openings = rule({
  id: 'prep.openings',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('assembled'), byRoute],
  check: (v) => {
    if (v.survey.assembled === 'no') return null;
    const wet = v.steps.findIndex((s) => s.kind === 'degrease' || s.kind === 'wash' || s.kind === 'strip');
    const mask = indexOf(v, 'mask', 'openings');
    if (wet < 0 || (mask >= 0 && mask < wet)) return null;
    return whenYes(v.survey.assembled, 'assembled');
  },
});
