import { onlyUnder, takers, unmetHere } from '../../surface/unmet.ts';
import { asks, byRoute, fires, fromMemory, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** Something still stands on the metal that this first coat does not take. */
export const stands = rule({
  id: 'surface.stands',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 8501-1 and ISO 12944-4, what must be off before paint'),
  remedies: [byRoute],
  check: (v) => {
    const stands = unmetHere(v).find((u) => u.code === 'stands');
    if (stands?.code !== 'stands') return onlyUnder(v, 'stands') ? asks('category') : null;
    const product = firstCoat(v)!.family.sheet.name;
    return fires({ product, matter: stands.matter, left: stands.amount / 16, off: takers(v, stands.matter) });
  },
});
