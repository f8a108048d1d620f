import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { HEADLINES } from './headline.ts';
import { compareLoss, isInMotion, type Orderable } from './order.ts';

const row = (over: Partial<Orderable>): Orderable => ({
  partId: 'p',
  headline: 'open',
  lostAtMs: null,
  isLossUnknown: false,
  opensMs: null,
  redoHours: 1,
  ...over,
});
const order = (...rows: Orderable[]): string[] => [...rows].sort(compareLoss).map((r) => r.partId);

/** docs/clocks.md 15. */
describe('lost first', () => {
  it('unknown above known, known by its edge, then what is to be looked at, what may be coated, what waits, what is lost already', () =>
    expect(
      order(
        row({ partId: 'shut', headline: 'shut' }),
        row({ partId: 'early', headline: 'early', opensMs: 5 }),
        row({ partId: 'late', headline: 'closing', lostAtMs: 90 }),
        row({ partId: 'soon', headline: 'bare', lostAtMs: 10 }),
        row({ partId: 'unknown', isLossUnknown: true }),
        row({ partId: 'suspect', headline: 'suspect', lostAtMs: 1 }),
        row({ partId: 'open', headline: 'open' }),
      ),
    ).toEqual(['unknown', 'soon', 'late', 'suspect', 'open', 'early', 'shut']));
  it('ties go to what would cost more to do again, then to the name: the list never flickers', () => {
    expect(
      order(row({ partId: 'cheap', lostAtMs: 5 }), row({ partId: 'dear', lostAtMs: 5, redoHours: 9 })),
    ).toEqual(['dear', 'cheap']);
    expect(order(row({ partId: 'b', lostAtMs: 5 }), row({ partId: 'a', lostAtMs: 5 }))).toEqual(['a', 'b']);
  });
  it('is a total order: antisymmetric and transitive over random rows', () => {
    const random = seededRandom(12);
    const rows = Array.from({ length: 60 }, (_, i) =>
      row({
        partId: `p${i}`,
        headline: HEADLINES[Math.floor(random() * HEADLINES.length)]!,
        lostAtMs: random() < 0.4 ? null : Math.floor(random() * 9),
        isLossUnknown: random() < 0.2,
        opensMs: random() < 0.5 ? null : Math.floor(random() * 9),
        redoHours: Math.floor(random() * 3),
      }),
    );
    for (const a of rows)
      for (const b of rows) {
        expect(Math.sign(compareLoss(a, b)) + Math.sign(compareLoss(b, a))).toBe(0);
        for (const c of rows.slice(0, 15))
          if (compareLoss(a, b) <= 0 && compareLoss(b, c) <= 0)
            expect(compareLoss(a, c)).toBeLessThanOrEqual(0);
      }
  });
  it('what has not begun, and what is finished, is not in motion', () => {
    expect(HEADLINES.filter((h) => !isInMotion(h))).toEqual(['waiting', 'cured']);
  });
});
