import type { Edge } from '../cure/windows.ts';
import { originMs } from '../facts/envelope.ts';
import type { Fact, FactKind } from '../facts/part.ts';
import { REMEDIES, type AnyFault, type RemedyId } from './kinds.ts';

export const MEND_STEPS = [
  'warm-and-wait',
  'blade-off',
  'flat-fine',
  'flat',
  'polish',
  'sand-to-sound',
  'fill',
  'wash-warm',
  'take-off',
  'strip',
  'wash-salts',
  'abrade',
  'wipe',
  'prime-anew',
  'coat-again',
  'test-again',
] as const;
export type MendStepId = (typeof MEND_STEPS)[number];

/** The stage of the faulty coat that a step waits for. */
export type WaitsFor = 'touch' | 'handle' | 'sand' | null;
interface MendStep {
  readonly step: MendStepId;
  readonly waitsFor: WaitsFor;
  /** Entries that say it was done; none: it is done by word, when the finding is closed. */
  readonly doneBy: readonly FactKind[];
  /** Minutes of hands for a palm's breadth to a tenth of a square metre. */
  readonly minutes: number;
}
const step = (
  id: MendStepId,
  minutes: number,
  waitsFor: WaitsFor = null,
  doneBy: readonly FactKind[] = [],
): MendStep => ({ step: id, minutes, waitsFor, doneBy });

const RECOAT = [step('wipe', 5, null, ['wiped']), step('coat-again', 25, null, ['coated'])];
const REPRIME = [
  step('abrade', 20, null, ['abraded']),
  step('wipe', 5, null, ['wiped']),
  step('prime-anew', 25, null, ['coated']),
];

export const REMEDY_STEPS: Readonly<Record<RemedyId, readonly MendStep[]>> = {
  'flat-and-polish': [
    step('blade-off', 10, 'sand'),
    step('flat-fine', 20, 'sand', ['abraded']),
    step('polish', 20, 'sand'),
  ],
  'flat-and-refinish': [step('flat', 20, 'sand', ['abraded']), ...RECOAT],
  'back-to-sound': [step('sand-to-sound', 30, 'sand', ['abraded']), ...RECOAT],
  'take-it-all-off': [step('take-off', 60, 'touch', ['stripped']), ...REPRIME],
  'wash-bloom-off': [step('wash-warm', 10, 'touch'), step('abrade', 20, 'sand', ['abraded']), ...RECOAT],
  'strip-and-reprime': [step('strip', 60, null, ['stripped']), ...REPRIME],
  'strip-wash-and-retest': [step('strip', 60, null, ['stripped']), step('wash-salts', 20), ...REPRIME],
  'wait-and-test': [step('warm-and-wait', 5), step('test-again', 5, 'handle', ['tested'])],
  'another-coat': [step('abrade', 20, 'sand', ['abraded']), ...RECOAT],
  'level-again': [step('abrade', 20, 'sand', ['abraded']), step('fill', 30, null, ['levelled'])],
  'feather-and-touch-up': [step('flat', 15, 'sand', ['abraded']), ...RECOAT],
  'refinish-for-sun': [step('abrade', 20, 'sand', ['abraded']), ...RECOAT],
};

/** The entry that says a step was done; null: none does. */
export const MEND_DONE_BY: Readonly<Record<MendStepId, FactKind | null>> = Object.fromEntries(
  MEND_STEPS.map((id) => [
    id,
    REMEDIES.flatMap((r) => REMEDY_STEPS[r]).find((s) => s.step === id)?.doneBy[0] ?? null,
  ]),
) as Record<MendStepId, FactKind | null>;

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
