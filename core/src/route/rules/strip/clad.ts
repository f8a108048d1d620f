import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

const LEAST_MM = 2;

/** Abrasives cut through the thin clad layer of aluminium skins, and media stretch them: pad, solvent and licensed procedures only. */
export const clad = rule({
  id: 'strip.clad',
  severity: 'refuse',
  phase: 'prep',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('thicknessMm'), bySurvey('kind'), byRoute],
  check: (v) => {
    if (v.survey.substrate !== 'aluminium-wrought') return null;
    const isSkin =
      ['aircraft-skin', 'control-surface'].includes(v.survey.kind) ||
      v.survey.criticality.some((c) => c === 'airworthy' || c === 'control-surface');
    if (uses(v, 'hand', 'spot-disc') && isSkin) return fires({ act: uses(v, 'hand') ? 'hand' : 'spot-disc' });
    const cuts = (['disc', 'bead-blast', 'fine-blast', 'vapour-blast'] as const).find((m) => uses(v, m));
    if (cuts === undefined) return null;
    const mm = v.survey.thicknessMm;
    if (isSkin) return fires({ act: cuts });
    return mm === null
      ? asks('thicknessMm')
      : mm < LEAST_MM
        ? fires({ act: cuts, mm, leastMm: LEAST_MM })
        : null;
  },
});
