import { describe, expect, it } from '@jest/globals';
import { must } from '../../base/result.ts';
import { windowRule } from '../../cure/windows.ts';
import { CATALOGUE_SHEETS, familiesOf } from '../catalogue/index.ts';
import { fitCurve, stageHoursAt } from '../curve.ts';
import { withActivation, type ProductSheet, type Stage } from '../sheet.ts';
import { readFilm, readRatio, readTimes } from './read.ts';
import { sheetLike, type TinBack } from './sheetLike.ts';

const points = (text: string, unit: 'C' | 'F' = 'C') => must(readTimes(text, unit)).points;

describe('what stands on the back of a tin', () => {
  // 50 °F is 10 °C and 86 °F is 30 °C exactly (NIST SP 811, t/°C = (t/°F − 32)/1.8).
  it.each([
    ['16 h @ 50 F', [{ tempC: 10, hours: 16 }]],
    [
      '16 h @ 10°C; 8 h @ 20 °C',
      [
        { tempC: 10, hours: 16 },
        { tempC: 20, hours: 8 },
      ],
    ],
    [
      '16 hrs at 50 F, 4 hours at 86 F',
      [
        { tempC: 10, hours: 16 },
        { tempC: 30, hours: 4 },
      ],
    ],
    ['7 days', [{ tempC: 20, hours: 168 }]],
    ['45 min @ 20 C', [{ tempC: 20, hours: 0.75 }]],
    ['1 1/2 h @ 20', [{ tempC: 20, hours: 1.5 }]],
  ])('“%s”', (text, read) => expect(points(text)).toEqual(read));
  it('a bare temperature is in the reader’s unit; one that cannot be is asked about', () => {
    expect(points('16 h @ 50', 'F')).toEqual([{ tempC: 10, hours: 16 }]);
    expect(readTimes('16 h @ 70', 'C')).toMatchObject({ ok: false, error: { code: 'which-unit' } });
  });
  it.each(['', 'overnight', '16', '16 h @', '8 furlongs', '16 h @ warm'])('“%s” is no time', (text) =>
    expect(readTimes(text, 'C').ok).toBe(false),
  );
  // 1 mil is 25.4 µm exactly (international inch, 1959).
  it.each([
    ['75 µm', { minUm: 60, dftUm: 75, maxUm: 90 }],
    ['3-5 mil', { minUm: 76, dftUm: 102, maxUm: 127 }],
    ['50 to 75 microns', { minUm: 50, dftUm: 63, maxUm: 75 }],
    ['60–40', { minUm: 40, dftUm: 50, maxUm: 60 }],
  ])('film “%s”', (text, read) => expect(must(readFilm(text, 'um'))).toEqual(read));
  it.each(['thin', '', '1-2-3'])('film “%s” is none', (text) => expect(readFilm(text, 'um').ok).toBe(false));
  it.each([
    ['4:1 v/v', { a: 4, b: 1, by: 'volume' }],
    ['4 : 1', { a: 4, b: 1, by: 'volume' }],
    ['100:20 by weight', { a: 100, b: 20, by: 'mass' }],
    ['2,5:1 w/w', { a: 2.5, b: 1, by: 'mass' }],
  ])('ratio “%s”', (text, read) => expect(must(readRatio(text))).toEqual(read));
  it.each(['4', '4:0', 'four to one', '4:1 by eye'])('ratio “%s” is none', (t) =>
    expect(readRatio(t).ok).toBe(false),
  );
});

const EPOXY = CATALOGUE_SHEETS.find((s) => s.productId === 'epoxy-primer')!;
const GLOSS = CATALOGUE_SHEETS.find((s) => s.productId === 'gloss-2k')!;
const ETCH = CATALOGUE_SHEETS.find((s) => s.productId === 'etch-2k')!;
const at20 = (s: ProductSheet, stage: Stage): number =>
  stageHoursAt(must(fitCurve(withActivation(s.stages[stage]!, s.binder))), 20)!.hours;
const tin = (over: Partial<TinBack> = {}): TinBack => ({
  name: 'Grey epoxy, ours',
  recoatFrom: must(readTimes('16 h @ 20 C', 'C')),
  recoatUntil: must(readTimes('7 days @ 20 C', 'C')),
  potLife: null,
  ratio: null,
  film: null,
  solidsPct: null,
  thinMaxPct: null,
  ...over,
});
const made = (t: TinBack, family = EPOXY) => must(sheetLike(family, family, t, 'typed from the tin'));

