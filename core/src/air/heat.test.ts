import { describe, expect, it } from '@jest/globals';
import { must } from '../base/result.ts';
import { heatToFit } from './heat.ts';

/** Dry heat keeps the vapour: humidity ratio w and so the dew point stay (ASHRAE Fundamentals, ch. 1, sensible heating). */
describe('heating the air to bring parts clear of the dew margin', () => {
  const base = { airC: 10, rhPct: 90, targetC: 20 };
  it('leaves the dew point and lowers the humidity: 10 °C 90 % becomes 20 °C 47 %', () => {
    // e(10) = 12.27 hPa, e(20) = 23.37 hPa (ISO 8502-4 vapour table, value quoted from memory): 90 · 12.27 / 23.37 = 47.2 %.
    const a = must(heatToFit({ ...base, parts: [] }));
    expect(a.rhAfterPct).toBeCloseTo(47.2, 0);
    // Dew point of 10 °C 90 %: 8.4 °C (ISO 8502-4 table, value quoted from memory).
    expect(a.dewPointC).toBeCloseTo(8.4, 1);
  });
  it('a heavy part takes τ·ln((Ta−T0)/(Ta−T)): Newton’s law of cooling', () => {
    const a = must(heatToFit({ ...base, parts: [{ partId: 'block', surfaceC: 8, tauS: 7200 }] }));
    const needed = a.dewPointC + 3;
    expect(a.fitAfterS[0]!.afterS).toBeCloseTo(7200 * Math.log((20 - 8) / (20 - needed)), 6);
  });
  it('sorts parts: clear already, soonest, never, unknown', () => {
    const a = must(
      heatToFit({
        ...base,
        targetC: 11,
        parts: [
          { partId: 'clear', surfaceC: 15, tauS: null },
          { partId: 'never', surfaceC: 5, tauS: 3600 },
          { partId: 'unknown', surfaceC: 5, tauS: null },
        ],
      }),
    );
    expect(a.fitAfterS).toEqual([{ partId: 'clear', afterS: 0 }]);
    expect(a.neverFit).toEqual(['never']);
    expect(a.unknown).toEqual(['unknown']);
  });
  it.each([
    [{ ...base, targetC: 80 }, 'targetC'],
    [{ ...base, rhPct: 140 }, 'rhPct'],
    [{ ...base, airC: Number.NaN }, 'airC'],
  ])('refuses %j at %s', (input, field) => {
    const a = heatToFit({ ...input, parts: [] });
    expect(a.ok ? null : a.error).toMatchObject({ code: 'out-of-range', field });
  });
});
