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
export { type EvidenceCode, EVIDENCE_CODES } from './faults/ids.ts';
export { FAULT_CAUSES, seenAfter, LOOK_ALIKES, type CauseIdOf } from './faults/table.ts';
export { FAULTS, SEEN_AFTER, type FaultId, type SeenAfter } from './faults/ids.ts';
export { candidatesOf, weigh, type Weighed, type Weighing } from './faults/weigh.ts';
export { asksFor, type NextAsk } from './faults/ask.ts';
export { evidenceWith, weighable, READ_FROM_RECORD, type Answered, type Evident } from './record/evidence.ts';
export type { Figure } from './record/filmRecord.ts';
export { MEND_DONE_BY, type MendStepId, type WaitsFor } from './mendSteps.ts';
export { remedyFor, type MendStepNow } from './remedies.ts';
export { judgePits, likelySlips, type NoEstimate, type PitVerdict } from './pits.ts';
export { DEEPEST_PIT_MM } from './kinds.ts';
export {
  LEVEL_LIMITS,
  STOP_AT_PCT,
  fillsWith,
  levelState,
  type LevelCycle,
  type LevelStop,
  type LevelState,
} from './level.ts';
export { LEVEL_STANDARDS, LEVEL_WITH, type LevelStandard, type LevelWith } from './kinds.ts';
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
  EVEN_WEIGHTS,
  repairOptions,
  type RepairWeights,
  type RepairForbidden,
  type RepairOption,
} from './options.ts';
export { REPAIRS, type PitRepair } from './kinds.ts';
export { crossCutClass, cutFor, rustDegree, trialVerdict } from './trial.ts';
export { BROKE_AT, TRIALS, type BrokeAt } from './kinds.ts';
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
