import { describe, expect, it } from '@jest/globals';
import { normal, seededRandom } from '../base/random.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { checkPlan } from './check.ts';
import { HELPS, askWith, HELP_HEAT_C } from './helps.ts';
import { leaned, LEANS } from './leans.ts';
import { makePlans } from './make.ts';
import type { PlanProblem } from './problem.ts';
import { handsFactor, holdsOf, liveOnce, replayOnce, type Replay } from './replay.ts';
import { ASK, randomShop } from './test/shop.ts';

const NOW = Date.parse('2026-03-05T17:00Z');
const best = (p: PlanProblem) => {
  const plans = makePlans(p);
  plans.next();
  return plans.next().value.best;
};

describe('hands in a replay (docs/plan.md 17: coefficient of variation 35 %, median 1)', () => {
  it('four jobs in five take no longer than 1.33123 times what was reckoned', () => {
    // .841621 is the normal distribution's 80th percentile (tables); shared and own halves of it make one whole.
    const half = 0.841621 / Math.SQRT2;
    expect(handsFactor(half, half)).toBeCloseTo(1.33123, 4);
    expect(handsFactor(0, 0)).toBe(1);
  });
  it('on average 1.05948 times, with a spread of 35 % of that', () => {
    const random = seededRandom(3);
    const all = Array.from({ length: 40_000 }, () => handsFactor(normal(random), normal(random)));
    const mean = all.reduce((s, x) => s + x, 0) / all.length;
    const sd = Math.sqrt(all.reduce((s, x) => s + (x - mean) ** 2, 0) / all.length);
    expect(mean).toBeCloseTo(1.05948, 1);
    expect(sd / mean).toBeCloseTo(0.35, 2);
  });
});

describe('who comes after all', () => {
  const p = randomShop(31 * 7919, NOW);
  const hand = { name: null, sprays: true, isMasked: true, blasts: true };
  const sessions = (absent: number, n: number): number => {
    const who = [
      { ...hand, absent },
      { ...hand, absent: 0 },
    ];
    const asked = { ...p, sessions: p.sessions.map((s) => ({ ...s, people: 2, who })) };
    const { plan } = best(asked);
    let both = 0;
    for (let no = 0; no < n; no++)
      both += liveOnce([asked], plan, 5, no).problem.sessions.filter((s) => s.people === 2).length;
    return both / (n * asked.sessions.length);
  };
  it('who never comes never does, who always does, always', () => {
    expect(sessions(1, 4)).toBe(0);
    expect(sessions(0, 4)).toBe(1);
  });
  it('who stays away three times in ten is there seven', () => expect(sessions(0.3, 60)).toBeCloseTo(0.7, 1));
});

describe('the nine cases of the air', () => {
  it('are the middles of the ninths of a normal distribution', () => {
    // z of 17/18, 15/18, 13/18 and 11/18 by tables of the normal distribution.
    expect([...LEANS].reverse().slice(0, 5)).toEqual([1.593, 0.967, 0.589, 0.282, 0]);
    expect(LEANS.reduce<number>((s, z) => s + z, 0)).toBeCloseTo(0, 9);
  });
  it('leave what was measured, and lean the forecast by half a kelvin now and two at its end', () => {
    const stretch = (fromMs: number, spreadK?: number) => ({
      fromMs,
      toMs: fromMs + HOUR_MS,
      fromC: 10,
      toC: 10,
      fromVapourHpa: 8,
      toVapourHpa: 8,
      source: 'forecast' as const,
      ...(spreadK === undefined ? {} : { spreadK }),
    });
    const endMs = NOW + 4 * DAY_MS;
    const air = [stretch(NOW - HOUR_MS), stretch(NOW), stretch(NOW + 2 * DAY_MS), stretch(endMs, 2.5632)];
    const out = leaned(air, 1, NOW, endMs).map((s) => s.fromC);
    // Half way through it is 1.25 K; past it a spread of 2.5632 K is two of 1.2816 σ, so 2 K.
    expect(out[0]).toBe(10);
    expect(out[1]).toBeCloseTo(10.5, 9);
    expect(out[2]).toBeCloseTo(11.25, 9);
    expect(out[3]).toBeCloseTo(12, 9);
  });
});

