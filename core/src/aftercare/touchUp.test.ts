import { describe, expect, it } from '@jest/globals';
import { CATALOGUE_SHEETS } from '../products/catalogue/index.ts';
import { sheet } from '../test/build.ts';
import { touchUpOf } from './touchUp.ts';

describe('touching up', () => {
  it('is the film’s own coats again, from the metal up, each with the window its sheet gives at 20 °C', () => {
    // The test's epoxy: 16, 7 and 3.5 h at 10, 20 and 30 °C (docs/plan.md, check values).
    const epoxy = sheet({ sheetId: 'epoxy.1', maxRecoatUnlimited: true });
    const coats = touchUpOf([
      { sheet: epoxy, colour: null, batch: 'P1', filmUm: 62 },
      { sheet: epoxy, colour: 'hull grey', batch: null, filmUm: 50 },
    ]);
    expect(coats.map((c) => [c.batch, c.colour, c.filmUm])).toEqual([
      ['P1', null, 62],
      [null, 'hull grey', 50],
    ]);
    expect(coats[0]!.nextFromH).toBeCloseTo(7, 1);
    expect(coats[1]).toMatchObject({ nextFromH: null, nextToH: null });
  });
  it('a window that shuts has its end; what its sheet forbids has none', () => {
    // Shut after three days at 20 °C, as its sheet is written here.
    const shuts = sheet({
      sheetId: 'shuts.1',
      maxRecoatUnlimited: false,
      stages: { ...sheet().stages, maxRecoat: { points: [{ tempC: 20, hours: 72 }] } },
    });
    const next = sheet({ sheetId: 'next.1', productId: 'next' });
    const [first] = touchUpOf([
      { sheet: shuts, colour: null, batch: null, filmUm: 60 },
      { sheet: next, colour: null, batch: null, filmUm: 50 },
    ]);
    expect(first!.nextToH).toBeCloseTo(72, 1);
    const etch = CATALOGUE_SHEETS.find((s) => s.productId === 'etch-2k')!;
    const polyester = CATALOGUE_SHEETS.find((s) => s.binder === 'polyester-2k')!;
    const [no] = touchUpOf([
      { sheet: etch, colour: null, batch: null, filmUm: 10 },
      { sheet: polyester, colour: null, batch: null, filmUm: 500 },
    ]);
    expect([no!.nextFromH, no!.nextToH]).toEqual([null, null]);
  });
});
