import { describe, expect, it } from '@jest/globals';
import { readGaugeRows } from './gaugeRows.ts';

const rows = (text: string): string[][] => text.split('\n').map((l) => l.split(','));
const read = (text: string, unit: 'um' | 'mil' | null = null) => readGaugeRows(rows(text), unit);

describe('a gauge’s file', () => {
  it('with a heading that names its unit', () => {
    const r = read('No,Time,Thickness (µm)\n1,10:02,81\n2,10:02,79.5\n3,10:03,102');
    expect(r).toMatchObject({ ok: true, value: { readingsUm: [81, 79.5, 102], unit: 'um', skipped: [] } });
  });
  it('in mils: 3 mil is 76.2 µm by definition (25.4 µm)', () => {
    const r = read('Reading,DFT mils\n1,3\n2,3.5');
    expect(r.ok && r.value.readingsUm.map((x) => Number(x.toFixed(3)))).toEqual([76.2, 88.9]);
  });
  it('in mils without a unit is asked about, with what it would be either way', () =>
    expect(read('Reading,DFT\n1,3.1\n2,3.5')).toEqual({
      ok: false,
      error: { code: 'which-unit', example: 3.1, asUm: 3.1, asMilUm: 3.1 * 25.4 },
    }));
  it('the answer to the question decides', () =>
    expect(read('3.1\n3.5', 'mil')).toMatchObject({ ok: true, value: { unit: 'mil' } }));
  it('a pasted column with units in its cells', () =>
    expect(read('81 µm\n79 µm')).toMatchObject({ ok: true, value: { readingsUm: [81, 79] } }));
  it('spots by their column, three readings each', () => {
    const r = read('Spot,Reading um\nA,80\nA,82\nA,84\nB,90\nB,91\nB,95');
    expect(r).toMatchObject({
      ok: true,
      value: {
        spotsUm: [
          [80, 82, 84],
          [90, 91, 95],
        ],
      },
    });
  });
  it('lines that hold no reading are named, not swallowed', () => {
    const r = read('DFT um\n80\nbattery low\n82\n-3\n');
    expect(r).toMatchObject({
      ok: true,
      value: {
        readingsUm: [80, 82],
        skipped: [
          { line: 3, text: 'battery low' },
          { line: 5, text: '-3' },
        ],
      },
    });
  });
  it('nothing to read, and a reading no gauge gives', () => {
    expect(read('hello')).toMatchObject({ ok: false, error: { code: 'no-readings' } });
    expect(read('um\n81\n9000')).toMatchObject({
      ok: false,
      error: { code: 'too-thick', line: 3, gotUm: 9000 },
    });
  });
});
