import { stringify } from 'csv-stringify/sync';
import type { Pack, ShoppingResponse } from '@calvetta/contract';

const COLUMNS = [
  'product',
  'content',
  'colour',
  'need mL',
  'have mL',
  'short mL',
  'pack mL',
  'packs',
  'price',
  'left over mL',
];

/** The list as CSV (RFC 4180): one row a pack to buy, and one for each need that no known pack covers. Nothing in it is read as a formula. */
export function shoppingCsv(list: ShoppingResponse, packs: readonly Pack[]): string {
  const rows = list.lines.flatMap((l): Record<string, string | number>[] => {
    const common = {
      product: l.productName,
      content: l.content,
      colour: l.colour ?? '',
      'need mL': Math.round(l.needMl),
      'have mL': Math.round(l.haveMl),
      'short mL': Math.round(l.shortMl),
    };
    if (l.cover === null) return [{ ...common, 'pack mL': '', packs: '', price: '', 'left over mL': '' }];
    return l.cover.packs.map((p) => {
      const pack = packs.find((x) => x.packId === p.offerId);
      return {
        ...common,
        'pack mL': pack?.sizeMl ?? '',
        packs: p.count,
        price: (((pack?.priceCents ?? 0) * p.count) / 100).toFixed(2),
        'left over mL': Math.round(l.cover!.wasteMl),
      };
    });
  });
  return stringify(rows, {
    header: true,
    columns: COLUMNS,
    escape_formulas: true,
    record_delimiter: 'windows',
  });
}
