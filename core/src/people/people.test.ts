import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { StockFact, StockFactOf } from '../facts/stock.ts';
import { CATALOGUE_SHEETS } from '../products/catalogue/index.ts';
import { coatTakes, handsTrouble, mayDo, stripTakes } from './inductions.ts';
import { inToday } from './inToday.ts';
import { INDUCTIONS, type Induction } from './kinds.ts';

let n = 0;
const entry = (atMs: number) => ({
  factId: `e${(n += 1)}`,
  happenedAtMs: atMs,
  recordedAtMs: atMs,
  personId: 'lead',
  deviceId: 'd',
  supersedes: null,
});
const inducted = (whoId: string, to: Induction, atMs: number, until?: string): StockFactOf<'inducted'> => ({
  ...entry(atMs),
  kind: 'inducted',
  body: { whoId, to, ...(until === undefined ? {} : { until }) },
});
const DAY = 86_400_000;
const at = (day: string) => ({ ms: Date.parse(`${day}T12:00:00Z`), day });
const ms = (day: string): number => Date.parse(`${day}T08:00:00Z`);
const ida = { personId: 'ida', minorUntil: null };
const tom = { personId: 'tom', minorUntil: null };

describe('who may do what', () => {
  const stock: StockFact[] = [inducted('ida', 'spray', ms('2026-01-10'), '2027-01-10')];
  it('nobody was ever down for it: the shop does not keep such a list, and that is said', () =>
    expect(mayDo(stock, ida, 'blast', at('2026-03-01'))).toEqual({ state: 'not-kept' }));
  it.each([
    ['before it was shown', '2026-01-09', 'none'],
    ['on the day itself', '2026-01-10', 'inducted'],
    ['on its last day', '2027-01-10', 'inducted'],
    ['the day after', '2027-01-11', 'lapsed'],
  ])('%s, %s: %s', (_, day, state) => expect(mayDo(stock, ida, 'spray', at(day)).state).toBe(state));
  it('one who is not down for what others are is not shown yet', () =>
    expect(mayDo(stock, tom, 'spray', at('2026-03-01'))).toEqual({ state: 'none' }));
  it('shown again, the later day counts; shown for good, it never lapses', () => {
    const again = [...stock, inducted('ida', 'spray', ms('2026-12-01'), '2028-01-10')];
    expect(mayDo(again, ida, 'spray', at('2027-06-01'))).toEqual({
      state: 'inducted',
      untilDay: '2028-01-10',
    });
    expect(
      mayDo([...again, inducted('ida', 'spray', ms('2026-12-02'))], ida, 'spray', at('2040-01-01')),
    ).toEqual({ state: 'inducted', untilDay: null });
  });
  it('an induction that was taken back is none', () => {
    const voided: StockFact = {
      ...entry(ms('2026-02-01')),
      kind: 'stock-voided',
      supersedes: stock[0]!.factId,
      body: {},
    };
    expect(mayDo([...stock, voided], ida, 'spray', at('2026-03-01'))).toEqual({ state: 'not-kept' });
  });
  it('under age, isocyanate, blasting, hoist and hot work are kept from them though they were shown; other spraying is not', () => {
    const kid = { personId: 'kid', minorUntil: '2026-09-01' };
    const shown = INDUCTIONS.map((to) => inducted('kid', to, ms('2026-01-10')));
    expect(INDUCTIONS.filter((to) => mayDo(shown, kid, to, at('2026-08-31')).state === 'minor')).toEqual([
      'air-fed',
      'blast',
      'lift',
      'hot-work',
    ]);
    // From the day itself they are of age.
    expect(INDUCTIONS.map((to) => mayDo(shown, kid, to, at('2026-09-01')).state)).toEqual(
      INDUCTIONS.map(() => 'inducted'),
    );
  });
  it('law: an induction more never takes anything from its owner, and gives nothing to another', () => {
    const to = fc.constantFrom(...INDUCTIONS);
    const day = fc
      .integer({ min: 0, max: 900 })
      .map((d) => new Date(ms('2026-01-01') + d * DAY).toISOString().slice(0, 10));
    const one = fc.tuple(fc.constantFrom('ida', 'tom'), to, day, fc.option(day, { nil: undefined }));
    fc.assert(
      fc.property(
        fc.array(one, { maxLength: 8 }),
        one,
        to,
        day,
        (list, [who, kind, since, until], asked, on) => {
          const facts = list.map(([w, t, s, u]) => inducted(w, t, ms(s), u));
          const more = [...facts, inducted(who, kind, ms(since), until)];
          for (const person of [ida, tom]) {
            const before = mayDo(facts, person, asked, at(on)).state;
            const after = mayDo(more, person, asked, at(on)).state;
            if (person.personId === who && before === 'inducted') expect(after).toBe('inducted');
            if (person.personId !== who && after === 'inducted') expect(before).toBe('inducted');
          }
        },
      ),
      { seed: 7, numRuns: 300 },
    );
  });
});

