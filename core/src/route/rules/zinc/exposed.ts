import { fires, fromMemory, rule } from '../../rule.ts';

/** Blasted steel in a harsh place: zinc-rich under epoxy and topcoat lasts longest. */
export const exposed = rule({
  id: 'zinc.exposed',
  severity: 'prefer',
  phase: 'coats',
  source: fromMemory('ISO 12944-5'),
  remedies: [],
  check: (v) => {
    return v.coats.some((c) => c.family.traits.pigment === 'zinc-metal') &&
      ['C4', 'C5', 'CX'].includes(v.survey.category)
      ? fires()
      : null;
  },
});
