import { describe, expect, it } from '@jest/globals';
import { DateTime } from 'luxon';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { sheet } from '../test/build.ts';
import { checkPlan, type BreachCode } from './check.ts';
import { costOf } from './cost.ts';
import { Decoder } from './decode.ts';
import { unnamed } from './hands.ts';
import { isMend } from './ids.ts';
import type { Plan, PlanProblem, PlanSession } from './problem.ts';
import { tryPin } from './pin.ts';
import { readPlan } from './reading.ts';
import { air, ASK, coatOp, op, part, problem, surface, ZONE } from './test/shop.ts';
import { LAW_NAMES, movedBy } from './test/lawNames.ts';
import { lawsOver } from './test/laws.ts';
import { PlanWeather } from './weather.ts';

const at = (text: string): number => DateTime.fromISO(text, { zone: ZONE }).toMillis();
const plan = (p: PlanProblem): Plan => new Decoder(p, new PlanWeather(p)).plan(p.parts);
const codes = (p: PlanProblem, made: Plan): BreachCode[] => [
  ...new Set(checkPlan(p, made).map((b) => b.code)),
];
const startOf = (made: Plan, opId: string): number | undefined =>
  made.items.find((i) => i.opId === opId)?.spans[0]?.fromMs;
const session = (from: string, to: string, people = 2): PlanSession => ({
  fromMs: at(from),
  toMs: at(to),
  people,
  who: unnamed(people, 1),
});

/** Thursday evening, steady air. */
const NOW = at('2026-03-05T17:00');
const END = NOW + 28 * DAY_MS;
const steady = (airC: number, rhPct: number) => surface(air(NOW, END, () => ({ airC, rhPct })).track, END);

describe('bare metal in a plan (docs/plan.md, check values: blast ends 19:30, 2 h at 72 %, spraying 40, clean-up 20)', () => {
  const metal = (toMs: string): PlanProblem => {
    const track = steady(18, 72);
    const strip = op('p', 1, { kind: 'strip', handsMin: 60, bares: { kind: 'by-humidity', capHours: 4 } });
    const p = part('p', track, [strip, coatOp('p', 2, [{ kind: 'bare' }], { handsMin: 40 })]);
    return problem(NOW, [p], [session('2026-03-05T18:30', toMs)]);
  };
  /** As drawn up by hand: the blast from 18:30 to 19:30, the coat at a time. */
  const byHand = (coatAt: string): Plan => {
    const fromMs = at(coatAt);
    const toMs = fromMs + 40 * MINUTE_MS;
    const binds = { by: 'now', opId: null, edgeMs: null } as const;
    return {
      sessions: [],
      items: [
        {
          opId: 'p/s1',
          spans: [{ fromMs: at('2026-03-05T18:30'), toMs: at('2026-03-05T19:30') }],
          people: 1,
          runId: null,
          binds,
        },
        { opId: 'p/s2', spans: [{ fromMs, toMs }], people: 1, runId: 'r', binds },
      ],
      runs: [
        {
          runId: 'r',
          sheetId: 's1',
          colour: null,
          tool: 'gun',
          placeId: 'booth',
          fromMs: fromMs - 30 * MINUTE_MS,
          toMs: toMs + 20 * MINUTE_MS,
          opIds: ['p/s2'],
          mixes: 1,
        },
      ],
      left: [],
    };
  };
  it('a session to 21:00 lets it start by 20:00', () => {
    const p = metal('2026-03-05T21:00');
    expect(codes(p, byHand('2026-03-05T20:00'))).toEqual([]);
    expect(codes(p, byHand('2026-03-05T20:05'))).toEqual(['session']);
  });
  it('a session to 23:00 lets it start by 20:50: the limit binds on the last wet pass', () => {
    const p = metal('2026-03-05T23:00');
    expect(codes(p, byHand('2026-03-05T20:50'))).toEqual([]);
    const late = checkPlan(p, byHand('2026-03-05T20:55'));
    expect(late.map((b) => b.code)).toEqual(['bare']);
    expect(late[0]!.limit).toBeCloseTo(at('2026-03-05T21:30'), -3);
  });
  it('what can not follow in time is stripped later, not left bare', () => {
    const p = metal('2026-03-05T23:00');
    const two = {
      ...p,
      sessions: [
        session('2026-03-05T18:30', '2026-03-05T19:45'),
        session('2026-03-07T09:00', '2026-03-07T16:00'),
      ],
    };
    const made = plan(two);
    expect(startOf(made, 'p/s1')).toBeGreaterThanOrEqual(at('2026-03-07T09:00'));
    expect(codes(two, made)).toEqual([]);
  });
});

