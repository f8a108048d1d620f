import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { hoursFromT0, sheet, span, steady, T0 } from '../test/build.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import type { PlannedCoat } from './face.ts';
import { standingFacts, type Fact, type FactBodies, type FactKind } from '../facts/part.ts';
import { HEADLINES } from './headline.ts';
import { compareLoss, isInMotion, type Orderable } from './order.ts';
import { leadMinutes } from '../work/minutes.ts';
import { derivePart, type PartInput } from './part.ts';

const H = 3_600_000;
const epoxy = sheet();
const gloss = sheet({ sheetId: 'g1', productId: 'gloss', binder: 'urethane-2k', role: 'finish' });
const sheets = new Map([epoxy, gloss].map((s) => [s.sheetId, s]));
let n = 0;
function fact<K extends FactKind>(
  kind: K,
  hour: number,
  body: FactBodies[K],
  over: Partial<Fact> = {},
): Fact {
  n += 1;
  return {
    factId: `f${String(n).padStart(4, '0')}`,
    kind,
    partId: 'p',
    face: null,
    happenedAtMs: T0 + hour * H,
    endedAtMs: null,
    recordedAtMs: T0 + hour * H,
    personId: 'a',
    deviceId: 'd',
    supersedes: null,
    body,
    ...over,
  } as Fact;
}
const coat = (hour: number, sheetId = 's1', over: Partial<Fact> = {}): Fact =>
  fact('coated', hour, { sheetId, dftUm: 75 }, over);
const plan = (...list: (typeof epoxy)[]): PlannedCoat[] =>
  list.map((s, i) => ({ stepId: `st${i}`, sheet: s, dftUm: 75, coatNo: 1, ofCoats: 1 }));

function state(
  facts: readonly Fact[],
  nowH: number,
  over: Partial<PartInput> = {},
  sessions: { fromMs: number; toMs: number }[] = [],
) {
  const nowMs = T0 + nowH * H;
  return derivePart(
    {
      partId: 'p',
      substrate: 'steel-plate',
      areaM2: 1,
      faces: ['A'],
      isOutdoors: false,
      facts,
      planned: plan(epoxy, gloss),
      hasRoute: true,
      isHeldOpen: false,
      track: steady(20, 2000, 'lag', 50),
      trackNow: over.track ?? steady(20, 2000, 'lag', 50),
      own: [],
      place: { trust: 'fresh', atMs: nowMs, airC: 20, rhPct: 50 },
      ...over,
    },
    {
      nowMs,
      forecastEndMs: nowMs + 72 * H,
      horizonMs: nowMs + 90 * 24 * H,
      sessions,
      sheetOf: (id) => sheets.get(id) ?? null,
      speedOf: () => 1,
    },
  );
}

describe('a primer held while the colour is undecided', () => {
  const held = (nowH: number, facts = [coat(0, epoxy.sheetId)]) =>
    state(facts, nowH, { planned: plan(epoxy), isHeldOpen: true });
  it('its window runs by its own sheet for any follower, and the act is to decide', () => {
    const open = held(30);
    expect(open.lead.rule).toMatchObject({ kind: 'intervals' });
    expect(['open', 'closing']).toContain(open.headline);
    expect(open.lead.act).toEqual({ code: 'decide-colour', shutsMs: open.lead.lostAtMs });
    expect(held(24 * 80).headline).toBe('shut');
    expect(held(24 * 80).lead.act.code).toBe('decide-colour');
  });
  it('without the open step the same film is simply curing', () =>
    expect(state([coat(0, epoxy.sheetId)], 30, { planned: plan(epoxy) }).headline).toBe('curing'));
});

