import type { Edge } from '../cure/windows.ts';
import { originMs } from '../facts/envelope.ts';
import type { Fact } from '../facts/part.ts';
import type { AnyFault, RemedyId } from './kinds.ts';
import { REMEDY_STEPS, type MendStepId, type WaitsFor } from './mendSteps.ts';

const OF_FAULT: Readonly<Record<AnyFault, RemedyId>> = {
  sag: 'flat-and-polish',
  'dry-spray': 'flat-and-polish',
  cobwebbing: 'flat-and-refinish',
  'orange-peel': 'flat-and-polish',
  craters: 'back-to-sound',
  blush: 'another-coat',
  bloom: 'wash-bloom-off',
  'solvent-pop': 'back-to-sound',
  pinholes: 'back-to-sound',
  lifting: 'take-it-all-off',
  soft: 'wait-and-test',
  'off-metal': 'strip-and-reprime',
  'between-coats': 'back-to-sound',
  'rust-through': 'strip-and-reprime',
  'dry-blisters': 'back-to-sound',
  uneven: 'another-coat',
  'colour-differs': 'another-coat',
  bleeding: 'strip-and-reprime',
  scratches: 'another-coat',
  'torn-edge': 'feather-and-touch-up',
  dull: 'another-coat',
  nibs: 'flat-and-polish',
  cracks: 'back-to-sound',
  chalk: 'refinish-for-sun',
  'zinc-flakes': 'strip-and-reprime',
  ripples: 'level-again',
  filiform: 'strip-and-reprime',
  'white-corrosion': 'strip-wash-and-retest',
  'two-metals-line': 'strip-and-reprime',
  'heat-discoloured': 'back-to-sound',
  'softened-by-fluid': 'strip-and-reprime',
  chips: 'feather-and-touch-up',
  mottled: 'another-coat',
  'poor-hiding': 'another-coat',
  'water-spots': 'flat-and-polish',
  'contact-prints': 'flat-and-refinish',
  'filler-rings': 'level-again',
  'brush-marks': 'flat-and-refinish',
  'gelled-bits': 'flat-and-refinish',
};

/** Where the cause decides and not the look. */
const OF_CAUSE: Readonly<Record<string, RemedyId>> = {
  'soft:hardener-dead': 'take-it-all-off',
  'soft:ratio': 'take-it-all-off',
  'soft:wrong-part-b': 'take-it-all-off',
  'soft:acid-of-etch': 'strip-and-reprime',
  'soft:old-one-pack-tin': 'take-it-all-off',
  'rust-through:salts': 'strip-wash-and-retest',
  'dry-blisters:salts-or-residue': 'strip-wash-and-retest',
  'bleeding:rust': 'strip-and-reprime',
  'between-coats:bloom': 'wash-bloom-off',
  'between-coats:forbidden-pair': 'take-it-all-off',
};

/**
 * What mends a fault of a cause. A one-pack is not polished out: it is flatted and finished again. Null cause: by the look alone.
 */
export function remedyFor(fault: AnyFault, causeId: string | null, packs: 1 | 2 | null): RemedyId {
  const id = (causeId === null ? undefined : OF_CAUSE[`${fault}:${causeId}`]) ?? OF_FAULT[fault];
  return id === 'flat-and-polish' && packs === 1 ? 'flat-and-refinish' : id;
}

/** All that can mend a fault, whatever its cause turns out to be. */
export function remediesOf(fault: AnyFault, packs: 1 | 2 | null): RemedyId[] {
  const causes = Object.keys(OF_CAUSE).flatMap((key) => {
    const [of, cause = ''] = key.split(':');
    return of === fault ? [cause] : [];
  });
  return [...new Set([null, ...causes].map((cause) => remedyFor(fault, cause, packs)))];
}

export interface MendStepNow {
  readonly step: MendStepId;
  readonly minutes: number;
  readonly isDone: boolean;
  readonly waitsFor: WaitsFor;
  /** From when it can be done, as the faulty coat's own clock has it; null: nothing to wait for, or not known. */
  readonly from: Edge | null;
}

/** The steps of a remedy with what is done of them since it was chosen, and when the next can be begun. */
export function mendSteps(
  remedy: RemedyId,
  sinceMs: number,
  standing: readonly Fact[],
  coat: { readonly edges: Readonly<Record<Exclude<WaitsFor, null>, Edge>> } | null,
): MendStepNow[] {
  const since = standing.filter((f) => originMs(f) >= sinceMs);
  let from = 0;
  return REMEDY_STEPS[remedy]
    .map((s): MendStepNow => {
      const at =
        s.doneBy.length === 0 ? -1 : since.findIndex((f, i) => i >= from && s.doneBy.includes(f.kind));
      if (at >= 0) from = at + 1;
      const edge = s.waitsFor === null ? null : (coat?.edges[s.waitsFor] ?? null);
      return { step: s.step, minutes: s.minutes, isDone: at >= 0, waitsFor: s.waitsFor, from: edge };
    })
    .map((s, i, all): MendStepNow =>
      // A step without an entry of its own is behind whatever came after it.
      s.isDone || !all.slice(i + 1).some((x) => x.isDone) ? s : { ...s, isDone: true },
    );
}