describe('windows in a plan (epoxy 16/7/3.5 h at 10/20/30 °C on steady 15 °C, coated until Thursday 20:00)', () => {
  const track = steady(15, 50);
  const slow = sheet({ maxRecoatUnlimited: true, applySurfaceMinC: 5, applyAirMinC: 5, cureMinC: 5 });
  const first = coatOp('p', 1, [{ kind: 'bare' }], { sheet: slow });
  const second = coatOp('p', 2, [{ kind: 'op', opId: first.opId }], { sheet: slow });
  const sessions = (fri: string): PlanSession[] => [
    session('2026-03-05T18:30', '2026-03-05T21:00'),
    session(fri, '2026-03-06T12:00'),
    session('2026-03-07T09:00', '2026-03-07T16:00'),
  ];
  it('opens at Friday 08:24:36 at the worst: a session before that is no use', () => {
    const p = problem(NOW, [part('p', track, [first, second])], sessions('2026-03-06T06:00'));
    const made = plan(p);
    const shift = at('2026-03-05T20:00') - made.items[0]!.spans[0]!.toMs;
    const late = movedBy(movedBy(made, 'p/s1', shift), 'p/s2', 0);
    const early = {
      ...late,
      items: late.items.map((i) =>
        i.opId === 'p/s2'
          ? { ...i, spans: [{ fromMs: at('2026-03-06T08:20'), toMs: at('2026-03-06T08:40') }] }
          : i,
      ),
    };
    const breach = checkPlan(p, early).find((b) => b.code === 'opens');
    // 08:24:36, to the second.
    expect(Math.floor(breach!.limit! / 1000)).toBe(at('2026-03-06T08:24:36') / 1000);
    const inTime = {
      ...late,
      items: late.items.map((i) =>
        i.opId === 'p/s2'
          ? { ...i, spans: [{ fromMs: at('2026-03-06T08:25'), toMs: at('2026-03-06T08:45') }] }
          : i,
      ),
    };
    expect(codes(p, inTime)).not.toContain('opens');
  });
  it('with nothing on Friday it goes on on Saturday at nine, setting up first', () => {
    const p = problem(
      NOW,
      [part('p', track, [first, second])],
      sessions('2026-03-06T11:59').filter((_, i) => i !== 1),
    );
    const made = plan(p);
    expect(made.runs.map((r) => r.fromMs)).toEqual([at('2026-03-05T18:30'), at('2026-03-07T09:00')]);
    expect(codes(p, made)).toEqual([]);
  });
  it('a window that shuts before people come again is met by going on later, not by abrading', () => {
    // Shuts 48 h at 20 °C: from Tuesday to Saturday is too long, from Thursday it is not.
    const short = sheet({ applySurfaceMinC: 5, applyAirMinC: 5, cureMinC: 5 });
    const a = coatOp('q', 1, [{ kind: 'bare' }], { sheet: short });
    const b = coatOp('q', 2, [{ kind: 'op', opId: a.opId }], { sheet: short });
    const weeks = [
      session('2026-03-10T18:30', '2026-03-10T21:30'),
      session('2026-03-13T18:30', '2026-03-13T21:30'),
      session('2026-03-14T18:30', '2026-03-14T21:30'),
    ];
    const p = problem(NOW, [part('q', steady(22, 50), [a, b])], weeks);
    const made = plan(p);
    expect(made.items.some((i) => isMend(i.opId))).toBe(false);
    expect(startOf(made, 'q/s1')).toBeGreaterThan(weeks[1]!.fromMs);
    const only = { ...p, sessions: weeks.slice(0, 2) };
    const mended = plan(only);
    expect(mended.items.some((i) => isMend(i.opId))).toBe(true);
    expect(codes(only, mended)).toEqual([]);
  });
});

describe('air in a plan', () => {
  it('what no day of the last weeks allows is not planned, and says that there is no room', () => {
    const cold = part('p', steady(4, 60), [coatOp('p', 1, [{ kind: 'bare' }])]);
    const p = problem(NOW, [cold], [session('2026-03-10T18:30', '2026-03-10T21:30')]);
    expect(plan(p).left.map((l) => l.lack)).toEqual(['no-room']);
  });
  it('the odds are the share of days that held', () => {
    // Three days in ten are damp all day: 97 %, where the sheet allows 85.
    const days = air(NOW, END, (ms) => ({ airC: 18, rhPct: Math.floor(ms / DAY_MS) % 10 < 3 ? 97 : 55 }));
    const track = surface(days.track, END);
    const p = problem(NOW, [part('p', track, [])], []);
    const from = at('2026-03-18T19:00');
    const { odds, status } = new PlanWeather(p).verdict(
      { track, days: track, warm: null },
      sheet(),
      from,
      from + HOUR_MS,
    );
    expect(odds).toBeGreaterThan(0.6);
    expect(odds).toBeLessThan(0.8);
    expect(status).not.toBe('fail');
  });
  it('heat past the forecast is held against the last weeks as they would have been with it on', () => {
    const [cold, warmed] = [steady(4, 60), steady(18, 40)];
    const from = at('2026-03-18T19:00');
    const span = { fromMs: from - 2 * HOUR_MS, toMs: from + 12 * HOUR_MS };
    const heated = { track: cold, days: cold, warm: { spans: [span], days: warmed } };
    const weather = new PlanWeather(problem(NOW, [part('p', cold, [])], []));
    const verdict = (days: number) =>
      weather.verdict(heated, sheet(), from + days * DAY_MS, from + days * DAY_MS + 3 * HOUR_MS);
    expect(verdict(1)).toMatchObject({ status: 'fail', odds: 0 });
    // Its own track is cold still: a casting that the heat has not reached.
    expect(verdict(0).status).toBe('fail');
    const through = { ...heated, track: warmed };
    expect(weather.verdict(through, sheet(), from, from + 3 * HOUR_MS)).toEqual({ status: 'pass', odds: 1 });
    expect(weather.verdict(through, sheet(), from + DAY_MS, from + DAY_MS + 3 * HOUR_MS).odds).toBe(0);
  });
  it('fewer than fourteen days of readings say nothing of the weeks to come', () => {
    const { track } = air(NOW, END, () => ({ airC: 18, rhPct: 50 }));
    const young = track.filter((s) => s.source !== 'usual' && s.toMs > NOW - 10 * DAY_MS);
    const p = problem(
      NOW,
      [part('p', surface(young, END), [coatOp('p', 1, [{ kind: 'bare' }])])],
      [session('2026-03-18T18:30', '2026-03-18T21:30')],
    );
    expect(plan(p).left).toHaveLength(1);
  });
});