describe('the headline and the next act of a part', () => {
  it('waits until something was begun', () =>
    expect(state([], 1)).toMatchObject({ headline: 'waiting', lead: { act: { code: 'prepare' } } }));
  it('bare after blasting, out after the limit, and then it is blasted again', () => {
    const blasted = [fact('stripped', 0, { method: 'blast' })];
    expect(state(blasted, 1)).toMatchObject({ headline: 'bare', lead: { act: { code: 'coat' } } });
    near(hoursFromT0(state(blasted, 1).lostAtMs), 4, 0.01); // 50 % felt, blasted cap 4 h (trade)
    expect(state(blasted, 5)).toMatchObject({ headline: 'out', lead: { act: { code: 'reblast' } } });
  });
  it('is not out because an assumed night begins with the last reading; measured wet air is', () => {
    const blasted = [fact('stripped', 0, { method: 'blast' })];
    const then = (after: 'assumed' | 'lag') => [
      span(0, 1, 20, 20, 'lag', 50),
      span(1, 200, 12, 12, after, 90),
    ];
    expect(state(blasted, 1, { track: then('assumed') }).headline).toBe('bare');
    expect(state(blasted, 1.1, { track: then('lag') }).headline).toBe('out');
    // Every guess has it past: out, measured or not.
    expect(
      state(blasted, 12, { track: [span(0, 1, 20, 20, 'lag', 50), span(1, 200, 20, 20, 'assumed', 50)] })
        .headline,
    ).toBe('out');
  });
  it('early, open, closing, shut as the clock runs, with start-by before the worst shut edge', () => {
    const facts = [coat(0)];
    expect(state(facts, 1)).toMatchObject({ headline: 'early', lead: { act: { code: 'wait' } } });
    expect(state(facts, 7.5)).toMatchObject({ headline: 'early', lead: { act: { code: 'tack-test' } } });
    expect(state(facts, 12).headline).toBe('open');
    const closing = state(facts, 38);
    expect(closing.headline).toBe('closing');
    const act = closing.lead.act;
    expect(act.code === 'coat' && act.shutsMs! - act.startByMs!).toBe(closing.lead.leadMinutes * 60_000);
    expect(state(facts, 60)).toMatchObject({ headline: 'shut', lead: { act: { code: 'abrade' } } });
  });
  it('held when the air fails, with the next predicted fit, or never', () => {
    const damp = { trust: 'fresh', atMs: T0, airC: 20, rhPct: 92 } as const;
    const wet = [span(0, 20, 20, 20, 'lag', 92), span(20, 200, 20, 20, 'forecast', 50)];
    expect(state([coat(0)], 12, { place: damp, track: wet })).toMatchObject({
      headline: 'held',
      lead: { act: { code: 'hold', nextFit: { fromMs: T0 + 20 * H } } },
    });
    expect(state([coat(0)], 12, { place: damp, track: steady(20, 2000, 'lag', 92) })).toMatchObject({
      lead: { act: { code: 'hold', nextFit: null } },
    });
  });
  it('a stale or stuck probe is unknown, and unknown is never a pass', () => {
    for (const trust of ['stale', 'stuck', 'none'] as const) {
      const s = state([coat(0)], 12, { place: { trust, atMs: T0, airC: 20, rhPct: 50 } });
      expect(s).toMatchObject({ headline: 'held', lead: { act: { code: 'read-air' } } });
    }
  });
  it('no record of the air at all is unknown, never merely slow', () => {
    expect(state([coat(0)], 12, { track: [] }).headline).toBe('unknown');
    expect(state([fact('stripped', 0, { method: 'blast' })], 1, { track: [] })).toMatchObject({
      headline: 'unknown',
      isLossUnknown: true,
    });
  });
  it('keyed after abrading a hard film; wipe first, then coat', () => {
    const track = [span(0, 2000, 20, 20, 'lag', 50)];
    const abraded = [coat(0), fact('abraded', 100, { how: 'dry' })];
    expect(state(abraded, 101, { track })).toMatchObject({
      headline: 'keyed',
      lead: { act: { code: 'wipe' } },
    });
    expect(state([...abraded, fact('wiped', 100.5, {})], 101)).toMatchObject({
      headline: 'keyed',
      lead: { act: { code: 'coat' } },
    });
    expect(state([...abraded, fact('contaminated', 100.7, { by: 'bare-hand' })], 101).headline).toBe('shut');
  });
  it('suspect after dew on a wet film; only a logged test goes on', () => {
    const track: SurfaceStretch[] = [
      span(0, 3, 20, 20, 'lag', 50),
      span(3, 4, 12, 12, 'lag', 101),
      span(4, 2000, 20, 20, 'lag', 50),
    ];
    expect(state([coat(0)], 30, { track })).toMatchObject({
      headline: 'suspect',
      lead: { act: { code: 'test-film' } },
    });
    expect(
      state([coat(0), fact('tested', 20, { test: 'thumbnail', reached: true })], 30, { track }).headline,
    ).toBe('open');
  });
  it('a test opens the window early but never moves the shut edge', () => {
    const before = state([coat(0)], 6);
    const after = state([coat(0), fact('tested', 5, { test: 'thumb-twist', reached: true })], 6);
    expect(before.headline).toBe('early');
    expect(after.headline).toBe('open');
    expect(after.lostAtMs).toBe(before.lostAtMs);
  });
  it('cures after the last coat and is then done', () => {
    const facts = [coat(0), coat(12, 'g1')];
    expect(state(facts, 20)).toMatchObject({ headline: 'curing', lead: { act: { code: 'cure' } } });
    expect(state(facts, 400)).toMatchObject({ headline: 'cured' });
  });
  it('two faces carry a clock each; the more pressing makes the headline', () => {
    const s = state(
      [coat(0, 's1', { face: 'A' }), fact('turned', 3, { faceUp: 'B' }), coat(30, 's1', { face: 'B' })],
      38,
      { faces: ['A', 'B'] },
    );
    expect(s.faces.map((f) => f.headline)).toEqual(['closing', 'early']);
    expect(s.lead.face).toBe('A');
  });
  it('cutting through opens a bare-metal clock on the spot', () => {
    expect(state([coat(0), fact('cut-through', 50, {})], 51).lead.bare).not.toBeNull();
    expect(state([coat(0), fact('cut-through', 50, {})], 60).headline).toBe('out');
  });
  it('a coat of another binder before min recoat is shown as a conflict, not hidden', () => {
    expect(state([coat(0), coat(2, 'g1')], 3).lead.coats[1]!.isConflict).toBe(true);
  });
  it('warns on Saturday of a window that shuts before the next session', () => {
    const next = [{ fromMs: T0 + 60 * H, toMs: T0 + 64 * H }];
    expect(state([coat(0)], 12, {}, next).headline).toBe('closing');
  });
  it('a baked finish waits for heat, not for time', () => {
    const bake = sheet({ sheetId: 'b1', productId: 'bake', binder: 'silicone-heat', cureBy: 'bake' });
    sheets.set('b1', bake);
    const planned = plan(bake);
    expect(state([coat(0, 'b1')], 900, { planned }).headline).toBe('curing');
    expect(
      state([coat(0, 'b1'), fact('baked', 20, { tempC: 180, minutes: 60 })], 900, { planned }).headline,
    ).toBe('cured');
  });
});