describe('a plan lived through', () => {
  const shops = Array.from({ length: 6 }, (_, i) => randomShop(400 + i, NOW));
  it('is the same for the same seed and number, and another for another', () => {
    const p = shops.find((s) => s.parts.length > 1)!;
    const { plan } = best(p);
    const ends = (no: number): string => JSON.stringify([...replayOnce([p], plan, 5, no).finishedMs]);
    expect(ends(1)).toBe(ends(1));
    expect(new Set(Array.from({ length: 8 }, (_, no) => ends(no))).size).toBeGreaterThan(1);
  });
  it('breaks nothing that a plan may not break, whatever falls out: only a day that was fit against the odds', () => {
    for (const p of shops) {
      const { plan } = best(p);
      for (let no = 0; no < 3; no++) {
        const { problem, made } = liveOnce([p], plan, 9, no);
        const codes = checkPlan(problem, made).map((b) => b.code);
        expect(codes.filter((c) => c !== 'air')).toEqual([]);
      }
    }
  }, 60_000);
  it('begins nothing before the session it is planned for', () => {
    for (const p of shops.slice(0, 6)) {
      const { plan } = best(p);
      const { made } = liveOnce([p], plan, 2, 0);
      for (const item of made.items) {
        const was = plan.items.find((i) => i.opId === item.opId);
        const session =
          was && plan.sessions.find((s) => s.fromMs <= was.spans[0]!.fromMs && was.spans[0]!.fromMs < s.toMs);
        if (session) expect(item.spans[0]!.fromMs).toBeGreaterThanOrEqual(session.fromMs);
      }
    }
  }, 60_000);
});

describe('what replays come to', () => {
  const machine = { machineId: 'm', name: 'Tug', dueMs: NOW + 10 * DAY_MS, weight: 1 };
  const base = randomShop(400, NOW);
  const part = { ...base.parts[0]!, machineId: 'm' };
  const p: PlanProblem = { ...base, parts: [part], machines: [machine] };
  const plan = { sessions: [], items: [], runs: [], left: [] };
  const done = (days: number | null): Replay => ({
    finishedMs: new Map(days === null ? [] : [[part.partId, NOW + days * DAY_MS]]),
    shut: [],
  });
  it('half by the middle one, four in five by the fourth, in time as often as it was (counted by hand)', () => {
    const [m] = holdsOf(p, plan, [12, 8, 9, 20, 10].map(done)).machines;
    expect(m!.p50Ms).toBe(NOW + 10 * DAY_MS);
    // Of five, the 80th percentile lies a fifth of the way from 12 to 20 (Hyndman & Fan 1996, type 7): 13.6 days.
    expect(m!.p80Ms).toBe(NOW + 13.6 * DAY_MS);
    expect(m!.inTime).toBeCloseTo(3 / 5, 9);
  });
  it('what is not done in one of three is not done four times in five, and no day is made up for it', () => {
    const [m] = holdsOf(p, plan, [8, null, 9].map(done)).machines;
    expect([m!.p50Ms, m!.p80Ms]).toEqual([NOW + 9 * DAY_MS, null]);
    expect(m!.doneMs).toHaveLength(2);
  });
  it('a window that shut is named with how often; one that the plan mends itself is not', () => {
    const opId = part.ops.find((o) => o.coat)!.opId;
    const shut = (ids: readonly string[]): Replay => ({ finishedMs: new Map(), shut: ids });
    expect(holdsOf(p, plan, [shut([opId]), shut([]), shut([opId]), shut([])]).windows).toMatchObject([
      { opId, partName: part.name, share: 0.5 },
    ]);
    const binds = { by: 'now', opId: null, edgeMs: null } as const;
    const mend = { opId: `${opId}/mend`, spans: [], people: 1, runId: null, binds };
    expect(holdsOf(p, { ...plan, items: [mend] }, [shut([opId])]).windows).toEqual([]);
  });
});

describe('what might help', () => {
  it('is one hand, one painter, or heat where coats are laid; without such a place heat is no change', () => {
    expect(HELPS.map((h) => askWith(ASK, h, 0, 1))).toMatchObject([
      { people: ASK.people, extra: { people: 1, painters: 0 } },
      { people: ASK.people, extra: { people: 1, painters: 1 } },
      null,
    ]);
    expect(askWith({ ...ASK, coatPlaceId: 'booth' }, 'heat', 5, 9)?.heat).toEqual([
      { placeId: 'booth', fromMs: 5, toMs: 9, airC: HELP_HEAT_C },
    ]);
  });
});
