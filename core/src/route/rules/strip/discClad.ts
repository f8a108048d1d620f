import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

const LEAST_MM = 2;

/** A disc cuts through the thin clad layer of aluminium skins: pad and solvent only. */
export const discClad = rule({
  id: 'strip.disc-clad',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), byRoute],
  check: (v) => {
    if (!uses(v, 'disc') || v.survey.substrate !== 'aluminium-wrought') return null;
    const mm = v.survey.thicknessMm;
    return mm === null ? asks('thicknessMm') : mm < LEAST_MM ? fires({ mm, leastMm: LEAST_MM }) : null;
  },
});
