import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { canonicalJson } from '../base/canonical.ts';
import type { Fact, FactBodies, FactKind, FactOf } from '../facts/part.ts';
import type { StockFact } from '../facts/stock.ts';
import { signedText, signState, toSign, workedOn } from './signOff.ts';

const H = 3_600_000;
let n = 0;
/** An entry `hours` from the beginning, written down at once unless said otherwise. */
function fact<K extends FactKind>(
  kind: K,
  hours: number,
  body: FactBodies[K],
  over: Partial<Fact> = {},
): Fact {
  n += 1;
  return {
    factId: `f${String(n).padStart(3, '0')}`,
    kind,
    partId: 'tank',
    face: null,
    happenedAtMs: hours * H,
    endedAtMs: null,
    recordedAtMs: hours * H,
    personId: 'tom',
    deviceId: 'd',
    supersedes: null,
    body,
    ...over,
  } as unknown as Fact;
}
const coat = (hours: number, over: Partial<Fact> = {}, mixId?: string): Fact =>
  fact('coated', hours, { sheetId: 's', dftUm: 60, ...(mixId === undefined ? {} : { mixId }) }, over);
const signed = (
  hours: number,
  facts: readonly Fact[],
  stock: readonly StockFact[] = [],
): FactOf<'signed-off'> => {
  const of = toSign(facts, stock);
  return fact(
    'signed-off',
    hours,
    {
      scope: 'part',
      words: 'seen and good',
      facts: of.facts.map((f) => f.factId),
      stock: of.stock.map((f) => f.factId),
      sha256: 'x',
      openFindings: 0,
    },
    { personId: 'ruth' },
  ) as FactOf<'signed-off'>;
};

describe('JSON in one form', () => {
  it('is as RFC 8785, section 3.2.3, prints it (value quoted from memory)', () => {
    const given = JSON.parse(
      String.raw`{"numbers":[333333333.33333329,1E30,4.50,2e-3,0.000000000000000000000000001],
        "string":"\u20ac$\u000F\u000aA'\u0042\u0022\u005c\\\"\/","literals":[null,true,false]}`,
    );
    expect(canonicalJson(given)).toBe(
      String.raw`{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\u000f\nA'B\"\\\\\"/"}`,
    );
  });
  it('is the same for the same value in any order of its keys, and reads back as itself', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const text = canonicalJson(value);
        expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(value)));
        const turned = (v: unknown): unknown =>
          Array.isArray(v)
            ? v.map(turned)
            : typeof v === 'object' && v !== null
              ? Object.fromEntries(
                  Object.entries(v)
                    .reverse()
                    .map(([k, x]) => [k, turned(x)]),
                )
              : v;
        expect(canonicalJson(turned(value))).toBe(text);
      }),
    );
  });
});