describe('a run', () => {
  it('shares setting up and cleaning: three parts of one paint in one evening are one gun-load', () => {
    const track = steady(18, 50);
    const parts = ['a', 'b', 'c'].map((id) => part(id, track, [coatOp(id, 1, [{ kind: 'bare' }])]));
    const p = problem(NOW, parts, [session('2026-03-05T18:30', '2026-03-05T21:30')]);
    const made = plan(p);
    expect(made.runs).toHaveLength(1);
    // 20 set-up, 10 mix, three times 20, 20 clean-up.
    expect((made.runs[0]!.toMs - made.runs[0]!.fromMs) / MINUTE_MS).toBe(110);
    const { lines } = costOf(p, made, readPlan(p, new PlanWeather(p), made));
    expect(lines.find((l) => l.what === 'runs')).toMatchObject({ count: 1, points: 40 });
  });
});

describe('laws, over random shops (docs/plan.md, Laws)', () => {
  // `.ci/run` walks through sixty (`LONG=1`), `PLAN_SHOPS=10000` through ten thousand.
  const shops = Number(process.env['PLAN_SHOPS'] ?? (process.env['LONG'] === '1' ? 60 : 25));
  const found = lawsOver(0, shops);
  it('looked at enough of them, of every sort', () => {
    expect(found.shops).toBe(shops);
    expect(found.coats).toBeGreaterThan(found.shops * 4);
    expect(found.mends).toBeGreaterThan(0);
    expect(found.whole).toBeGreaterThan(found.shops / 3);
  });
  it.each(LAW_NAMES)('%s', (law) => {
    expect(found.broken[law]).toEqual([]);
  });
});

describe('a pin', () => {
  it('holds its work in that session, and what can not be is said', () => {
    const track = steady(18, 50);
    const weeks = [
      session('2026-03-05T18:30', '2026-03-05T21:30'),
      session('2026-03-07T09:00', '2026-03-07T16:00'),
    ];
    const pinned = (sessionMs: number): PlanProblem =>
      problem(NOW, [part('p', track, [op('p', 1), coatOp('p', 2, [{ kind: 'bare' }])])], weeks, {
        ask: { ...ASK, pins: [{ opId: 'p/s2', sessionMs }] },
      });
    const later = pinned(weeks[1]!.fromMs);
    expect(startOf(plan(later), 'p/s2')).toBeGreaterThanOrEqual(weeks[1]!.fromMs);
    expect(codes(later, plan(later))).toEqual([]);
    const before = plan(pinned(weeks[0]!.fromMs));
    const free = problem(NOW, later.parts, weeks);
    const moved = tryPin(free, before, { opId: 'p/s2', sessionMs: weeks[1]!.fromMs });
    expect(moved.holds && startOf(moved.made.plan, 'p/s2')! >= weeks[1]!.fromMs).toBe(true);
    // Half an hour of hands, and setting up: no coat in a session of forty minutes; the next is the nearest.
    const short = problem(NOW, later.parts, [
      session('2026-03-05T18:30', '2026-03-05T19:10'),
      ...weeks.slice(1),
    ]);
    expect(tryPin(short, plan(short), { opId: 'p/s2', sessionMs: weeks[0]!.fromMs })).toMatchObject({
      holds: false,
      nearestMs: weeks[1]!.fromMs,
    });
    const nowhere = pinned(at('2026-03-06T18:30'));
    expect(plan(nowhere).left.map((l) => l.lack)).toEqual(['pin']);
    expect(codes(nowhere, plan(nowhere))).toEqual([]);
    expect(codes(nowhere, { ...plan(nowhere), left: [] })).toEqual(['pin']);
  });
});
