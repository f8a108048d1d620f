import { describe, expect, it } from '@jest/globals';
import { HOUR_MS } from '../base/time.ts';
import { hoursFromT0, span, steady, T0 } from '../test/build.ts';
import { crossCutClass, cutFor, rustDegree, trialDueMs, trialVerdict } from './trial.ts';

describe('cross-cut (ISO 2409, ISO 16276-2; quoted from memory)', () => {
  it('classes by the share that came off', () => {
    expect([0, 3, 5, 5.1, 15, 16, 35, 60, 66].map(crossCutClass)).toEqual([0, 1, 1, 2, 2, 3, 3, 4, 5]);
  });
  it('0 and 1 are sound, 2 asks, 3 and more refuse (common practice)', () => {
    expect(([0, 1, 2, 3, 5] as const).map(trialVerdict)).toEqual([
      'sound',
      'sound',
      'ask',
      'refuse',
      'refuse',
    ]);
  });
  it('spacing by film and by what lies below', () => {
    expect(cutFor(60, 'steel-plate')).toEqual({ kind: 'lattice', spacingMm: 1 });
    expect(cutFor(60, 'zinc-diecast')).toEqual({ kind: 'lattice', spacingMm: 2 });
    expect(cutFor(61, 'steel-plate')).toEqual({ kind: 'lattice', spacingMm: 2 });
    expect(cutFor(121, 'zinc-diecast')).toEqual({ kind: 'lattice', spacingMm: 3 });
    expect(cutFor(251, 'steel-plate')).toEqual({ kind: 'x-cut' });
  });
});

// By hand: 48 h at 20 °C, 5 000 K (docs/inspect.md 15).
describe('when a trial may be made', () => {
  it('48 h at 20 °C, 87.67 h at 10 °C', () => {
    expect(hoursFromT0(trialDueMs(steady(20), T0, null))).toBeCloseTo(48, 2);
    expect(hoursFromT0(trialDueMs(steady(10), T0, null))).toBeCloseTo(87.67, 2);
  });
  it('a day at 20 °C, then 10 °C: 67.83 h', () => {
    const track = [span(0, 24, 20), span(24, 2000, 10)];
    expect(hoursFromT0(trialDueMs(track, T0, null))).toBeCloseTo(67.83, 2);
  });
  it('below its cure minimum it does not age', () => {
    expect(trialDueMs(steady(4), T0, 5)).toBeNull();
    const track = [span(0, 24, 20), span(24, 34, 4), span(34, 2000, 20)];
    expect(hoursFromT0(trialDueMs(track, T0, 5))).toBeCloseTo(58, 2);
  });
  it('a gap in what is known leaves it unknown', () => {
    expect(trialDueMs([span(0, 20, 20), span(30, 200, 20)], T0, null)).toBeNull();
    expect(trialDueMs(steady(20), T0 + 3 * HOUR_MS, null)).toBeCloseTo(T0 + 51 * HOUR_MS, -2);
  });
});

describe('degrees of rusting (ISO 4628-3, quoted from memory; rounding up is ours)', () => {
  it('by share', () => {
    expect([0, 0.05, 0.0501, 0.5, 1, 1.01, 8, 8.01].map(rustDegree)).toEqual([0, 1, 2, 2, 3, 4, 4, 5]);
  });
});
