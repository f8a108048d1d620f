import { describe, expect, it } from '@jest/globals';
import { HOUR_MS } from '../base/time.ts';
import { hoursFromT0, steady, T0 } from '../test/build.ts';
import { REMEDIES } from './kinds.ts';
import { mendPlan, type MendAsked } from './mendPlan.ts';
import { AT_H, EPOXY, finish, recordOf } from './record/test/build.ts';

/** An epoxy at 20 °C, a gloss a day later; it is now two hours after the gloss. */
const record = recordOf({
  coats: [
    { of: EPOXY, atH: 0 },
    { of: finish(), atH: 24 },
  ],
  index: 1,
});
const NOW_H = 26;
const ask = (over: Partial<MendAsked>) =>
  mendPlan({
    remedy: 'flat-and-polish',
    coats: record.coats,
    index: 1,
    faceM2: 0.1,
    extentPct: null,
    track: steady(20),
    speedOf: () => 1,
    nowMs: T0 + (AT_H + NOW_H) * HOUR_MS,
    ...over,
  });

// The sheets' own points: at 20 °C sand 18 h, minimum recoat 7 h, handle 12 h; the safe edge is 2 K colder (docs/clocks.md 3).
describe('the route as a remedy would change it', () => {
  it('a run waits until the gloss can be sanded, then goes on by hand without a wait', () => {
    const plan = ask({});
    expect(plan.lines.map((l) => l.step)).toEqual(['blade-off', 'flat-fine', 'polish']);
    const from = plan.lines.map((l) => hoursFromT0(l.fromMs) - AT_H);
    expect(from[0]).toBeGreaterThan(24 + 18);
    expect(from[0]).toBeLessThan(24 + 18 * 1.25);
    expect(from[1]! - from[0]!).toBeCloseTo(10 / 60, 6);
    expect([plan.handsMin, plan.comesOff]).toEqual([50, []]);
    expect(hoursFromT0(plan.doneMs) - AT_H).toBeCloseTo(from[0]! + 50 / 60, 6);
  });
  it('stripped: both coats come off and go on again, the second after the first can be recoated', () => {
    const plan = ask({ remedy: 'strip-and-reprime' });
    expect(plan.comesOff).toEqual(['Epoxy primer', 'Two-pack gloss']);
    const coats = plan.lines.filter((l) => l.product !== null);
    expect(coats.map((l) => [l.step, l.product, l.waitsFor])).toEqual([
      ['prime-anew', 'Epoxy primer', null],
      ['coat-again', 'Two-pack gloss', 'recoat'],
    ]);
    const [first, second] = coats;
    const wait = (second!.fromMs! - first!.fromMs!) / HOUR_MS - first!.minutes / 60;
    expect(wait).toBeGreaterThan(7);
    expect(wait).toBeLessThan(7 * 1.25);
    // Done when the last can be handled.
    const after = (plan.doneMs! - second!.fromMs!) / HOUR_MS - second!.minutes / 60;
    expect(after).toBeGreaterThan(12);
    expect(after).toBeLessThan(12 * 1.25);
  });
  it('back to the sound coat: only the faulty one goes', () => {
    expect(ask({ remedy: 'back-to-sound' }).comesOff).toEqual(['Two-pack gloss']);
    expect(ask({ remedy: 'take-it-all-off', index: 0 }).comesOff).toEqual(['Epoxy primer', 'Two-pack gloss']);
  });
  it('more of it takes longer: where it is local by its share, else by the face', () => {
    const hands = (over: Partial<MendAsked>) => ask(over).handsMin;
    expect(hands({ faceM2: 2 })).toBe(hands({}));
    expect(hands({ faceM2: 2, extentPct: 50 })).toBeGreaterThan(hands({ faceM2: 2, extentPct: 10 }));
    expect(hands({ remedy: 'strip-and-reprime', faceM2: 2 })).toBeGreaterThan(
      hands({ remedy: 'strip-and-reprime', faceM2: 1 }),
    );
  });
  it('what the clocks do not know stays unknown, and the hands are still counted', () => {
    const plan = ask({ remedy: 'strip-and-reprime', track: steady(20, AT_H + 30) });
    expect(plan.doneMs).toBeNull();
    expect(plan.handsMin).toBeGreaterThan(100);
    const none = ask({ coats: [], index: -1 });
    expect(none.lines.map((l) => l.fromMs)).toEqual([null, null, null]);
    expect(none.doneMs).toBeNull();
  });
  it('every remedy has a plan whose steps never go back in time', () => {
    for (const remedy of REMEDIES) {
      const { lines } = ask({ remedy });
      expect(lines.length).toBeGreaterThan(0);
      lines.slice(1).forEach((l, i) => {
        expect(l.fromMs).toBeGreaterThanOrEqual(lines[i]!.fromMs!);
      });
    }
  });
});
