import { describe, expect, it } from '@jest/globals';
import { cupFullMl } from '../mix/cup.ts';
import { sessionCard } from './card.ts';
import { runMix } from './runMix.ts';
import { block, coat, H, lane, M, run, view } from './test/view.ts';

/** A straight cup: π · 40² mm² · h, so 1 mm is 5.0265 mL. */
const cup = (cupId: string, heightMm: number) => ({
  cupId,
  name: cupId,
  bottomMm: 80,
  topMm: 80,
  heightMm,
});
const CUPS = [cup('large', 200), cup('small', 60), cup('middle', 120)];

describe('what a gun-load is mixed from', () => {
  it('four to one with a tenth of thinner, in the smallest cup that holds it, with its marks', () => {
    // 500 mL of A + B: 400 and 100, thinner 50; 550 in all. The small cup holds 301.6 mL, the middle one 603.2.
    expect(Math.round(cupFullMl(CUPS[1]!))).toBe(302);
    const mix = runMix(500, 1, { bPerA: 0.25, thinPct: 10 }, CUPS);
    expect([mix.aMl, mix.bMl, mix.thinnerMl]).toEqual([400, 100, 50]);
    expect(mix.cup!.name).toBe('middle');
    expect(mix.cup!.marks.map((m) => [m.part, Math.round(m.heightMm * 10) / 10])).toEqual([
      ['a', 79.6],
      ['b', 99.5],
      ['thinner', 109.4],
    ]);
  });
  it('in two mixes each is half of it; a one-pack has no B', () => {
    const mix = runMix(500, 2, { bPerA: 0, thinPct: 0 }, CUPS);
    expect([mix.aMl, mix.bMl, mix.cup!.name, mix.cup!.marks.length]).toEqual([250, 0, 'small', 1]);
  });
  it('without a cup so large there are amounts and no marks', () =>
    expect(runMix(5000, 1, { bPerA: 0.25, thinPct: 0 }, CUPS)).toMatchObject({ aMl: 4000, cup: null }));
});

describe('heat before the session', () => {
  const parts = [
    { ...lane('a', [coat('a/prime/1', 60, 80, 20)]), warmsMs: 5 * H },
    { ...lane('b', [coat('b/prime/1', 90, 110, 20)]), warmsMs: H },
  ];
  const heated = [{ placeId: 'booth', airC: 18, fromMs: -20 * H, toMs: 48 * H }];
  it('is on before the slowest part of the session is as warm as the place', () =>
    // The first coat is begun an hour in, and its casting takes five hours.
    expect(sessionCard(view({ lanes: parts, heated }), 0).heat).toEqual([
      { placeId: 'booth', placeName: 'Booth', airC: 18, byMs: -4 * H },
    ]));
  it('that is on for a span only is on no sooner than that', () => {
    const late = [{ ...heated[0]!, fromMs: -2 * H }];
    expect(sessionCard(view({ lanes: parts, heated: late }), 0).heat[0]!.byMs).toBe(-2 * H);
  });
  it('is not asked for where nothing is coated, nor where nobody heats', () => {
    expect(sessionCard(view({ lanes: parts, heated }), 1).heat).toEqual([]);
    expect(sessionCard(view({ lanes: parts }), 0).heat).toEqual([]);
  });
});

describe('after this do not blast (docs/plan.md, check value: blast ends 19:30, spraying 40, clean-up 20)', () => {
  // The session begins at 18:30 as 0 and ends at 21:30; blasted 18:30 to 19:30, sprayed to 20:10, clean at 20:30.
  const blast = block('a/strip', 0, 60, { kind: 'strip', what: 'grit-blast', bares: true });
  const load = { ...run, fromMs: 30 * M, toMs: 120 * M, parts: ['A'] };
  const card = (coatFrom: number, coatOver: object = {}) => {
    const c = coat('a/prime/1', coatFrom, coatFrom + 40, 30);
    return sessionCard(
      view({ lanes: [lane('a', [blast, { ...c, coat: { ...c.coat!, ...coatOver } }])], runs: [load] }),
      0,
    );
  };
  // Out at 22:30, two hours and twenty minutes after its coat.
  const OUT = { slackMs: 140 * M, shutsMs: 240 * M };
  it('an hour is left in the session when the gun is clean: it may begin an hour later', () =>
    expect(card(60, OUT).cuts).toMatchObject([
      { partName: 'A', lastMs: 60 * M, block: { opId: 'a/strip' } },
    ]));
  it('coated another day, it may begin as much later as the metal has left then', () =>
    expect(card(24 * 60, { slackMs: 20 * M, shutsMs: (24 * 60 + 60) * M }).cuts[0]!.lastMs).toBe(20 * M));
  it('metal that never goes out has no line, nor what lasts until the next evening, nor what nothing follows', () => {
    expect(card(60).cuts).toEqual([]);
    expect(card(24 * 60, { slackMs: null }).cuts).toEqual([]);
    // The next evening begins at 24:00 of this drawing and a load takes an hour and a half: out at 25:00 is too soon, at 24:31 later with the hour to spare is not.
    expect(card(60, { slackMs: 20 * H, shutsMs: 24 * H }).cuts.length).toBe(1);
    expect(card(60, { slackMs: 24 * H, shutsMs: 25 * H }).cuts).toEqual([]);
    expect(sessionCard(view({ lanes: [lane('a', [blast])] }), 0).cuts).toEqual([]);
  });
});