describe('facts', () => {
  it('a correction replaces, a void removes, and the order of arrival does not matter', () => {
    const first = coat(0);
    const corrected = coat(1, 's1', { supersedes: first.factId });
    const voided = fact('voided', 2, {}, { supersedes: corrected.factId });
    expect(standingFacts([corrected, first])).toEqual([corrected]);
    expect(standingFacts([first, voided, corrected])).toEqual([]);
  });
  it('law: the order in which facts arrive changes nothing', () => {
    const facts = [
      fact('stripped', 0, { method: 'blast' }),
      coat(1),
      fact('tested', 9, { test: 'tack', reached: true }),
      fact('abraded', 70, { how: 'dry' }),
      fact('wiped', 71, {}),
    ];
    const want = state(facts, 72).lead.act;
    fc.assert(
      fc.property(fc.shuffledSubarray(facts, { minLength: 5 }), (shuffled) =>
        expect(state(shuffled, 72).lead.act).toEqual(want),
      ),
      { seed: 4, numRuns: 30 },
    );
  });
});

describe('the order of the bench', () => {
  const row = (
    partId: string,
    headline: Orderable['headline'],
    lostAtMs: number | null,
    over: Partial<Orderable> = {},
  ): Orderable => ({
    partId,
    headline,
    lostAtMs,
    isLossUnknown: false,
    opensMs: null,
    redoHours: 1,
    ...over,
  });
  it('edges ascending, then what is suspect, what waits, what is lost already; ties by cost', () => {
    const rows = [
      row('shut', 'shut', null),
      row('late', 'open', 9),
      row('early', 'early', 30, { opensMs: 5 }),
      row('cheap', 'closing', 3),
      row('dear', 'closing', 3, { redoHours: 8 }),
      row('sus', 'suspect', null),
      row('held', 'held', null),
    ];
    expect(rows.sort(compareLoss).map((r) => r.partId)).toEqual([
      'dear',
      'cheap',
      'late',
      'sus',
      'held',
      'early',
      'shut',
    ]);
  });
  it('is a total order over every headline', () => {
    const rows = HEADLINES.flatMap((h, i) => [
      row(`a${i}`, h, i % 3 === 0 ? null : i),
      row(`b${i}`, h, null, { isLossUnknown: i % 2 === 0 }),
    ]);
    for (const a of rows)
      for (const b of rows) expect(Math.sign(compareLoss(a, b))).toBe(-Math.sign(compareLoss(b, a)) || 0);
  });
  it('finished and unbegun parts are not in motion', () =>
    expect(HEADLINES.filter((h) => !isInMotion(h))).toEqual(['waiting', 'cured']));
  it('start-by takes off application, flash and turn-over', () => {
    // By hand: 12 min/m² × 4 m² / 2 faces = 24, + 10 flash, + 15 turn-over.
    expect(leadMinutes(epoxy, 4, 2)).toBe(49);
  });
});

function near(got: number, want: number, tolerance: number): void {
  expect(Math.abs(got - want)).toBeLessThanOrEqual(tolerance);
}
