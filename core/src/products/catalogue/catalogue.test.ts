import { describe, expect, it } from '@jest/globals';
import { fitCurve } from '../curve.ts';
import { withActivation, type ProductSheet } from '../sheet.ts';
import { metalOf } from '../traits.ts';
import { TRAITS_BY_BINDER, traitsOf } from '../traitsByBinder.ts';
import { CATALOGUE_SHEETS, familiesOf } from './index.ts';

const sheets = CATALOGUE_SHEETS.map((s) => [s.name, s] as const);
const ids = new Set(CATALOGUE_SHEETS.map((s) => s.productId));

describe.each(sheets)('%s', (_name, s: ProductSheet) => {
  it('every stage gets shorter as it warms, and can be fitted', () => {
    for (const [stage, times] of Object.entries(s.stages)) {
      const fitted = fitCurve(withActivation(times, s.binder));
      expect([stage, fitted.ok]).toEqual([stage, true]);
      const hours = [...times.points].sort((a, b) => a.tempC - b.tempC).map((p) => p.hours);
      expect(hours).toEqual([...hours].sort((a, b) => b - a));
    }
  });
  it('touch comes before handling, handling before service, at every temperature it gives', () => {
    const at = (stage: 'touch' | 'handle' | 'service', tempC: number) =>
      s.stages[stage]?.points.find((p) => p.tempC === tempC)?.hours;
    for (const tempC of [10, 20, 30]) {
      const [touch, handle, service] = [at('touch', tempC), at('handle', tempC), at('service', tempC)];
      if (touch !== undefined && handle !== undefined) expect(touch).toBeLessThanOrEqual(handle);
      if (handle !== undefined && service !== undefined) expect(handle).toBeLessThanOrEqual(service);
    }
  });
  it('its film lies within its own limits, and its own total', () => {
    expect(s.dftMinUm).toBeLessThanOrEqual(s.dftUm);
    expect(s.dftUm).toBeLessThanOrEqual(s.dftMaxUm);
    expect(s.vsPct).toBeGreaterThan(0);
    expect(s.vsPct).toBeLessThanOrEqual(100);
    expect(traitsOf(s).totalMaxUm).toBeGreaterThanOrEqual(s.dftUm);
  });
  it('names only followers that exist, and says that it is invented', () => {
    for (const f of [...s.followers.map((x) => x.follower), ...s.forbidden])
      expect(f === '*' || f.startsWith('binder:') || ids.has(f)).toBe(true);
    expect(s.source).toMatch(/invented|inherited/);
  });
});

describe('the catalogue', () => {
  it('has about eighteen families in depth and as many that inherit', () => {
    const inherits = CATALOGUE_SHEETS.filter((s) => s.source.startsWith('times inherited'));
    expect(CATALOGUE_SHEETS.length - inherits.length).toBeGreaterThanOrEqual(18);
    expect(inherits.length).toBeGreaterThanOrEqual(18);
    expect(ids.size).toBe(CATALOGUE_SHEETS.length);
  });
  it('keeps zinc-rich, zinc phosphate and zinc chromate apart', () => {
    const families = familiesOf([]);
    expect(families.get('zinc-epoxy')!.traits).toMatchObject({
      pigment: 'zinc-metal',
      needsBlast: true,
      overPhosphate: false,
      bareMetals: ['steel'],
    });
    expect(families.get('zp-alkyd')!.traits.pigment).toBe('zinc-phosphate');
    expect(families.get('chromate-primer')!.traits).toMatchObject({
      pigment: 'zinc-chromate',
      isLegacy: true,
    });
  });
  it('an etch stands on bare metal only and lists its followers; no primer is a last coat but epoxy', () => {
    for (const s of CATALOGUE_SHEETS.filter((x) => x.role === 'etch')) {
      expect(s.listedFollowersOnly).toBe(true);
      expect(traitsOf(s)).toMatchObject({ standsAlone: false, overPhosphate: false, overFiller: false });
    }
    for (const s of CATALOGUE_SHEETS.filter(
      (x) => x.role === 'primer' && x.binder !== 'epoxy-2k' && x.productId !== 'old-primer',
    ))
      expect([s.productId, traitsOf(s).standsAlone]).toEqual([s.productId, false]);
  });
  it('a shop’s own sheet overrides what it says and inherits the rest', () => {
    const base = CATALOGUE_SHEETS.find((s) => s.productId === 'enamel')!;
    const own = { ...base, sheetId: 'enamel.2', revision: 2, traits: { heatMaxC: 130 } };
    expect(familiesOf([own]).get('enamel')!.traits).toEqual({
      ...TRAITS_BY_BINDER['alkyd-1k'],
      ...base.traits,
      heatMaxC: 130,
    });
    expect(familiesOf([{ ...own, revision: 0 }]).get('enamel')!.sheet.sheetId).toBe('enamel.1');
  });
  it('a sheet of an older file that only said whether it stands water reads as fluids', () => {
    const old = (immersion: boolean) =>
      traitsOf({ binder: 'epoxy-2k', role: 'primer', traits: { immersion } });
    expect(old(true).fluids).toContain('fresh-water');
    expect(old(false).fluids).toEqual([]);
    expect('immersion' in old(true)).toBe(false);
  });
  it('every substrate is a metal its primers can name', () => {
    expect(metalOf('ductile-iron')).toBe('iron');
    expect(metalOf('timber-backed-steel')).toBe('steel');
    expect(metalOf('galvanised')).toBe('zinc');
    expect(metalOf('glass-fibre')).toBe('glass-fibre');
  });
});
