import type { ProductSheet } from '../sheet.ts';
import type { SheetTraits } from '../traits.ts';
import { traitsOf } from '../traitsByBinder.ts';
import { DEEP_SHEETS } from './deepSheets.ts';
import { inheritedSheets } from './inherited.ts';
import { MORE_DEEP_SHEETS } from './moreSheets.ts';

/** A generic product family: the sheet that stands for it, and what the rules ask of it. */
export interface Family {
  readonly familyId: string;
  readonly sheet: ProductSheet;
  readonly traits: SheetTraits;
  /** The shop has typed or taken in a sheet of its own for it: it has this. */
  readonly isOwn: boolean;
}

const deep = [...DEEP_SHEETS, ...MORE_DEEP_SHEETS];
/** Every generic family with its invented sheet. */
export const CATALOGUE_SHEETS: readonly ProductSheet[] = [...deep, ...inheritedSheets(deep)];

const SHIPPED = new Set(CATALOGUE_SHEETS.map((s) => s.sheetId));

/** Families by id. A shop's own sheet of the same product takes the place of the family's; its newest revision counts. */
export function familiesOf(own: readonly ProductSheet[]): ReadonlyMap<string, Family> {
  const newest = new Map(CATALOGUE_SHEETS.map((s) => [s.productId, s]));
  for (const s of own) {
    const known = newest.get(s.productId);
    if (!known || s.revision >= known.revision)
      newest.set(s.productId, {
        ...s,
        ...((s.traits ?? known?.traits) ? { traits: { ...known?.traits, ...s.traits } } : {}),
      });
  }
  return new Map(
    [...newest].map(([familyId, sheet]) => [
      familyId,
      { familyId, sheet, traits: traitsOf(sheet), isOwn: !SHIPPED.has(sheet.sheetId) },
    ]),
  );
}
