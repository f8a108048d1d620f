import { byRoute, bySurvey, fires, fromMemory, rule, whenYes } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Acid and electrolysis load springs, hardened and high-strength steel with hydrogen: it cracks later. */
export const hydrogen = rule({
  id: 'strip.hydrogen',
  severity: 'refuse',
  phase: 'prep',
  source: fromMemory('ASTM B850: hydrogen embrittlement of steel over 1000 MPa or 31 HRC'),
  remedies: [bySurvey('hardened'), byRoute],
  check: (v) => {
    if (v.metal !== 'steel' || !(uses(v, 'citric-bath', 'electrolysis') || v.pretreats.includes('phosphate')))
      return null;
    return v.survey.kind === 'spring'
      ? fires({ kind: v.survey.kind })
      : whenYes(v.survey.hardened, 'hardened');
  },
});
