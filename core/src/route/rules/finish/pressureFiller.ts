import { byRoute, bySurvey, fires, published, rule } from '../../rule.ts';

/** Pits on a pressure part stay visible: no filler, no levelling. An inspector must see what is left of the wall. */
export const pressureFiller = rule({
  id: 'finish.pressure-filler',
  severity: 'refuse',
  phase: 'coats',
  source: published('pressure equipment law of your country'),
  safety: true,
  remedies: [bySurvey('criticality'), byRoute],
  check: (v) => {
    return v.survey.criticality.includes('pressure') &&
      v.coats.some((c) => c.kind === 'level' || c.family.sheet.role === 'filler')
      ? fires()
      : null;
  },
});
