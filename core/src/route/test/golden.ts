import { FULL_SHOP, type ShopMeans } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import type { ActId, Way } from '../surface/act.ts';

/** What a decision must say. Families and methods by id; a refusal by the rule that must be among its reasons. */
export interface Golden {
  readonly name: string;
  readonly s: Partial<Survey>;
  readonly means?: ShopMeans;
  /** In some advised route. */
  readonly advises?: readonly string[];
  /** Refused, by this rule. */
  readonly refuses?: readonly (readonly [string, string])[];
  /** In no advised route. */
  readonly never?: readonly string[];
  readonly warns?: readonly string[];
  /** Steps every advised route has, `kind` or `kind:what`. */
  readonly steps?: readonly string[];
  /** The advised route does these acts, in this order, perhaps with others between. */
  readonly first?: readonly ActId[];
  /** Some painted route does these acts, in this order. */
  readonly some?: readonly ActId[];
  /** Ways among the routes. */
  readonly ways?: readonly Way[];
  /** Answers without paint among the routes, by what is done; the first of them leads when `leads`. */
  readonly answers?: readonly string[];
  readonly leads?: true;
  /** Looks that every painted route rests on, or only those with one of these families. */
  readonly gates?: readonly string[];
  /** No painted route. */
  readonly noPaint?: true;
  /** The least coats of the last family, or the most film of any painted route. */
  readonly mostUm?: number;
  readonly leastUm?: number;
  /** Not refused, whether or not it is among the best. */
  readonly allows?: readonly string[];
  readonly source: string;
}

export const CP = 'docs/trade.md, common practice, no published source';
export const brush: ShopMeans = {
  facilities: ['bath', 'bead', 'grit'],
  schools: { ...FULL_SHOP.schools, tool: 'brush' },
};
export const noMask: ShopMeans = {
  ...FULL_SHOP,
  facilities: FULL_SHOP.facilities.filter((f) => f !== 'air-fed-mask'),
};
export const school = (over: Partial<ShopMeans['schools']>): ShopMeans => ({
  ...FULL_SHOP,
  schools: { ...FULL_SHOP.schools, ...over },
});
export const alu: Partial<Survey> = {
  substrate: 'aluminium-wrought',
  rust: 'none',
  thicknessMm: 0.8,
  massKg: null,
};
export const iron: Partial<Survey> = { substrate: 'grey-iron', thicknessMm: 12, massKg: 40 };
export const old: Partial<Survey> = { coating: 'sound', coatKind: 'two-pack', rust: 'A' };
