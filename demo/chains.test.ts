import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import {
  deriveShop,
  coatedFace,
  coatVerdict,
  NO_CAPACITY,
  plainAsk,
  makePlans,
  planProblem,
  planView,
  shopStateOf,
  type Capacity,
  type PlanAsk,
  type Snapshot,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from './alive.ts';

type PlanOp = ReturnType<typeof planProblem>['parts'][number]['ops'][number];
const file = JSON.parse(readFileSync(new URL('./scenario/shop.json', import.meta.url), 'utf8')) as ShopFile;
const nowMs = Date.parse(file.asOf);
const air = airAt(file, nowMs);

/** The demo with its things holding as much as is said, and without the record of some parts: as before anybody began. */
function shop(over: Partial<Capacity>, begunAnew: readonly string[] = []): Snapshot {
  const record = recordAt(file, nowMs);
  const capacity = { ...NO_CAPACITY, ...over };
  return deriveShop(
    shopStateOf({
      ...record,
      workshop: { ...record.workshop, means: { ...record.workshop.means, capacity } },
      facts: record.facts.filter(
        (f) => !begunAnew.includes(f.partId) || ['surveyed', 'moved', 'route-set'].includes(f.kind),
      ),
    }),
    air,
    nowMs,
  );
}
const askFor = (machineId: string): PlanAsk => plainAsk([machineId], { weeks: 8, coatPlaceId: 'booth' });
const chain = (s: Snapshot, partId: string) => {
  const { machineId } = s.parts.get(partId)!.row;
  const { parts, asks } = planProblem(s, air, askFor(machineId));
  const part = parts.find((p) => p.partId === partId);
  return { ops: part?.ops ?? [], bare: part?.bare ?? null, asks: asks.filter((a) => a.partId === partId) };
};
const LYING = shop({ hangKg: 40, hoists: 1 });
const short = (ops: readonly PlanOp[]): string[] =>
  ops.map((o) => `${o.kind} ${o.opId.split('/').slice(1).join('/')}`);

describe('a part that is too heavy to hang lies, and is turned between its faces (docs/plan.md 4)', () => {
  // The cab roof of the demo: 52 kg, two faces, 2.6 m², primed; it stands in the shed and is coated in the booth.
  const ROOF = 'quarry.cab-roof';
  it('hung it is one coat of both faces, and never turned', () => {
    const { ops } = chain(shop({ hangKg: 60 }), ROOF);
    expect(ops.some((o) => o.kind === 'turn')).toBe(false);
    expect(ops.filter((o) => o.coat).map((o) => o.coat!.areaM2)).toEqual([2.6, 2.6]);
  });
  it('lying it has a coat for each face, half the area each, and turns only when the other face is next', () => {
    const { ops } = chain(LYING, ROOF);
    const coats = ops.filter((o) => o.coat || o.kind === 'turn');
    expect(coats.map((o) => (o.coat ? (o.opId.includes(':b/') ? 'second' : 'first') : 'turn'))).toEqual([
      'first',
      'turn',
      'second',
      'second',
      'turn',
      'first',
    ]);
    expect(coats.flatMap((o) => (o.coat ? [o.coat.areaM2] : []))).toEqual([1.3, 1.3, 1.3, 1.3]);
  });
  it('it lies down on a film that may be handled, with two at the hoist', () => {
    const turns = chain(LYING, ROOF).ops.filter((o) => o.kind === 'turn');
    for (const t of turns)
      expect([t.needs, t.leastPeople, t.handsMin, t.holds.map((h) => h.thing)]).toEqual([
        'handle',
        2,
        // Fifteen minutes, two people (docs/plan.md 4).
        30,
        ['hoist'],
      ]);
  });
  it('each coat goes on what its own face has', () => {
    const { ops } = chain(LYING, ROOF);
    const coats = ops.filter((o) => o.coat);
    const under = coats.map((o) => o.coat!.on.map((u) => (u.kind === 'op' ? u.opId : u.kind)).join());
    expect(under).toEqual(['film', 'film', coats[1]!.opId, coats[0]!.opId]);
  });
  it('with nobody to lift it and no hoist, it is said what lets it in', () => {
    // A part of a hundred kilos and more is not turned by four.
    const s = shop({ hangKg: 40, hoists: 0 });
    const heavy = [...s.parts.values()].find(
      (p) => (p.row.massKg ?? 0) > 100 && p.placeId !== 'booth' && p.steps.length > 0,
    )!;
    const { asks } = chain(s, heavy.row.partId);
    expect(asks.map((a) => a.lack)).toContain('no-hoist');
  });

  it('a plan of the whole locomotive with it holds', () => {
    const problem = planProblem(LYING, air, askFor('quarry'));
    const made = makePlans(problem).next().value.best;
    expect(made.plan.items.filter((i) => /turn\d$/.test(i.opId)).length).toBeGreaterThan(2);
    expect(planView(LYING, problem, made).breaches).toEqual([]);
  });

  describe('bare, its second face is prepared in the session that coats it', () => {
    const { ops, bare } = chain(shop({ hangKg: 40, hoists: 1 }, [ROOF]), ROOF);
    const first = ops.findIndex((o) => o.coat);
    const turn = ops.findIndex((o) => o.kind === 'turn');
    const second = ops.findIndex((o, i) => i > turn && o.coat);
    it('nothing of it is done', () => {
      expect(bare).toBeNull();
      expect(first).toBeGreaterThan(2);
    });
    it('between the turn and its first coat stands what lays it bare, and all that follows', () => {
      const between = ops.slice(turn + 1, second);
      expect(between.some((o) => o.bares !== null)).toBe(true);
      const bared = ops.slice(0, first).filter((o) => ['strip', 'wash', 'abrade', 'dry'].includes(o.kind));
      expect(between.map((o) => o.kind)).toEqual(
        bared.slice(bared.findIndex((o) => o.bares)).map((o) => o.kind),
      );
    });
    const whole = chain(shop({ hangKg: 60 }, [ROOF]), ROOF).ops;
    it('the hands of both halves are those of the whole, to a minute each', () => {
      for (const o of ops.slice(turn + 1, second)) {
        const of = whole.find((w) => `${w.opId}:b` === o.opId)!;
        const half = ops.find((h) => h.opId === of.opId)!;
        expect(Math.abs(half.handsMin + o.handsMin - of.handsMin)).toBeLessThanOrEqual(1);
      }
    });
    it('both first coats go on bare metal', () => {
      for (const i of [first, second]) expect(ops[i]!.coat!.on.map((u) => u.kind)).toEqual(['bare']);
    });
  });
});

describe('what somebody else does elsewhere', () => {
  const { ops } = chain(shop({ hoists: 1 }), 'saltern.float-port');
  const [take, fetch] = [ops.find((o) => o.kind === 'take')!, ops.find((o) => o.kind === 'fetch')!];
  it('is taken away and fetched, an hour each of as many as lift it (common practice)', () => {
    // The float weighs 64 kg: two at the hoist.
    expect([take.handsMin, take.leastPeople, fetch.handsMin, fetch.leastPeople]).toEqual([120, 2, 120, 2]);
    expect(ops.indexOf(fetch)).toBe(ops.indexOf(take) + 1);
  });
  it('stays seventeen days (docs/plan.md 5), and is bare from the day it is fetched', () => {
    expect([take.waitHours, fetch.waitHours]).toEqual([17 * 24, 0]);
    expect(take.bares).not.toBeNull();
    expect(fetch.bares).toBeNull();
  });
  it('asks for no blaster of ours', () =>
    expect(short(ops).filter((o) => /strip.*blast/.test(o))).toEqual([]));
});

describe('what was sent away', () => {
  const PORT = 'saltern.float-port';
  const DAY_MS = 86_400_000;
  /** The demo, and somebody wrote down that the float left three days ago. */
  const sent = (backDay: string | null, later: readonly object[] = []): Snapshot => {
    const record = recordAt(file, nowMs);
    const entry = (kind: string, atMs: number, body: object) => ({
      factId: `00000000-0000-4000-8000-${String(atMs).slice(-12).padStart(12, '0')}`,
      partId: PORT,
      kind,
      face: null,
      personId: 'ines',
      happenedAtMs: atMs,
      endedAtMs: null,
      recordedAtMs: atMs,
      supersedes: null,
      body,
    });
    const left = entry('sent', nowMs - 3 * DAY_MS, { to: 'Quay Blasting', ...(backDay ? { backDay } : {}) });
    const facts = [...record.facts, left, ...later] as typeof record.facts;
    const { means } = record.workshop;
    const capacity = { ...NO_CAPACITY, hoists: 1 };
    const workshop = { ...record.workshop, means: { ...means, capacity } };
    return deriveShop(shopStateOf({ ...record, workshop, facts }), air, nowMs);
  };
  const partIn = (s: Snapshot, over: Partial<PlanAsk> = {}) =>
    planProblem(s, air, { ...askFor('saltern'), ...over }).parts.find((p) => p.partId === PORT)!;

  it('is not taken away again: it is fetched, bare from then on, and nothing of it before its day', () => {
    const part = partIn(sent('2026-03-20'));
    expect(part.ops.map((o) => o.kind)).not.toContain('take');
    expect([part.ops[0]!.kind, part.ops[0]!.bares !== null]).toEqual(['fetch', true]);
    // London is on UTC until the 29th.
    expect(part.backMs).toBe(Date.parse('2026-03-20T00:00Z'));
    const problem = planProblem(sent('2026-03-20'), air, askFor('saltern'));
    const { plan } = makePlans(problem).next().value.best;
    for (const i of plan.items.filter((x) => x.opId.startsWith(PORT)))
      expect(i.spans[0]!.fromMs).toBeGreaterThanOrEqual(part.backMs!);
  });
  it('with no day promised it is looked for seventeen days after it left (docs/plan.md 5); late is later', () => {
    expect(partIn(sent(null)).backMs).toBe(nowMs + 14 * DAY_MS);
    expect(partIn(sent(null), { lateDays: 7 }).backMs).toBe(nowMs + 21 * DAY_MS);
  });
  it('is shown as away, with where and until when, and no coat goes on it without a reason', () => {
    const { state } = sent('2026-03-20').parts.get(PORT)!;
    expect(state.headline).toBe('sent');
    expect(state.lead.act).toEqual({ code: 'fetch', to: 'Quay Blasting', backDay: '2026-03-20' });
    const sheet = [...sent(null).shop.sheets.values()][0]!;
    expect(coatVerdict(coatedFace(state.lead), sheet, null, nowMs)?.why).toBe('sent');
  });
  it('back, or moved here, it is here', () => {
    const at = { factId: 'b0000000-0000-4000-8000-000000000001', partId: PORT, face: null, personId: 'ines' };
    const when = { happenedAtMs: nowMs - DAY_MS, endedAtMs: null, recordedAtMs: nowMs, supersedes: null };
    for (const [kind, body] of [
      ['came-back', {}],
      ['moved', { placeId: 'booth' }],
    ] as const)
      expect(sent(null, [{ ...at, ...when, kind, body }]).parts.get(PORT)!.state.headline).not.toBe('sent');
  });
});

describe('sessions that are only supposed, and a part’s own days', () => {
  const asked = (over: Partial<PlanAsk>) => planProblem(LYING, air, { ...askFor('quarry'), ...over });
  // The demo's moment is Thursday evening, 5 March 2026; nobody comes on a Sunday (any calendar).
  const sunday = { fromMs: Date.parse('2026-03-08T10:00Z'), toMs: Date.parse('2026-03-08T13:00Z') };
  const saturday = { fromMs: Date.parse('2026-03-07T12:00Z'), toMs: Date.parse('2026-03-07T18:00Z') };
  it('a Sunday is one more, with its own hands; one that overlaps a session gives way', () => {
    const [without, with_] = [asked({}), asked({ added: [{ ...sunday, people: 3, painters: 1 }] })];
    expect(with_.sessions.length).toBe(without.sessions.length + 1);
    const own = with_.sessions.find((s) => s.fromMs === sunday.fromMs)!;
    expect([own.people, own.who.filter((h) => h.sprays).length]).toEqual([3, 1]);
    expect(asked({ added: [{ ...saturday, people: 3, painters: 1 }] }).sessions).toEqual(without.sessions);
  });
  it('a part’s days begin and end where the shop is', () => {
    const partId = 'quarry.cab-roof';
    const { parts } = asked({ parts: [{ partId, fromDay: '2026-03-28', byDay: '2026-03-29' }] });
    const { notBeforeMs, dueMs } = parts.find((p) => p.partId === partId)!;
    // London goes on to summer time in the night to the 29th: that day is over at 23:00 UTC.
    expect([notBeforeMs, dueMs]).toEqual([Date.parse('2026-03-28T00:00Z'), Date.parse('2026-03-29T23:00Z')]);
  });
});

describe('what if coats are laid by something else', () => {
  const tools = (tool: PlanAsk['tool']): Set<string> =>
    new Set(
      planProblem(LYING, air, { ...askFor('quarry'), tool: tool ?? null }).parts.flatMap((p) =>
        p.ops.flatMap((o) => (o.coat ? [`${o.coat.sheet.binder} ${o.coat.tool}`] : [])),
      ),
    );
  it('by brush where the sheet allows one, else as the route says; a brush takes no air', () => {
    const [said, brushed] = [tools(null), tools('brush')];
    expect([...brushed].some((t) => t.endsWith(' brush'))).toBe(true);
    expect([...brushed].filter((t) => t.endsWith(' gun')).length).toBeLessThan(
      [...said].filter((t) => t.endsWith(' gun')).length,
    );
    const { parts } = planProblem(LYING, air, { ...askFor('quarry'), tool: 'brush' });
    for (const o of parts.flatMap((p) => p.ops))
      if (o.coat) expect([o.opId, o.holds.length]).toEqual([o.opId, o.coat.tool === 'gun' ? 1 : 0]);
  });
});

describe('what if another product took the place of one', () => {
  const with_ = (machineId: string, from: string, to: string) =>
    planProblem(LYING, air, { ...askFor(machineId), product: { from, to } });
  const laid = (p: ReturnType<typeof with_>, productId: string): string[] =>
    p.parts.flatMap((x) => (x.ops.some((o) => o.coat?.sheet.productId === productId) ? [x.name] : []));

  it('zinc-rich goes on steel alone (ISO 12944-5): stainless handrails keep their epoxy, steel horn guides do not', () => {
    const p = with_('quarry', 'epoxy-primer', 'zinc-epoxy');
    expect(p.kept.map((k) => [k.name, k.refusals.some((r) => r.ruleId === 'zinc.steel-only')])).toEqual([
      ['Handrails', true],
    ]);
    expect(laid(p, 'zinc-epoxy')).toEqual(['Horn guides']);
    // Spring hangers and bunker have its first coat on: a product is not changed in the middle.
    expect(laid(p, 'epoxy-primer')).toEqual(['Spring hangers', 'Bunker', 'Handrails']);
  });
  it('a finish that the heat would burn stays off the smokebox saddle (common practice, no published source)', () => {
    const { kept } = with_('quarry', 'heat-black', 'engine-enamel');
    expect(kept.flatMap((k) => k.refusals.map((r) => r.ruleId))).toContain('heat.limit');
  });
  it('where it suits, it is laid with its own film and its own minutes, and nothing else changes', () => {
    const [was, is] = [planProblem(LYING, air, askFor('quarry')), with_('quarry', 'gloss-2k', 'engine-2k')];
    expect([laid(was, 'engine-2k'), laid(is, 'gloss-2k'), is.kept]).toEqual([[], [], []]);
    expect(laid(is, 'engine-2k')).toEqual(laid(was, 'gloss-2k'));
    for (const o of is.parts.flatMap((x) => x.ops))
      if (o.coat?.sheet.productId === 'engine-2k') expect(o.coat.dftUm).toBe(o.coat.sheet.dftUm);
    const others = (p: typeof was) =>
      p.parts.flatMap((x) => x.ops.flatMap((o) => (o.coat ? [] : [`${o.opId} ${o.handsMin}`])));
    expect(others(is)).toEqual(others(was));
  });
  it('nothing of it to come: all is as it was', () => {
    const { kept, parts } = with_('pump', 'bitumen', 'enamel');
    expect([kept, short(parts.flatMap((x) => x.ops))]).toEqual([
      [],
      short(planProblem(LYING, air, askFor('pump')).parts.flatMap((x) => x.ops)),
    ]);
  });
});

describe('places that share their air', () => {
  it('are one, in whatever direction it was said', () => {
    const record = recordAt(file, nowMs);
    const airOf: Readonly<Record<string, string>> = { booth: 'shed', leanto: 'booth' };
    const places = record.places.map((p) => ({ ...p, airOfId: airOf[p.placeId] ?? null }));
    const snapshot = deriveShop(shopStateOf({ ...record, places }), air, nowMs);
    const { airs } = planProblem(snapshot, air, askFor('pump'));
    expect(new Set(['booth', 'shed', 'leanto'].map((id) => airs[id])).size).toBe(1);
    expect(new Set(Object.values(planProblem(LYING, air, askFor('pump')).airs)).size).toBe(3);
  });
});