// The table of kinds is this project's own (decision; no published source): each row is one thing that may happen after a signature.
describe('what a sign-off is worth afterwards', () => {
  const before = [fact('stripped', 1, { method: 'blast' }), coat(3), fact('noted', 4, { text: 'x' })];
  const sign = signed(10, before);
  const rows: readonly (readonly [string, Fact, string])[] = [
    ['hours', fact('worked', 11, { on: 'coat', minutes: 30 }), 'standing'],
    ['a note', fact('noted', 11, { text: 'fine day' }), 'standing'],
    ['a picture', fact('pictured', 11, { pictureId: 'p' }), 'standing'],
    ['a move', fact('moved', 11, { placeId: 'shed' }), 'standing'],
    ['a reading afterwards', fact('surface-read', 11, { surfaceC: 12 }), 'standing'],
    [
      'hours of before, written down late',
      fact('worked', 2, { on: 'coat', minutes: 3 }, { recordedAtMs: 12 * H }),
      'standing',
    ],
    ['another coat', coat(11), 'superseded'],
    ['a cut through the film', fact('cut-through', 11, {}), 'superseded'],
    ['a coat of before, written down late', coat(9, { recordedAtMs: 12 * H }), 'invalidated'],
    [
      'a reading of before, written down late',
      fact('tested', 9, { test: 'tack', reached: false }, { recordedAtMs: 12 * H }),
      'invalidated',
    ],
    ['a coat corrected', coat(3, { recordedAtMs: 12 * H, supersedes: before[1]!.factId }), 'invalidated'],
    ['a coat taken back', fact('voided', 12, {}, { supersedes: before[1]!.factId }), 'invalidated'],
    [
      'a note corrected',
      fact('noted', 4, { text: 'y' }, { recordedAtMs: 12 * H, supersedes: before[2]!.factId }),
      'standing',
    ],
    [
      'its signer takes it back',
      fact('voided', 12, {}, { supersedes: sign.factId, personId: 'ruth' }),
      'withdrawn',
    ],
  ];
  it.each(rows)('%s', (_, later, state) => {
    const s = signState(sign, [...before, sign, later], []);
    expect(s.state).toBe(state);
    expect(s.by).toBe(state === 'standing' ? null : later.factId);
  });
  it('work that was taken back again ends nothing; work that was corrected ends it still', () => {
    const more = coat(11);
    const undone = fact('voided', 12, {}, { supersedes: more.factId });
    const corrected = coat(11, { recordedAtMs: 12 * H, supersedes: more.factId });
    expect(signState(sign, [...before, sign, more, undone], []).state).toBe('standing');
    expect(signState(sign, [...before, sign, more, corrected], []).state).toBe('superseded');
  });
  it('what was written down first counts', () => {
    const [late, more] = [coat(9, { recordedAtMs: 13 * H }), coat(12)];
    expect(signState(sign, [...before, sign, late, more], []).by).toBe(more.factId);
  });
  it('a cup or tin that a signed coat came from, corrected, makes it invalid; another one does not', () => {
    const stock = (factId: string, kind: string, body: object, over: object = {}): StockFact =>
      ({
        factId,
        kind,
        happenedAtMs: 0,
        recordedAtMs: 0,
        personId: 'tom',
        deviceId: 'd',
        supersedes: null,
        body,
        ...over,
      }) as unknown as StockFact;
    const shelf = [
      stock('m1', 'mixed', { mixId: 'one', aTinId: 'a', bTinId: 'b' }),
      stock('m2', 'mixed', { mixId: 'two', aTinId: 'c', bTinId: null }),
      stock('ta', 'tin-received', { tinId: 'a' }),
      stock('tc', 'tin-received', { tinId: 'c' }),
    ];
    const facts = [coat(3, {}, 'one')];
    const of = signed(10, facts, shelf);
    expect(of.body.stock).toEqual(['m1', 'ta']);
    const fix = (id: string) => stock('fix', 'stock-voided', {}, { supersedes: id, recordedAtMs: 11 * H });
    expect(signState(of, [...facts, of], [...shelf, fix('ta')])).toEqual({ state: 'invalidated', by: 'fix' });
    expect(signState(of, [...facts, of], [...shelf, fix('tc')]).state).toBe('standing');
  });
  it('a gauge that fails a check afterwards makes what was signed of its readings invalid; one that failed before stood on the page', () => {
    const check = (hours: number, readUm: number): StockFact =>
      ({
        factId: `c${hours}`,
        kind: 'gauge-checked',
        happenedAtMs: hours * H,
        recordedAtMs: hours * H,
        personId: 'tom',
        deviceId: 'd',
        supersedes: null,
        body: { gaugeId: 'red', foils: [{ foilUm: 100, readUm }], tolUm: 2, tolPct: 3 },
      }) as unknown as StockFact;
    const read = fact('film-read', 5, { gaugeId: 'red' } as FactBodies['film-read']);
    const of = signed(10, [read]);
    const state = (...checks: StockFact[]) => signState(of, [read, of], checks);
    expect(state(check(4, 100), check(12, 100)).state).toBe('standing');
    expect(state(check(4, 100), check(12, 130))).toEqual({ state: 'invalidated', by: 'c12' });
    expect(state(check(4, 130)).state).toBe('standing');
    // A good one in between: what was read before it is not looked back at.
    expect(state(check(4, 100), check(8, 100), check(12, 130)).state).toBe('standing');
  });
  it('the text changes with any figure, and not with when or where it was written down', () => {
    const text = (f: Fact): string => signedText(toSign([f], []));
    const one = coat(3);
    expect(text({ ...one, body: { ...one.body, dftUm: 61 } } as Fact)).not.toBe(text(one));
    expect(text({ ...one, happenedAtMs: one.happenedAtMs + 1 })).not.toBe(text(one));
    expect(text({ ...one, recordedAtMs: 99 * H, deviceId: 'other' })).toBe(text(one));
  });
  it('whoever did some of it does not sign for it; whoever only wrote a note may', () => {
    expect(workedOn(before, 'tom')).toBe(true);
    expect(workedOn([fact('worked', 1, { on: 'strip', minutes: 5 }, { personId: 'nell' })], 'nell')).toBe(
      true,
    );
    expect(workedOn([fact('noted', 1, { text: 'x' }, { personId: 'nell' })], 'nell')).toBe(false);
  });
});
