import { describe, expect, it } from '@jest/globals';
import { columnAt, groundOf, xAt } from './geometry.ts';

const H = 3_600_000;
const nowMs = Date.UTC(2026, 2, 5, 17);
const at = (h: number): number => nowMs + h * H;
const session = (from: number, to: number) => ({
  fromMs: at(from),
  toMs: at(to),
  people: 2,
  takenMs: 0,
  who: [],
});
const ground = groundOf({ nowMs, sessions: [session(1, 4), session(25, 28), session(100, 107)] });

describe('the plan’s columns', () => {
  it('are as wide as one another, a night between them narrow, days wider', () => {
    const [a, b, c] = ground.columns as [
      (typeof ground.columns)[0],
      (typeof ground.columns)[0],
      (typeof ground.columns)[0],
    ];
    expect(new Set(ground.columns.map((k) => k.width)).size).toBe(1);
    expect(b.x - (a.x + a.width)).toBe(b.gapPx);
    expect(c.gapPx).toBeGreaterThan(b.gapPx);
  });
  it('time runs to scale inside a session and never backwards', () => {
    const [a] = ground.columns;
    expect(xAt(ground, at(1))).toBe(a!.x);
    expect(xAt(ground, at(2.5))).toBe(a!.x + a!.width / 2);
    let last = -1;
    for (let h = 0; h < 110; h += 0.5) {
      const x = xAt(ground, at(h));
      expect(x).toBeGreaterThanOrEqual(last);
      last = x;
    }
  });
  it('a point finds its session, between two the nearest', () => {
    const [a, b] = ground.columns;
    expect(columnAt(ground, a!.x + 3)?.index).toBe(0);
    expect(columnAt(ground, b!.x - 2)?.index).toBe(1);
    expect(columnAt(ground, 1e6)?.index).toBe(2);
  });
});
