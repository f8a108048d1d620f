import { findingsOf, ofKind, standingFacts, type Fact, type FactOf, type Finding } from '@calvetta/core';
import type { Db } from '../db/db.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import type { Checks, KindChecks } from '../ledger/ledger.ts';
import { listFacts, type EntryInput } from '../ledger/ledger.sql.ts';

/** What findings ask beyond their shapes: that they are of this part, that one is closed once, and who may close one that holds it. */

type Standing = readonly Fact[];
const standingOf = async (tx: Db, workshopId: string, e: EntryInput): Promise<Standing> =>
  standingFacts(await listFacts(tx, workshopId, [e.partId!]));

/** The finding an entry speaks of, on the same part. */
function findingOf(standing: Standing, e: EntryInput): Finding {
  const found = findingsOf(standing).find((f) => f.findingId === e.body['findingId']);
  if (!found) throw new AppError('unknown-reference', { fields: ['body.findingId'] });
  return found;
}

const ofFinding: KindChecks = {
  async check(tx, workshopId, e) {
    if (e.body['findingId'] !== undefined) findingOf(await standingOf(tx, workshopId, e), e);
  },
};

const needs = (field: string, accepts: string): AppError =>
  invalidInput([{ field: `body.${field}`, code: 'any.required', got: null, accepts }]);

/** Under the lock of its part, so that of two people who close it at once the second sees the first. */
const closing: KindChecks = {
  async check(tx, workshopId, e) {
    const standing = await standingOf(tx, workshopId, e);
    const finding = findingOf(standing, e);
    const closed = ofKind(standing, 'finding-closed').find(
      (f) => f.body.findingId === finding.findingId && f.factId !== e.supersedes,
    );
    if (closed) throw new AppError('closed-already', { stored: closed, sent: e });
    const { how, by, reason } = e.body as FactOf<'finding-closed'>['body'];
    // What held the part before it was closed holds it still, if this entry corrects that closing.
    const holds = findingsOf(standing.filter((f) => f.factId !== e.supersedes)).find(
      (f) => f.findingId === finding.findingId,
    )?.holds;
    if (holds && how !== 'licensed-answer') throw new AppError('finding-holds', { holds });
    if (how === 'licensed-answer' && by === undefined) throw needs('by', 'who answered, by name');
    if (how === 'licensed-answer' && reason === undefined) throw needs('reason', 'what they answered');
    if (how === 'accepted' && reason === undefined) throw needs('reason', 'why it may stay as it is');
  },
};

/** A slip of the finger may be taken back so soon after it, ms; after that, what holds a part is ended by an answer alone. */
const SLIP_MS = 10 * 60_000;

const found = (nowMs: () => number): KindChecks => ({
  async checkCorrection(tx, workshopId, e, original) {
    if (original.kind !== 'found') return;
    const standing = await standingOf(tx, workshopId, e);
    const holds = findingsOf(standing).find((f) => f.fact.factId === original.factId)?.holds;
    if (!holds || nowMs() - original.recordedAtMs < SLIP_MS) return;
    const { what } = e.body as FactOf<'found'>['body'];
    if (e.kind === 'voided' || what !== original.body.what) throw new AppError('finding-holds', { holds });
  },
  async check(tx, workshopId, e) {
    const { what, fault, sign, coatFactId } = e.body as FactOf<'found'>['body'];
    if (what === 'fault' && fault === undefined) throw needs('fault', 'how it looks');
    if (what === 'sign' && sign === undefined) throw needs('sign', 'which sign it is');
    if (coatFactId === undefined) return;
    const coats = ofKind(await standingOf(tx, workshopId, e), 'coated');
    if (!coats.some((c) => c.factId === coatFactId))
      throw new AppError('unknown-reference', { fields: ['body.coatFactId'] });
  },
});

/** Of what may be conceded: entries that say how something is or was done. */
const MAY_BE_CONCEDED: readonly string[] = ['film-read', 'coated', 'stripped', 'found'];
const conceded: KindChecks = {
  async check(tx, workshopId, e) {
    const about = (await standingOf(tx, workshopId, e)).find((f) => f.factId === e.body['aboutId']);
    if (!about || !MAY_BE_CONCEDED.includes(about.kind))
      throw new AppError('unknown-reference', { fields: ['body.aboutId'] });
  },
};

export const findingChecks = (nowMs: () => number): Checks => ({
  conceded,
  found: found(nowMs),
  'finding-answered': ofFinding,
  'remedy-set': ofFinding,
  'repair-chosen': ofFinding,
  'pits-measured': ofFinding,
  pictured: ofFinding,
  'rust-measured': ofFinding,
  'finding-closed': closing,
});
