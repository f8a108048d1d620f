import { useShop } from '../api/queries.ts';

export interface Money {
  /** A price as it is stored, in the currency's smallest coin. */
  readonly price: (coins: number) => string;
  /** A rough sum, in whole units, signed where asked. */
  readonly about: (amount: number, signed?: boolean) => string;
  /** Coins in one unit: 100, or 1 where there are none. */
  readonly coins: number;
}

/** Sums of a currency (ISO 4217), as this device writes them. */
export function moneyOf(currency: string): Money {
  const style = { style: 'currency', currency, currencyDisplay: 'narrowSymbol' } as const;
  const exact = new Intl.NumberFormat(undefined, style);
  const digits = exact.resolvedOptions().maximumFractionDigits ?? 2;
  const rough = new Intl.NumberFormat(undefined, { ...style, maximumFractionDigits: 0 });
  const signed = new Intl.NumberFormat(undefined, {
    ...style,
    maximumFractionDigits: 0,
    signDisplay: 'exceptZero',
  });
  const coins = 10 ** digits;
  return {
    price: (x) => exact.format(x / coins),
    about: (x, withSign = false) => (withSign ? signed : rough).format(x).replace('-', '−'),
    coins,
  };
}

/** Sums in the workshop's own currency. */
export function useMoney(): Money {
  return moneyOf(useShop().data?.currency ?? 'EUR');
}