describe('what an act takes', () => {
  const isocyanate = CATALOGUE_SHEETS.find((s) => s.cautions.includes('isocyanate'))!;
  const other = CATALOGUE_SHEETS.find((s) => s.productId === 'epoxy-primer')!;
  it('isocyanate sprayed takes air-fed breathing before the gun, also from an aerosol; by brush neither', () => {
    expect(coatTakes(isocyanate, 'gun')).toEqual(['air-fed', 'spray']);
    expect(coatTakes(isocyanate, 'aerosol')).toEqual(['air-fed']);
    expect(coatTakes(isocyanate, 'brush')).toEqual([]);
    expect(coatTakes(other, 'gun')).toEqual(['spray']);
    expect(coatTakes(other, 'aerosol')).toEqual([]);
  });
  it('a blast takes the blaster’s, a scraper nobody’s', () => {
    expect([stripTakes('blast'), stripTakes('bead'), stripTakes('scraper')]).toEqual([
      ['blast'],
      ['blast'],
      [],
    ]);
  });
  it('the gravest that is missing is said first', () => {
    const found = handsTrouble('tom', coatTakes(isocyanate, 'gun'), () => ({ state: 'none' }));
    expect(found).toMatchObject({ why: 'not-inducted', to: 'air-fed', personId: 'tom' });
    expect(handsTrouble('tom', ['spray'], () => ({ state: 'not-kept' }))).toBeNull();
  });
});

describe('who is in', () => {
  const came = (whoId: string, atMs: number): StockFact => ({
    ...entry(atMs),
    kind: 'came',
    body: { whoId },
  });
  const left = (whoId: string, atMs: number): StockFact => ({
    ...entry(atMs),
    kind: 'left',
    body: { whoId },
  });
  const t = (time: string): number => Date.parse(`2026-03-05T${time}:00Z`);
  it('whoever came and has not left, since when; signed in twice, the first time counts', () => {
    const stock = [
      came('ida', t('18:00')),
      came('tom', t('18:10')),
      came('ida', t('18:30')),
      left('tom', t('19:00')),
    ];
    expect(inToday(stock, 'UTC', t('19:30'))).toEqual([{ personId: 'ida', sinceMs: t('18:00') }]);
    expect(inToday(stock, 'UTC', t('18:20')).map((p) => p.personId)).toEqual(['ida', 'tom']);
  });
  it('a new day of the shop’s begins with nobody, though they forgot to go', () => {
    const stock = [came('ida', t('18:00'))];
    // 23:30 UTC is the next day in Berlin, and the same day in Lisbon (tz database, winter time).
    expect(inToday(stock, 'Europe/Lisbon', t('23:30'))).toHaveLength(1);
    expect(inToday(stock, 'Europe/Berlin', t('23:30'))).toEqual([]);
  });
});
