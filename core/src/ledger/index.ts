/** Hours, batches, climate and marks of the record: the part of core that others use. */
export {
  KEPT_SAMPLES,
  SIGN_SCOPES,
  WORK_OPS,
  SPENT_ON,
  type KeptSample,
  type SignScope,
  type WorkOp,
  type SpentOn,
} from './kinds.ts';
export { MARKS, MARK_OF, type Mark } from './marks.ts';
export { signedText, toSign, workedOn, type SignState } from './signOff.ts';
export type { TradeCheckId } from './tradeChecks.ts';
export { sharedMinutes, type HoursLeft } from './rates.ts';
export {
  corrosivityOf,
  yearOf,
  CORROSIVITY,
  DEPOSITS,
  SETTINGS,
  type ClimateSetting,
  type Corrosivity,
  type MonthOfAir,
} from './climate.ts';
