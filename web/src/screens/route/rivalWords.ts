import type { AdvisedRoute, Family, GivesUp } from '@calvetta/core';
import { WHAT_WORDS } from '@calvetta/contract/words';
import type { Money } from '../../ui/money.ts';
import { layersWords } from './reasons.ts';

export const rivalName = (route: AdvisedRoute, families: ReadonlyMap<string, Family>): string =>
  route.answer.kind === 'paint'
    ? layersWords(route.choice.layers, families)
    : `${route.answer.kind === 'refer' ? 'Refer: ' : ''}${WHAT_WORDS[route.answer.what] ?? route.answer.what}`;

export const rankWords = (route: AdvisedRoute, rank: number): string =>
  rank === 0 ? 'Advised' : route.answer.kind === 'paint' ? `Rival ${rank}` : 'Without paint';

const signed = (x: number, unit: string, digits: number): string[] => {
  const shown = Math.abs(x).toFixed(digits);
  return Number(shown) === 0 ? [] : [`${x > 0 ? '+' : '−'}${shown} ${unit}`];
};
/** "+1.2 h, −3 days, +£40": what one level takes against the advised route’s; empty where it is much the same. */
export const againstWords = (d: Pick<GivesUp, 'hours' | 'days' | 'cost'>, money: Money): string =>
  [
    ...signed(d.hours, 'h', Math.abs(d.hours) < 3 ? 1 : 0),
    ...signed(d.days, Math.abs(Math.round(d.days)) === 1 ? 'day' : 'days', 0),
    ...(Math.abs(d.cost) < 5 ? [] : [money.about(d.cost, true).replace('+', '+\u2060')]),
  ].join(', ');

/** How much less, or more, it protects than the advised one; empty within two in a hundred. */
export function protectsWords(g: GivesUp): string {
  const share = Math.round(100 * g.protection);
  return Math.abs(share) < 2 ? '' : `${Math.abs(share)} % ${share > 0 ? 'less' : 'more'} protection`;
}
