import type { FactKind } from '../facts/part.ts';
import { REMEDIES, type RemedyId } from './kinds.ts';

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
export interface MendStep {
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
