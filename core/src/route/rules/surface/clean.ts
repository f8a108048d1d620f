import { onlyUnder, unmetHere } from '../../surface/unmet.ts';
import { asks, byFacility, byRoute, fires, fromMemory, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** The metal is not clean enough for this first coat. */
export const clean = rule({
  id: 'surface.clean',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 8501-1; ISO 12944-4'),
  remedies: [byFacility('grit'), byFacility('contractor'), byRoute],
  check: (v) => {
    const u = unmetHere(v).find((x) => x.code === 'clean');
    if (u?.code !== 'clean') return onlyUnder(v, 'clean') ? asks('category') : null;
    return fires({ product: firstCoat(v)!.family.sheet.name, got: u.got, need: u.need });
  },
});
