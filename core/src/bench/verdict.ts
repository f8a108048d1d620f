import type { MixClock } from '../cure/potLife.ts';
import type { HandsTrouble } from '../people/inductions.ts';
import { windowRule } from '../cure/windows.ts';
import { mixTrouble, type MixTrouble } from '../mix/trouble.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { NextAct } from './act.ts';
import type { Face } from '../facts/part.ts';
import type { Headline } from './headline.ts';

/** Words a face is shown by that keep a coat off it. Held is among them: a gate that is no clear pass is no pass. */
const REFUSING = [
  'referred',
  'sent',
  'suspect',
  'out',
  'refused',
  'unknown',
  'lift',
  'shut',
  'early',
  'held',
] as const;
/** A face of which nothing is recorded that prepares it. */
const UNPREPARED = 'unprepared';

export const FILM_TROUBLES = ['film-thin', 'film-thick'] as const;
export type FilmTrouble = (typeof FILM_TROUBLES)[number];

/** Why a coat may not go on now. A person who did it all the same says why, and the reason goes into the record. */
export type CoatRefusal =
  | { readonly why: MixTrouble; readonly goneMs: number | null }
  /** The dry film that is logged lies outside what the sheet allows in one coat. */
  | { readonly why: FilmTrouble; readonly dftUm: number; readonly limitUm: number }
  /** Whoever lays it was not shown how, or it is kept from them. */
  | HandsTrouble
  | {
      readonly why:
        | (typeof REFUSING)[number]
        | typeof UNPREPARED
        | 'marginal'
        | 'sheet-forbids'
        | 'not-a-listed-follower';
      readonly face: Face;
      readonly headline: Headline;
      readonly act: NextAct;
    };

/** No reason lifts it: what a licensed person has to answer is not painted over. */
export const isFinal = (r: CoatRefusal): boolean => r.why === 'referred';

/** What a verdict needs of a face: the server has it of any moment, a page of this one. */
export interface CoatedFace {
  readonly face: Face;
  readonly headline: Headline;
  readonly act: NextAct;
  /** The sheet of the coat on top; null: bare, or not begun. */
  readonly top: ProductSheet | null;
  /** Something is recorded that makes it fit for a coat: stripped, pretreated, abraded. */
  readonly isPrepared: boolean;
}

/**
 * The one verdict on a coat: may it go on this face at this moment, from this mix, and if not, why. Null: it may. The page asks
 * it before a touch and the server before it stores. Pure.
 */
export function coatVerdict(
  face: CoatedFace,
  sheet: ProductSheet,
  mix: Pick<MixClock, 'gone'> | null,
  atMs: number,
  dftUm: number | null = null,
): CoatRefusal | null {
  const trouble = mix && mixTrouble(mix, atMs);
  const { headline, act } = face;
  const of = { face: face.face, headline, act };
  if (headline === 'referred') return { why: headline, ...of };
  if (trouble) return { why: trouble, goneMs: mix.gone?.worstMs ?? null };
  const rule = face.top && windowRule(face.top, sheet);
  if (rule?.kind === 'forbidden') return { why: rule.reason, ...of };
  // Another coat of the product still wet below is a stack: allowed, slowed, and shown.
  if (headline === 'early' && face.top?.productId === sheet.productId) return filmVerdict(sheet, dftUm);
  if (act.code === 'coat-if-accepted') return { why: 'marginal', ...of };
  if (headline === 'waiting' && !face.isPrepared) return { why: UNPREPARED, ...of };
  const why = REFUSING.find((h) => h === headline);
  return why ? { why, ...of } : filmVerdict(sheet, dftUm);
}

/** A film outside the sheet's range in one coat: thinner it does not protect, thicker it does not dry through. Null: within, or not said. */
function filmVerdict(sheet: ProductSheet, dftUm: number | null): CoatRefusal | null {
  if (dftUm === null) return null;
  if (dftUm < sheet.dftMinUm) return { why: 'film-thin', dftUm, limitUm: sheet.dftMinUm };
  return dftUm > sheet.dftMaxUm ? { why: 'film-thick', dftUm, limitUm: sheet.dftMaxUm } : null;
}

/** A face as its derivation leaves it, for a verdict. */
export const coatedFace = (f: {
  readonly face: Face;
  readonly headline: Headline;
  readonly act: NextAct;
  readonly coats: readonly { readonly sheet: ProductSheet }[];
  readonly isPrepared: boolean;
}): CoatedFace => ({
  face: f.face,
  headline: f.headline,
  act: f.act,
  top: f.coats[f.coats.length - 1]?.sheet ?? null,
  isPrepared: f.isPrepared,
});
