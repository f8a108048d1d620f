import { byRoute, bySurvey, COMMON_PRACTICE, fires, rule, whenYes } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Etch over filler: its acid stays in the filler. */
export const overFiller = rule({
  id: 'etch.over-filler',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('oldFiller'), byRoute],
  check: (v) => {
    const etch = v.coats.find((c) => c.kind === 'etch');
    if (!etch) return null;
    if (v.coats.some((c) => c.family.sheet.role === 'filler' && c.index < etch.index)) return fires();
    return uses(v, 'grit-blast', 'bead-blast', 'hot-caustic', 'solvent-stripper', 'dry-ice', 'hand')
      ? null
      : whenYes(v.survey.oldFiller, 'oldFiller');
  },
});
