import type { ChainFault } from '../chain.ts';
import type {
  ClimateSetting,
  FactBodies,
  Mark,
  SignScope,
  SignState,
  SpentOn,
  TradeCheckId,
  WorkOp,
} from '@calvetta/core';

export const WORK_WORDS: Readonly<Record<WorkOp, string>> = {
  clean: 'cleaning',
  strip: 'stripping',
  fill: 'filling and levelling',
  prepare: 'preparing and masking',
  coat: 'coating',
  finish: 'flatting, polishing, baking',
  assemble: 'fitting and assembling',
  look: 'looking, testing, recording',
};
export const SPENT_WORDS: Readonly<Record<SpentOn, string>> = {
  consumables: 'consumables',
  contractor: 'contractor',
  'bought-part': 'bought part',
  other: 'other',
};
/** Jobs of which the trade has a figure. */
export const TRADE_CHECK_WORDS: Readonly<Record<TradeCheckId, string>> = {
  aircraft: 'Single-engine aircraft, stripped and painted',
  'light-jet': 'Light jet, stripped and painted',
  'chassis-coat': 'Whole vehicle chassis, a coat by brush',
  'engine-cleaning': 'Assembled engine, cleaned and keyed',
};
/** What stands round a place outdoors: by it salt and soot settle. */
export const SETTING_WORDS: Readonly<Record<ClimateSetting, string>> = {
  country: 'open country',
  town: 'town',
  works: 'works and traffic',
  coast: 'near the coast',
  surf: 'in the surf’s spray',
};
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
  metal: 'metal',
  coat: 'coats',
  check: 'tests and readings',
  found: 'found and mended',
  work: 'work',
  note: 'notes and decisions',
  sign: 'sign-offs',
};
export const CHAIN_FAULT_WORDS: Readonly<Record<ChainFault['what'], string>> = {
  'text-changed': 'its text was changed',
  'link-broken': 'it does not hang on the link before it',
  'links-missing': 'links before it are missing',
  'row-changed': 'what is stored is not what was chained',
  'row-missing': 'it was taken out',
  'row-unchained': 'it was put in past the chain',
  'readings-changed': 'readings of that hour were changed, taken out or put in',
};

export const SIGN_SCOPE_WORDS: Readonly<Record<SignScope, string>> = {
  film: 'the film',
  part: 'the part',
  machine: 'the machine, this part of it',
};
export const SIGN_STATE_WORDS: Readonly<Record<SignState['state'], string>> = {
  standing: 'stands',
  superseded: 'work went on since',
  invalidated: 'what was signed was corrected since: no longer valid',
  withdrawn: 'taken back by who signed',
};
/** Stands beside every sign-off, on the page and on paper. */
export const SIGN_LIMITS =
  'It is limited to the coating and what is recorded of it here. It is no release to service, no survey of a boiler or a structure, and no qualified electronic signature: those are a licensed person’s, by local law.';

/** Text for an aircraft's own log, to be copied there and signed by the licensed person. `at` as the shop writes a day. */
export function logEntryText(of: {
  readonly partName: string;
  readonly machineName: string;
  readonly at: string;
  readonly body: FactBodies['signed-off'];
}): string {
  const { registration, workOrder, approvedData, words, standard, sha256 } = of.body;
  return [
    `${of.at}. ${registration ?? of.machineName}: protective treatment of ${of.partName}.`,
    workOrder === undefined ? null : `Work order ${workOrder}.`,
    approvedData === undefined ? 'Approved data: ________' : `In accordance with ${approvedData}.`,
    standard === undefined ? null : `Coating to ${standard}.`,
    words.endsWith('.') ? words : `${words}.`,
    `Records held by the shop under SHA-256 ${sha256.slice(0, 16)}.`,
    'Signed by the licensed person: ________  Licence: ________  Date: ________',
  ]
    .filter((line) => line !== null)
    .join(' ');
}
