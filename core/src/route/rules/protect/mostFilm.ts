import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { totalUm } from '../../view.ts';

/** More film than the sheet allows, in one coat or altogether: it wrinkles, stays soft or cracks. */
export const mostFilm = rule({
  id: 'protect.most-film',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const most = (c: (typeof v.coats)[number]): number =>
      Math.max(c.family.sheet.dftMaxUm, c.family.sheet.dftUm);
    const fat = v.coats.find((c) => c.dftUm > most(c));
    if (fat) return fires({ product: fat.family.sheet.name, um: fat.dftUm, mostUm: most(fat), each: 'coat' });
    const sums = new Map<string, number>();
    for (const c of v.coats) {
      const um = (sums.get(c.family.familyId) ?? 0) + totalUm(c);
      sums.set(c.family.familyId, um);
      if (um > c.family.traits.totalMaxUm)
        return fires({
          product: c.family.sheet.name,
          um,
          mostUm: c.family.traits.totalMaxUm,
          each: 'system',
        });
    }
    return null;
  },
});
