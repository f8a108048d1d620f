import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { boreLossUm, facesLossUm, fitAfter } from './fit.ts';
import { filmMassKg, hingeMomentNm } from './mass.ts';
import { filmMl, paintNeed, type PaintJob } from '../work/paint.ts';
import { dryFilmUm, wetFilmUm } from './spreading.ts';
import { applicatorOf, shapeFactorOf, TRANSFER } from '../work/transfer.ts';
import { combPrediction } from './wetComb.ts';

const near = (got: number, want: number, tol: number): void =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tol);

describe('wet film', () => {
  it('75 µm dry of 60 % paint thinned by a tenth is 137.5 µm wet, and back', () => {
    near(must(wetFilmUm(75, 60, 10)), 137.5, 1e-9);
    near(must(dryFilmUm(137.5, 60, 10)), 75, 1e-9);
  });
  it.each([
    [() => wetFilmUm(75, 0), 'vsPct'],
    [() => wetFilmUm(5000, 60), 'dftUm'],
    [() => wetFilmUm(NaN, 60), 'dftUm'],
    [() => wetFilmUm(75, 60, 300), 'thinPct'],
    [() => dryFilmUm(-1, 60), 'wetUm'],
  ] as const)('refuses what cannot be, by field: %s', (f, field) =>
    expect(f()).toMatchObject({ ok: false, error: { code: 'out-of-range', field } }),
  );
});

const JOB: PaintJob = {
  areaM2: 4.2,
  dftUm: 75,
  coats: 1,
  vsPct: 60,
  by: 'hvlp',
  shape: 'flat',
  profileUm: 50,
  thinPct: 10,
};

describe('paint for an area', () => {
  it('4.2 m², 75 µm, 60 %, TE .65, Rz 50: 1.1667 L mixed, 1.2833 L sprayed at 10 % (docs/calculations.md D)', () => {
    const n = must(paintNeed(JOB));
    near(n.mixedL, 1.1667, 5e-5);
    near(n.sprayedL, 1.2833, 5e-5);
    near(n.thinnerL, 0.11667, 5e-6);
    // By hand: 4.2·(75 + 33.333)/600 = 0.75833 L stays on.
    near(n.onPartL, 0.758333, 1e-6);
  });
  it('the profile’s dead volume is dry film: Rz 30 → 20, 75 → 50, 105 → 70 mL/m² (makers’ handbooks, from memory)', () => {
    for (const [rz, mlPerM2] of [
      [30, 20],
      [75, 50],
      [105, 70],
    ] as const) {
      const at = (profileUm: number) => must(paintNeed({ ...JOB, areaM2: 1, vsPct: 100, profileUm })).onPartL;
      near((at(rz) - at(0)) * 1000, mlPerM2, 1e-9);
    }
  });
  it('dead volume is filled once, film by every coat', () => {
    const two = must(paintNeed({ ...JOB, coats: 2 }));
    near(two.onPartL, (4.2 * (150 + 100 / 3)) / 600, 1e-12);
  });
  it('the spread runs from the best to the worst transfer met in the field', () => {
    const n = must(paintNeed(JOB));
    near(n.leastL * TRANSFER.hvlp.most, n.onPartL, 1e-12);
    near(n.mostL * TRANSFER.hvlp.least, n.onPartL, 1e-12);
    expect(n.leastL).toBeLessThan(n.mixedL);
    expect(n.mostL).toBeGreaterThan(n.mixedL);
  });
  it('a lattice takes twice what is thrown at it, and no more of what is brushed', () => {
    near(must(paintNeed({ ...JOB, shape: 'lattice' })).mixedL, 2 * must(paintNeed(JOB)).mixedL, 1e-12);
    expect(shapeFactorOf('lattice', 'brush')).toBe(1);
    expect(shapeFactorOf('flat', 'airless')).toBe(1);
  });
  it('a route’s gun is the shop’s kind of gun', () => {
    expect(applicatorOf('gun')).toBe('hvlp');
    expect(applicatorOf('gun', 'airless')).toBe('airless');
    expect(applicatorOf('brush', 'airless')).toBe('brush');
  });
  it('every transfer lies within its own range and below all of it', () => {
    for (const t of Object.values(TRANSFER)) {
      expect(t.least).toBeLessThan(t.te);
      expect(t.te).toBeLessThan(t.most);
      expect(t.most).toBeLessThan(1);
    }
  });
  it.each([
    [{ areaM2: 0 }, 'areaM2'],
    [{ dftUm: 5000 }, 'dftUm'],
    [{ thinPct: 300 }, 'thinPct'],
    [{ coats: 0 }, 'coats'],
    [{ profileUm: -1 }, 'profileUm'],
    [{ vsPct: 101 }, 'vsPct'],
  ] as const)('refuses %j', (over, field) =>
    expect(paintNeed({ ...JOB, ...over })).toMatchObject({ ok: false, error: { field } }),
  );
  it('1 m² at 60 µm of 60 % paint holds 100 mL of mixed paint', () => near(filmMl(1, 60, 60), 100, 1e-12));
});

describe('mass, hinge and fit', () => {
  it('12 m² of 120 µm at 1.4 kg/L weigh 2.016 kg', () => near(must(filmMassKg(12, 120, 1.4)), 2.016, 1e-12));
  it('0.25 kg half a metre behind the hinge is 1.22625 N·m at 9.81 m/s²', () =>
    near(must(hingeMomentNm(0.25, 0.5)), 1.22625, 1e-12));
  it('refuses a mass below nothing', () => expect(hingeMomentNm(-1, 0.5)).toMatchObject({ ok: false }));
  it('faces lose both films; a bore loses twice both', () => {
    expect(facesLossUm(60, 40)).toBe(100);
    expect(boreLossUm(60, 40)).toBe(200);
  });
  it('a clearance that is just used up is lost', () => {
    expect(fitAfter(200, 200)).toEqual({ lostUm: 200, leftUm: 0, isLost: true });
    expect(fitAfter(250, 200).isLost).toBe(false);
  });
});

describe('the wet comb (ISO 2808, comb gauge: the film lies between two teeth)', () => {
  it('100 wet and 125 dry of 60 % paint thinned by a tenth dries to 54.5–68.2 µm', () => {
    const p = must(combPrediction({ wetToothUm: 100, dryToothUm: 125 }, 60, 10));
    near(p.leastUm, 54.5454, 1e-3);
    near(p.mostUm, 68.1818, 1e-3);
    near(p.wetUm, 112.5, 1e-12);
    near(p.dftUm, 61.3636, 1e-3);
  });
  it('refuses teeth in the wrong order', () =>
    expect(combPrediction({ wetToothUm: 125, dryToothUm: 100 }, 60, 0)).toMatchObject({
      ok: false,
      error: { field: 'dryToothUm' },
    }));
});
