import { describe, expect, it } from '@jest/globals';
import { moneyOf } from './money.ts';

// Digits of each currency: ISO 4217:2015 (EUR and GBP two, JPY none, KWD three). The tests run in an English locale.
describe('money of a currency', () => {
  it.each([
    ['GBP', 1520, '£15.20'],
    ['EUR', 1520, '€15.20'],
    ['JPY', 1520, '¥1,520'],
  ])('%s: %d coins are %s', (currency, coins, text) => expect(moneyOf(currency).price(coins)).toBe(text));
  it('knows how many coins make one', () =>
    expect(['USD', 'JPY', 'KWD'].map((c) => moneyOf(c).coins)).toEqual([100, 1, 1000]));
  it('says a rough sum without coins, with its sign where two are compared', () => {
    expect(moneyOf('GBP').about(93.4)).toBe('£93');
    expect([moneyOf('GBP').about(12, true), moneyOf('GBP').about(-12, true)]).toEqual(['+£12', '−£12']);
  });
});
