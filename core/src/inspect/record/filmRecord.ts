import type { CoatState } from '../../bench/film.ts';
import { originMs } from '../../facts/envelope.ts';
import { ofKind, type Fact, type FactOf } from '../../facts/part.ts';
import type { Survey } from '../../part/survey.ts';
import type { Substrate } from '../../part/substrate.ts';
import type { SurfaceStretch } from '../../part/thermal/track.ts';
import type { TestCard } from '../cards.ts';
import type { EvidenceCode } from '../faults/ids.ts';

/** What the shelf knows of the mix a coat came from. Null: not known. */
export interface MixTold {
  readonly thinPct: number | null;
  /** How far the ratio was off what the sheet asks, as a share of it. */
  readonly ratioOff: number | null;
  readonly measuredBy: 'scale' | 'cup' | 'eye' | null;
  /** Age of the hardener over its life once opened. */
  readonly hardenerAge: number | null;
  /** The paint was past its date when it was mixed. */
  readonly isPaintPast: boolean | null;
  readonly ageMin: number;
  /** Minutes after mixing when its pot life ended, and when its induction did. */
  readonly goneMin: number | null;
  readonly usableMin: number | null;
}

/** All that evidence is read from: one coat of one face, with what lies below it. Nothing of another part is in it but what the air carried. */
export interface FilmRecord {
  /** The coats of the face in order, since it was last stripped, and which of them shows the fault. */
  readonly coats: readonly CoatState[];
  readonly index: number;
  /** What stands about this face up to when the fault was found. */
  readonly facts: readonly Fact[];
  readonly substrate: Substrate;
  readonly survey: Survey | null;
  readonly track: readonly SurfaceStretch[];
  readonly isOutdoors: boolean | null;
  readonly mix: MixTold | null;
  /** When wax, silicone or cavity wax was used in the place it stood in. */
  readonly siliconeMs: readonly number[];
  /** Rules of today that the route breaks, on what was known then; null: no route or no survey to judge. */
  readonly brokenRules: readonly string[] | null;
  /** Coats the route asked for; null: no route. */
  readonly coatsAsked: number | null;
  /** Whether the route has a stripe coat, and whether it is on record. */
  readonly stripe: 'none' | 'recorded' | 'not-recorded' | null;
  readonly foundMs: number;
  /** Short tests of this face, also those made to find the cause. */
  readonly cards: readonly FactOf<'card-tested'>[];
}

export type FigureUnit = 'µm' | 'min' | 'h' | 'K' | '°C' | '%' | '×' | 'mm' | 'd' | 'P' | 'coats' | '%off';
/** What a word of evidence rests on, so that it can be said: the value, and what it was held against. */
export interface Figure {
  readonly value: number;
  readonly limit: number | null;
  readonly unit: FigureUnit;
}
/** What the record says of a code. */
export interface Word {
  readonly says: 'yes' | 'no';
  /** Only half so. */
  readonly isWeak: boolean;
  readonly figure: Figure | null;
}
/** Null: the record does not know. */
export type Reader = (r: FilmRecord) => Word | null;
export type Readers = Readonly<Partial<Record<EvidenceCode, Reader>>>;

export const word = (isSo: boolean, figure: Figure | null = null, isWeak = false): Word => ({
  says: isSo ? 'yes' : 'no',
  isWeak,
  figure,
});
export const figure = (value: number, limit: number | null, unit: FigureUnit): Figure => ({
  value,
  limit,
  unit,
});
/** Only so where it is: that it was not logged does not say that it was not. */
export const onlyYes = (isSo: boolean, by: Figure | null = null): Word | null =>
  isSo ? word(true, by) : null;

/** The last clear result of a short test; null: it was not made, or left it unclear. */
export function cardSays(r: FilmRecord, card: TestCard): 'good' | 'bad' | null {
  const result = r.cards.findLast((f) => f.body.card === card)?.body.result ?? 'unclear';
  return result === 'unclear' ? null : result;
}
/** Bad is so, good is not so. */
export function byCard(r: FilmRecord, card: TestCard): Word | null {
  const says = cardSays(r, card);
  return says && word(says === 'bad');
}

export const coatOf = (r: FilmRecord): CoatState => r.coats[r.index]!;
export const belowOf = (r: FilmRecord): CoatState | null => r.coats[r.index - 1] ?? null;
export const coatFact = (r: FilmRecord): FactOf<'coated'> | null =>
  ofKind(r.facts, 'coated').find((f) => f.factId === coatOf(r).factId) ?? null;
/** Facts before the coat, and since the one before it, or since the metal was bare. */
export function factsBefore(r: FilmRecord): Fact[] {
  const { t0Ms } = coatOf(r);
  const sinceMs = belowOf(r)?.t0Ms ?? -Infinity;
  return r.facts.filter((f) => originMs(f) <= t0Ms && originMs(f) > sinceMs);
}
/** The last time the metal was laid bare before the first coat; null: not on record. */
export const strippedOf = (r: FilmRecord): FactOf<'stripped'> | null =>
  ofKind(r.facts, 'stripped').findLast((f) => originMs(f) <= (r.coats[0]?.t0Ms ?? Infinity)) ?? null;
