import { byRoute, fires, fromMemory, rule } from '../../rule.ts';
import { paintOf, totalUm } from '../../view.ts';

/** Under a fluid the film is what the sheet says, in two coats at least, so that one pinhole does not go through. */
export const immersedFilm = rule({
  id: 'protect.immersed-film',
  severity: 'refuse',
  phase: 'coats',
  source: fromMemory('ISO 12944-5:2018, immersion; the sheet first'),
  remedies: [byRoute],
  check: (v) => {
    const s = v.survey;
    if (s.category !== 'immersed' || s.fluids.length === 0 || paintOf(v).length === 0) return null;
    const wet = paintOf(v).filter((c) => s.fluids.every((f) => c.family.traits.fluids.includes(f)));
    if (wet.length === 0) return null;
    const um = wet.reduce((sum, c) => sum + totalUm(c), 0);
    const coats = wet.reduce((sum, c) => sum + c.coats, 0);
    const leastUm = Math.max(...wet.map((c) => c.family.traits.immersedLeastUm));
    return um < leastUm || coats < 2 ? fires({ um, leastUm, coats }) : null;
  },
});
