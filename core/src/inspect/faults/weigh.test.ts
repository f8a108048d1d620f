import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/random.ts';
import { askOf, asksFor } from './ask.ts';
import { OPPOSITES } from './codes.ts';
import { EVIDENCE_CODES, type EvidenceCode } from './ids.ts';
import { causesOf, ONLY, seenAfter, type Cause, type Speaks } from './table.ts';
import { FAULTS } from './ids.ts';
import {
  candidatesOf,
  entropyBits,
  weigh,
  weighThese,
  type Candidate,
  type Evidence,
  type Told,
} from './weigh.ts';

const YES: Told = { says: 'yes', isWeak: false };
const NO: Told = { says: 'no', isWeak: false };
const told = (list: Readonly<Partial<Record<EvidenceCode, Told>>>): Evidence =>
  new Map(Object.entries(list) as [EvidenceCode, Told][]);
/** Three causes, 3 : 2 : 1, as the checks have them. */
const three = (a: Speaks, b: Speaks, c: Speaks): Candidate[] =>
  [a, b, c].map((speaks, i) => {
    const cause: Cause = { causeId: `c${i + 1}`, prior: (3 - i) as 1 | 2 | 3, speaks, only: null };
    return { fault: 'sag', cause, prior: 3 - i };
  });
const pct = (candidates: readonly Candidate[], evidence: Evidence): string[] => {
  const w = weighThese(candidates, evidence);
  const by = new Map(w.causes.map((c) => [c.causeId, c.share]));
  return [...['c1', 'c2', 'c3'].map((id) => by.get(id)!), w.otherShare].map((s) => (100 * s).toFixed(2));
};

// By hand from the rule of docs/inspect.md 11 and 12.
describe('the weights', () => {
  const plain = three(
    { against: ['draught'] },
    { forStrong: ['draught'], for: ['tip-wrong'] },
    { for: ['tip-wrong'] },
  );
  it('++ for the second, − for the first', () => {
    expect(pct(plain, told({ draught: YES }))).toEqual(['5.46', '87.36', '5.46', '1.72']);
  });
  it('then + for the second and third', () => {
    expect(pct(plain, told({ draught: YES, 'tip-wrong': YES }))).toEqual(['1.91', '91.75', '5.73', '0.60']);
  });
  it('a no to what speaks strongly for the first alone', () => {
    expect(pct(three({ forStrong: ['draught'] }, {}, {}), told({ draught: NO }))).toEqual([
      '10.16',
      '54.19',
      '27.09',
      '8.56',
    ]);
  });
  it('what a question is expected to settle', () => {
    const asked = three({ against: ['draught'] }, { forStrong: ['draught'] }, {});
    expect(entropyBits(weighThese(asked, new Map()))).toBeCloseTo(1.67259, 5);
    const ask = askOf(asked, new Map(), 'draught', false);
    expect(ask.yesChance).toBeCloseTo(0.32222, 5);
    expect(ask.gainBits).toBeCloseTo(0.53402, 5);
    const no = weighThese(asked, told({ draught: NO }));
    expect(no.causes.map((c) => (100 * c.share).toFixed(3))).toEqual(['67.486', '20.765', '5.191']);
    expect((100 * no.otherShare).toFixed(3)).toBe('6.557');
  });
  it('of codes that are any of, two count once; all of them no count as one no', () => {
    const one = three({ forStrong: ['draught', 'tip-wrong'] }, {}, {});
    expect(pct(one, told({ draught: YES, 'tip-wrong': YES }))).toEqual(pct(one, told({ draught: YES })));
    expect(pct(one, told({ draught: NO }))).toEqual(pct(one, new Map()));
    expect(pct(one, told({ draught: NO, 'tip-wrong': NO }))[0]).toBe('10.16');
  });
  it('of one thing seen twice the stronger counts', () => {
    const twice = three({ forStrong: ['film-thick'], for: ['stacked-slow'] }, {}, {});
    expect(pct(twice, told({ 'film-thick': YES, 'stacked-slow': YES }))).toEqual(
      pct(twice, told({ 'film-thick': YES })),
    );
    // A yes beats a no.
    expect(pct(twice, told({ 'film-thick': NO, 'stacked-slow': YES }))).toEqual(
      pct(three({ for: ['draught'] }, {}, {}), told({ draught: YES })),
    );
    // Two that contradict with equal force say nothing.
    const split = three({ for: ['cold-when-laid'], against: ['cold-while-curing'] }, {}, {});
    expect(pct(split, told({ 'cold-when-laid': YES, 'cold-while-curing': YES }))).toEqual(
      pct(split, new Map()),
    );
  });
  it('what is remembered counts one level less', () => {
    const one = three({ forStrong: ['draught'] }, {}, {});
    const plainFor = three({ for: ['draught'] }, {}, {});
    const weak = { says: 'yes', isWeak: true } as const;
    expect(pct(one, told({ draught: weak }))).toEqual(pct(plainFor, told({ draught: YES })));
    expect(pct(plainFor, told({ draught: weak }))).toEqual(pct(plainFor, new Map()));
  });
});

const can = (fault: (typeof FAULTS)[number]) =>
  ({ faults: [fault], cannotBe: new Set<never>(), seenAfter: null }) as const;

