import { describe, expect, it } from '@jest/globals';
import { showDifference, showFilm, showTemperature, showVolume, METRIC } from './display.ts';
import { parseQuantity, splitNumber, type QuantityField } from './parse.ts';

const air: QuantityField = {
  field: 'airC',
  dimension: 'temperature',
  bareUnit: 'C',
  otherUnit: 'F',
  min: -40,
  max: 50,
  plausibleMin: -25,
  plausibleMax: 45,
};
const film: QuantityField = { field: 'dftUm', dimension: 'film', bareUnit: 'um', min: 1, max: 2000 };
const volume: QuantityField = { field: 'volumeL', dimension: 'volume', bareUnit: 'L', min: 0, max: 1000 };

describe('typed quantities', () => {
  // Exact definitions: inch 25.4 mm, US gallon 231 in³ = 3.785411784 L, imperial gallon 4.54609 L.
  it.each([
    ['72 F', air, 22.2222],
    ['−3', air, -3],
    ['12,5', air, 12.5],
    ['3 mil', film, 76.2],
    ['45 thou', film, 1143],
    ['0.1 mm', film, 100],
    ['1 1/2 imp pt', volume, 0.852392],
    ['1½ us pt', volume, 0.709765],
    ['250 ml', volume, 0.25],
  ] as const)('%s', (text, field, want) => {
    const r = parseQuantity(text, field);
    expect(r.ok && r.value.value).toBeCloseTo(want, 4);
  });
  it('asks about 62 typed in °C instead of guessing, but takes 62 F', () => {
    expect(parseQuantity('62', air)).toEqual({
      ok: false,
      error: { code: 'which-unit', field: 'airC', text: '62', choices: ['C', 'F'] },
    });
    expect(parseQuantity('62 F', air).ok).toBe(true);
  });
  it('says what it would accept', () => {
    expect(parseQuantity('warm', air)).toMatchObject({
      ok: false,
      error: { code: 'not-a-quantity', accepts: ['12.5 C', '54 F'] },
    });
    expect(parseQuantity('-300', air)).toMatchObject({
      ok: false,
      error: { code: 'out-of-range', min: -40, max: 50 },
    });
    expect(parseQuantity('3 furlongs', film).ok).toBe(false);
  });
  it('a bare pint follows the shop’s system', () => {
    const us = parseQuantity('1 pt', { ...volume, volumeSystem: 'us' });
    const imperial = parseQuantity('1 pt', { ...volume, volumeSystem: 'imperial' });
    expect(us.ok && us.value.value).toBeCloseTo(0.473176, 6);
    expect(imperial.ok && imperial.value.value).toBeCloseTo(0.568261, 6);
  });
  it('one over nothing is no number', () => expect(splitNumber('1/0')).toBeNull());
});

describe('shown quantities', () => {
  it('converts values and differences separately', () => {
    const us = { ...METRIC, temperature: 'F', film: 'mil', volume: 'us' } as const;
    expect(showTemperature(10, us).text).toBe('50.0');
    expect(showDifference(3, us)).toMatchObject({ text: '5.4', unit: '°F' });
    expect(showFilm(76.2, us)).toMatchObject({ text: '3.0', unit: 'mil' });
    expect(showVolume(3.785411784, us)).toMatchObject({ text: '1.00', unit: 'US gal' });
    expect(showTemperature(-0.04, METRIC).text).toBe('0.0');
  });
});
