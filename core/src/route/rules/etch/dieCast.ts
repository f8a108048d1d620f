import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** The acid of an etch eats zinc die-cast: epoxy, after its trial. */
export const dieCast = rule({
  id: 'etch.die-cast',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.survey.substrate === 'zinc-diecast' && v.coats.some((c) => c.kind === 'etch') ? fires() : null;
  },
});