describe('laws', () => {
  const random = seededRandom(77);
  const some = (): Evidence =>
    new Map(
      EVIDENCE_CODES.filter(() => random() < 0.15).map((c): [EvidenceCode, Told] => [
        c,
        { says: random() < 0.5 ? 'yes' : 'no', isWeak: random() < 0.3 },
      ]),
    );
  const sharesOf = (w: ReturnType<typeof weigh>): Record<string, number> =>
    Object.fromEntries([
      ...w.causes.map((c): [string, number] => [c.causeId, c.share]),
      ['other', w.otherShare],
    ]);
  it('shares add up to one, and the order of answers does not matter', () => {
    for (const fault of FAULTS)
      for (let k = 0; k < 40; k++) {
        const evidence = some();
        const w = weigh({ ...can(fault), evidence });
        const back = weigh({ ...can(fault), evidence: new Map([...evidence].reverse()) });
        expect(w.causes.reduce((s, c) => s + c.share, w.otherShare)).toBeCloseTo(1, 9);
        const a = sharesOf(w);
        const b = sharesOf(back);
        for (const key of Object.keys(a)) expect(b[key]).toBeCloseTo(a[key]!, 9);
      }
  });
  it('evidence that no cause of the fault speaks of moves nothing', () => {
    for (const fault of FAULTS) {
      const spoken = new Set(causesOf(fault).flatMap((c) => Object.values(c.speaks).flat()));
      const reached = new Set([
        ...spoken,
        ...OPPOSITES.flatMap(([a, b]) => (spoken.has(a) || spoken.has(b) ? [a, b] : [])),
      ]);
      const before = weigh({ ...can(fault), evidence: new Map() });
      const unrelated = new Map(EVIDENCE_CODES.filter((c) => !reached.has(c)).map((c) => [c, YES]));
      expect(unrelated.size).toBeGreaterThan(0);
      expect(weigh({ ...can(fault), evidence: unrelated })).toEqual(before);
    }
  });
  it('a record in which nothing is wrong says something else, for every fault', () => {
    for (const fault of FAULTS) {
      const evidence: Evidence = new Map(
        causesOf(fault).flatMap((c) => [
          ...[...(c.speaks.forStrong ?? []), ...(c.speaks.for ?? [])].map((code): [EvidenceCode, Told] => [
            code,
            NO,
          ]),
        ]),
      );
      const w = weigh({ ...can(fault), evidence });
      expect([fault, w.verdict]).toEqual([fault, 'something-else']);
    }
  });
  it('every cause can be reached: with all that speaks for it alone it comes first', () => {
    for (const fault of FAULTS)
      for (const c of causesOf(fault)) {
        const codes = [...(c.speaks.forStrong ?? []), ...(c.speaks.for ?? [])];
        const others = causesOf(fault).flatMap((o) =>
          o === c
            ? []
            : [...(o.speaks.forStrong ?? []), ...(o.speaks.for ?? [])].filter((x) => !codes.includes(x)),
        );
        const evidence = new Map<EvidenceCode, Told>([
          ...others.map((x): [EvidenceCode, Told] => [x, NO]),
          ...codes.map((x): [EvidenceCode, Told] => [x, YES]),
        ]);
        const seen = candidatesOf({ ...can(fault), seenAfter: 'days' });
        const w = weighThese(seen, evidence);
        expect([fault, w.causes.slice(0, 2).map((x) => x.causeId)]).toEqual([
          fault,
          expect.arrayContaining([c.causeId]),
        ]);
      }
  });
  it('what a film cannot be is not weighed', () => {
    const w = weigh({ ...can('soft'), cannotBe: new Set(ONLY), evidence: new Map() });
    expect(w.causes.map((c) => c.causeId)).not.toContain('hardener-dead');
    expect(w.causes.map((c) => c.causeId)).toContain('piled');
  });
  it('how long after the coat it was seen, at the edges', () => {
    const day = 86_400_000;
    expect([0, 6.9, 7, 30.9, 31, 364, 365].map((d) => seenAfter(0, d * day))).toEqual([
      'days',
      'days',
      'weeks',
      'weeks',
      'months',
      'months',
      'years',
    ]);
  });
  it('after years, edges come before late priming', () => {
    const first = (when: 'days' | 'years') =>
      weigh({ ...can('rust-through'), seenAfter: when, evidence: new Map() }).causes[0]!.causeId;
    expect([first('days'), first('years')]).toEqual(['primed-late', 'edges-peaks']);
  });
});

describe('what is asked next', () => {
  it('asks only what is not known, and never what can settle nothing', () => {
    for (const fault of FAULTS) {
      const asks = asksFor(candidatesOf(can(fault)), told({ 'film-thick': YES }));
      for (const a of asks) {
        expect(a.gainBits).toBeGreaterThan(0);
        expect(['film-thick', 'film-thin']).not.toContain(a.code);
      }
    }
  });
  it('of questions as good as one another it puts the quickest first', () => {
    const asked = three({ forStrong: ['salt-found'] }, { forStrong: ['rust-left'] }, {});
    const [first] = asksFor(
      asked.map((c) => ({ ...c, prior: 2 })),
      new Map(),
    );
    expect(first?.code).toBe('rust-left');
  });
});