describe('a sheet like its family', () => {
  it('says what the tin says, and takes the family’s place as its next revision', () => {
    const { sheet } = made(
      tin({
        ratio: { a: 3, b: 1, by: 'volume' },
        film: { minUm: 50, dftUm: 60, maxUm: 70 },
        solidsPct: 48,
        thinMaxPct: 10,
        potLife: must(readTimes('4 h @ 20 C', 'C')),
      }),
    );
    expect(sheet).toMatchObject({
      sheetId: 'epoxy-primer.2',
      revision: 2,
      name: 'Grey epoxy, ours',
      vsPct: 48,
      dftUm: 60,
    });
    expect(at20(sheet, 'minRecoat')).toBeCloseTo(16, 9);
    expect(at20(sheet, 'potLife')).toBeCloseTo(4, 9);
    const family = familiesOf([EPOXY, sheet]).get('epoxy-primer')!;
    expect(family.sheet.sheetId).toBe('epoxy-primer.2');
    expect(family.traits).toMatchObject({ mix: { a: 3, b: 1, by: 'volume' }, thinMaxPct: { gun: 10 } });
  });
  it('times that nobody typed go with the recoat time, and are never made shorter', () => {
    const usual = at20(EPOXY, 'minRecoat');
    const slow = made(tin({ recoatFrom: { points: [{ tempC: 20, hours: usual * 3 }] } }));
    const quick = made(tin({ recoatFrom: { points: [{ tempC: 20, hours: usual / 3 }] } }));
    for (const stage of ['touch', 'handle', 'sand', 'service'] as const) {
      expect(at20(slow.sheet, stage)).toBeCloseTo(3 * at20(EPOXY, stage), 6);
      expect(at20(quick.sheet, stage)).toBeCloseTo(at20(EPOXY, stage), 6);
    }
    expect(slow.inherited[0]).toEqual({ what: 'times', longerBy: 3 });
  });
  it('shuts for every follower when the tin says, not when the family does', () => {
    const rule = windowRule(made(tin()).sheet, GLOSS);
    const plain = rule.kind === 'intervals' ? rule.intervals.filter((i) => i.prep === 'none') : [];
    expect(plain.length).toBeGreaterThan(0);
    for (const i of plain) expect(i.to).toEqual({ stage: 'maxRecoat', p: 1, type: 'max' });
  });
  it('a tin that says no longest time does not get the family’s: the rule for a silent sheet holds, and it is named', () => {
    const { sheet, inherited } = made(tin({ recoatUntil: null }));
    expect(sheet.stages.maxRecoat).toBeUndefined();
    expect(windowRule(sheet, GLOSS)).toMatchObject({ basis: 'default-24h' });
    expect(inherited.map((i) => i.what)).toContain('noLongest');
  });
  it('a tin that says there is none never shuts', () => {
    const rule = windowRule(made(tin({ recoatUntil: 'never' })).sheet, GLOSS);
    expect(rule.kind === 'intervals' && rule.intervals.every((i) => i.to === null || i.prep !== 'none')).toBe(
      true,
    );
  });
  it('an etch that lets only some follow goes on letting only those', () => {
    const { sheet } = made(tin({ recoatFrom: must(readTimes('30 min', 'C')), recoatUntil: null }), ETCH);
    expect(sheet.followers).toEqual(ETCH.followers);
    expect(windowRule(sheet, GLOSS).kind).toBe('forbidden');
  });
  it.each([
    ['slower when warmer', tin({ recoatFrom: must(readTimes('4 h @ 10 C; 8 h @ 20 C', 'C')) }), 'recoatFrom'],
    ['shut before it opens', tin({ recoatUntil: must(readTimes('2 h @ 20 C', 'C')) }), 'recoatUntil'],
    [
      'two times at one temperature',
      tin({ potLife: must(readTimes('4 h @ 20 C; 5 h @ 20 C', 'C')) }),
      'potLife',
    ],
  ])('%s cannot be', (_, t, field) =>
    expect(sheetLike(EPOXY, EPOXY, t, '')).toMatchObject({
      ok: false,
      error: { code: 'contradiction', field },
    }),
  );
  it('every family of the catalogue can be the one it is like', () => {
    for (const family of CATALOGUE_SHEETS) {
      const usual = family.stages.minRecoat;
      if (!usual) continue;
      const { sheet } = made(tin({ recoatFrom: usual, recoatUntil: null }), family);
      expect(sheet.dftMinUm).toBeLessThanOrEqual(sheet.dftMaxUm);
      expect(Object.keys(sheet.stages)).not.toContain('maxRecoat');
    }
  });
});
