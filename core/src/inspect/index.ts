/** What was found, why, what mends it, and when it is good enough: the part of core that others use. */
export {
  FINDING_KINDS,
  PLAIN_FAULTS,
  ALL_FAULTS,
  REFER_SIGNS,
  CLOSED_HOW,
  REMEDIES,
  type RemedyId,
  type FindingKind,
  type PlainFault,
  type AnyFault,
  type ReferSign,
  type ClosedHow,
  type HoldWhy,
} from './kinds.ts';
export { type Finding, findingsOf, isOpenFinding, foundAtMs } from './findings.ts';
export { type EvidenceCode, EVIDENCE_CODES } from './faults/codes.ts';
export {
  FAULT_CAUSES,
  FAULTS,
  SEEN_AFTER,
  seenAfter,
  LOOK_ALIKES,
  type CauseIdOf,
  type FaultId,
  type SeenAfter,
} from './faults/table.ts';
export { candidatesOf, weigh, type Weighed, type Weighing } from './faults/weigh.ts';
export { asksFor, type NextAsk } from './faults/ask.ts';
export { evidenceWith, weighable, READ_FROM_RECORD, type Answered, type Evident } from './record/evidence.ts';
export type { Figure } from './record/filmRecord.ts';
export { MEND_DONE_BY, remedyFor, type MendStepId, type MendStepNow, type WaitsFor } from './remedies.ts';
export { judgePits, likelySlips, DEEPEST_PIT_MM, type NoEstimate, type PitVerdict } from './pits.ts';
export {
  LEVEL_LIMITS,
  LEVEL_STANDARDS,
  LEVEL_WITH,
  STOP_AT_PCT,
  fillsWith,
  levelState,
  type LevelCycle,
  type LevelStandard,
  type LevelStop,
  type LevelState,
  type LevelWith,
} from './level.ts';
export {
  LEAST_TOUCHES,
  rustShare,
  type Pixels,
  type Point,
  type RustAsked,
  type RustRefusal,
  type RustShare,
  type Touch,
} from './rustShare.ts';
export {
  REPAIRS,
  EVEN_WEIGHTS,
  repairOptions,
  type RepairWeights,
  type PitRepair,
  type RepairForbidden,
  type RepairOption,
} from './options.ts';
export { BROKE_AT, TRIALS, crossCutClass, cutFor, rustDegree, trialVerdict, type BrokeAt } from './trial.ts';
export {
  CARD_RESULTS,
  SOUND_RUBS,
  TEST_CARDS,
  rubsResult,
  saltResult,
  type CardResult,
  type TestCard,
} from './cards.ts';
export { similarity, type Similarity } from './align.ts';
export type { MendLine, MendPlan } from './mendPlan.ts';
