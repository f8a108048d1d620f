import {
  applicatorOf,
  needOf,
  UM_PER_MIL,
  type Face,
  type FactBodies,
  type GateVerdict,
  type ProductSheet,
  type Tool,
} from '@calvetta/core';
import type { FactView, FaceView, MixView, PartCard, PartDetail } from '@calvetta/contract';
import type { Laid } from './HowLaid.tsx';
import { isMixGone } from '../../words/mixWords.ts';

/** A film as the field shows it, in the reader's unit. */
export function shownFilm(um: number | null, unit: 'um' | 'mil'): string {
  if (um === null) return '';
  return unit === 'mil' ? (um / UM_PER_MIL).toFixed(1) : String(Math.round(um));
}

/** What a coat of this part usually takes from a cup, thinner in it, mL; no more than the cup holds. Empty without an area. */
export function usualUse(
  card: PartCard,
  sheet: ProductSheet,
  mix: MixView,
  faces: number,
  tool: Tool,
): string {
  const { need } = needOf(card, sheet, { by: applicatorOf(tool), shape: 'flat', thinPct: mix.thinPct });
  return need?.ok
    ? Math.min(mix.leftMl, faces * need.value.mixedMl * (1 + mix.thinPct / 100)).toFixed(0)
    : '';
}

/** Cups of the product that still hold something, and the one the coat was logged with. */
export const cupsFor = (
  mixes: readonly MixView[],
  sheetId: string,
  knownMixId: string | undefined,
): readonly MixView[] =>
  mixes.filter((m) => m.sheetId === sheetId && (m.leftMl > 1 || m.mixId === knownMixId));

/** The cup that stands there is what it was coated from: of no colour or the part's own, and still good. */
export const usualCup = (mixes: readonly MixView[], part: PartDetail): MixView | undefined =>
  mixes.find((m) => (m.colour === null || m.colour === part.colourGroup) && !isMixGone(m, part.nowMs));

/** Standing coats of a face, newest first. */
export function standingCoats(part: PartDetail, face: Face): Extract<FactView, { kind: 'coated' }>[] {
  return part.facts.flatMap((f) =>
    f.kind === 'coated' && f.isStanding && (f.face === null || f.face === face) ? [f] : [],
  );
}

/** What is usually the same again: the tool of the last coat at all, and the batch of the last coat of this product, and of no other. */
export function usualAgain(part: PartDetail, sheetId: string) {
  const coats = part.facts.flatMap((f) => (f.kind === 'coated' && f.isStanding ? [f] : []));
  const same = coats.find((c) => c.body.sheetId === sheetId)?.body;
  return { tool: (same ?? coats[0]?.body)?.tool, batch: same?.batch ?? '' };
}

/** What was on the page when the person decided: kept in the fact, never read by derivation (docs/decisions). */
export function evidenceOf(
  part: PartDetail,
  face: FaceView,
  gates: GateVerdict | null,
): Record<string, unknown> {
  const { airC, rhPct, surfaceC, dewPointC, basis, trust } = part.conditions;
  return {
    seenAtMs: part.nowMs,
    headline: face.headline,
    act: face.act.code,
    conditions: { airC, rhPct, surfaceC, dewPointC, basis, trust },
    gates:
      gates?.gates.map((g) => ({ kind: g.kind, status: g.status, value: g.value, limit: g.limit })) ?? [],
  };
}

/** What the air and metal are now, as the gates ask for it. */
export function conditionsOf(part: PartDetail) {
  const { airC, rhPct, surfaceC, surfaceSpreadK } = part.conditions;
  return { airC, rhPct, surfaceC, ...(surfaceSpreadK === null ? {} : { surfaceSpreadK }) };
}

export interface CoatDraft {
  readonly sheetId: string;
  readonly tool: Tool;
  readonly dftUm: number;
  readonly usedMl: number | null;
  readonly batch: string | null;
  readonly thinnerPct: number | null;
  readonly mix: MixView | undefined;
  readonly chosenMixId: string;
  readonly reason: string;
  readonly laid: Laid;
}

/** What an entry says of how it was laid, for a correction to keep. */
export const laidOf = (body: FactBodies['coated']): Laid =>
  Object.fromEntries(
    (['thinnerGrade', 'gunMm', 'ratioBy', 'isStirred', 'isStrained'] as const).flatMap((k) =>
      body[k] === undefined ? [] : [[k, body[k]]],
    ),
  );

/** The body of the entry: what a cup says of batch and thinner wins over what was typed. */
export function coatBody(
  d: CoatDraft,
  part: PartDetail,
  face: Face,
  correct: FactView | undefined,
): Record<string, unknown> {
  const known = correct?.kind === 'coated' ? correct.body : null;
  const below = standingCoats(part, face).find((c) => c.factId !== correct?.factId);
  const taken = d.usedMl !== null && d.usedMl > 0 ? { usedMl: d.usedMl } : {};
  // A cup of long ago is not listed any more; its coat still came from it.
  const from = d.mix
    ? {
        mixId: d.mix.mixId,
        ...(d.mix.batch === null ? {} : { batch: d.mix.batch }),
        thinnerPct: Number(d.mix.thinPct.toFixed(1)),
        ...taken,
      }
    : {
        ...(d.chosenMixId === '' ? {} : { mixId: d.chosenMixId, ...taken }),
        ...(d.batch === null ? {} : { batch: d.batch }),
        ...(d.thinnerPct === null ? {} : { thinnerPct: d.thinnerPct }),
      };
  const over = correct ? (known && 'over' in known ? known.over : undefined) : below?.factId;
  return {
    sheetId: d.sheetId,
    dftUm: Number(d.dftUm.toFixed(1)),
    tool: d.tool,
    ...from,
    ...d.laid,
    ...(over === undefined ? {} : { over }),
    ...(d.reason === '' ? {} : { reason: d.reason }),
  };
}
