import { describe, expect, it } from '@jest/globals';
import { similarity, type Similarity } from './align.ts';

const at = (s: Similarity, x: number, y: number) => [s.a * x - s.b * y + s.e, s.b * x + s.a * y + s.f];

// Plane geometry, worked by hand.
describe('laying one picture over another by two points', () => {
  it('a shift', () => {
    const s = similarity(
      [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
      ],
      [
        { x: 0.2, y: 0.1 },
        { x: 1.2, y: 0.1 },
      ],
    )!;
    expect(s).toEqual({ a: 1, b: 0, e: 0.2, f: 0.1 });
  });
  it('a quarter turn and twice the size', () => {
    const s = similarity(
      [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
      ],
      [
        { x: 3, y: 3 },
        { x: 3, y: 5 },
      ],
    )!;
    expect(at(s, 0, 0)).toEqual([3, 3]);
    expect(at(s, 1, 0)).toEqual([3, 5]);
    // A third point: the corner of the square comes to the corner of the turned square.
    expect(at(s, 1, 1)).toEqual([1, 5]);
  });
  it('the two points come exactly onto the two', () => {
    const from = [
      { x: 0.13, y: 0.7 },
      { x: 0.81, y: 0.22 },
    ] as const;
    const to = [
      { x: 0.2, y: 0.66 },
      { x: 0.77, y: 0.31 },
    ] as const;
    const s = similarity(from, to)!;
    from.forEach((p, i) => {
      expect(at(s, p.x, p.y)[0]).toBeCloseTo(to[i]!.x, 12);
      expect(at(s, p.x, p.y)[1]).toBeCloseTo(to[i]!.y, 12);
    });
  });
  it('points on one another say nothing', () => {
    const p = { x: 0.5, y: 0.5 };
    expect(similarity([p, p], [p, { x: 1, y: 1 }])).toBeNull();
    expect(similarity([p, { x: 1, y: 1 }], [p, p])).toBeNull();
  });
});
