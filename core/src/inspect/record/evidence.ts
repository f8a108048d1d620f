import type { Only } from '../faults/table.ts';
import { EVIDENCE_CODES, type EvidenceCode } from '../faults/ids.ts';
import { answerTo } from '../faults/ask.ts';
import type { Evidence, Told } from '../faults/weigh.ts';
import { AIR_EVIDENCE } from './airEvidence.ts';
import { FILM_EVIDENCE } from './filmEvidence.ts';
import { belowOf, coatOf, type Figure, type FilmRecord, type Readers } from './filmRecord.ts';
import { MIX_EVIDENCE } from './mixEvidence.ts';
import { SURFACE_EVIDENCE } from './surfaceEvidence.ts';

const READERS: Readers = { ...AIR_EVIDENCE, ...FILM_EVIDENCE, ...SURFACE_EVIDENCE, ...MIX_EVIDENCE };
/** Codes the record can speak of at all; the rest are looked at, tried or remembered. */
export const READ_FROM_RECORD: readonly EvidenceCode[] = EVIDENCE_CODES.filter(
  (c) => READERS[c] !== undefined,
);

/** What a person answered of a fault. */
export interface Answered {
  readonly code: EvidenceCode;
  readonly says: 'yes' | 'no';
}
/** One piece of evidence as it is shown: from where, with its figure, and whether record and answer contradict. */
export interface Evident {
  readonly code: EvidenceCode;
  readonly says: 'yes' | 'no';
  readonly isWeak: boolean;
  readonly from: 'record' | 'answer';
  readonly figure: Figure | null;
  /** The record says one thing and a person another: it counts as not known until one of them is put right. */
  readonly isContradicted: boolean;
}

/** What the record says of every code it knows something of. Null record: nothing is known of the film. */
export function recordSays(r: FilmRecord | null): Evident[] {
  if (!r) return [];
  return EVIDENCE_CODES.flatMap((code): Evident[] => {
    const w = READERS[code]?.(r) ?? null;
    return w ? [{ code, ...w, from: 'record', isContradicted: false }] : [];
  });
}

/** The record's words with a person's answers among them. */
export function evidenceWith(record: readonly Evident[], answers: readonly Answered[]): Evident[] {
  const last = new Map(answers.map((a) => [a.code, a]));
  const out = record.map((e): Evident => {
    const a = last.get(e.code);
    last.delete(e.code);
    return a && a.says !== e.says ? { ...e, isContradicted: true } : e;
  });
  for (const { code, says } of last.values())
    out.push({
      code,
      says,
      isWeak: answerTo(code, says).isWeak,
      from: 'answer',
      figure: null,
      isContradicted: false,
    });
  return out;
}

/** As it is weighed: what is contradicted weighs nothing. */
export const weighable = (list: readonly Evident[]): Evidence =>
  new Map(
    list.flatMap((e): [EvidenceCode, Told][] =>
      e.isContradicted ? [] : [[e.code, { says: e.says, isWeak: e.isWeak }]],
    ),
  );

/** What the film cannot be. Of a film that is not on record nothing is left out. */
export function cannotBe(r: FilmRecord | null): Set<Only> {
  const out = new Set<Only>();
  if (!r) return out;
  const { sheet } = coatOf(r);
  const below = belowOf(r);
  out.add(sheet.packs === 2 ? 'one-pack' : 'two-pack');
  if (sheet.cureBy !== 'bake') out.add('baked');
  if (below && below.sheet.binder !== 'epoxy-2k' && below.sheet.binder !== 'zinc-epoxy-2k')
    out.add('epoxy-below');
  const isFilled = r.coats.slice(0, r.index).some((c) => c.sheet.role === 'filler');
  if (!isFilled && r.survey?.oldFiller === 'no') out.add('over-filler');
  return out;
}
