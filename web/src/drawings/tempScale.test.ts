import { describe, expect, it } from '@jest/globals';
import { nearest, pathsOf, piecesOf, scaleOf, type TempPoint } from './tempScale.ts';

const at = (atMs: number, c: number, dash: TempPoint['dash'] = 'known'): TempPoint => ({ atMs, c, dash });
const WHOLE = { fromMs: 0, toMs: 10 };

describe('a scale of temperatures', () => {
  it('goes in whole steps of the reader’s own degrees, with everything in sight between its ends', () => {
    const scale = scaleOf([[at(0, 3.2), at(5, 17.9)], [at(20, 60)]], WHOLE, (c) => c);
    expect(scale.ticks.map((t) => t.shown)).toEqual([0, 5, 10, 15, 20]);
    expect([scale.shareOf(0), scale.shareOf(20)]).toEqual([0, 1]);
  });
  it('in Fahrenheit 32° is freezing and 212° boiling (definition of the scale)', () => {
    const scale = scaleOf([[at(0, 0), at(5, 100)]], WHOLE, (c) => (c * 9) / 5 + 32);
    const tick = scale.ticks.find((t) => t.shown === 200)!;
    expect(tick.c).toBeCloseTo(93.33, 2);
    expect(scale.shareOf(0)).toBeLessThan(scale.shareOf(100));
    expect(scale.shareOf(100)).toBeLessThanOrEqual(1);
  });
  it('of one steady temperature, or none, there is a scale too', () => {
    expect(scaleOf([[at(0, 10)]], WHOLE, (c) => c).ticks.length).toBeGreaterThan(1);
    expect(scaleOf([], WHOLE, (c) => c).ticks.length).toBeGreaterThan(1);
  });
});

describe('a line along time', () => {
  const x = (ms: number): number => ms;
  const y = (c: number): number => c;
  it('becomes a new path where it becomes less sure, and the two meet', () => {
    const paths = pathsOf([at(0, 1), at(1, 2), at(2, 3, 'forecast'), at(3, 4, 'forecast')], x, y);
    expect(paths).toEqual([
      { d: 'M0.0 1.0L1.0 2.0', dash: 'known' },
      { d: 'M1.0 2.0L2.0 3.0L3.0 4.0', dash: 'forecast' },
    ]);
  });
  it('is parted where the record has a hole of more than three hours: nothing is drawn that nobody measured', () => {
    const hour = 3_600_000;
    const times = (list: readonly number[]) =>
      piecesOf(list.map((h) => at(h * hour, 5))).map((p) => p.length);
    expect(times([0, 1, 2, 6, 7])).toEqual([3, 2]);
    expect(times([0, 3, 6])).toEqual([3]);
    expect(times([])).toEqual([]);
  });
  it('under a pointer it is the point next to it, and nothing where the record has a hole', () => {
    const points = [at(0, 1), at(600_000, 2)];
    expect(nearest(points, 400_000)?.c).toBe(2);
    expect(nearest(points, 5_000_000)).toBeNull();
  });
});
