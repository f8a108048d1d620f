import { isDeepStrictEqual } from 'node:util';
import { PART_FACTS, pointersIn, STOCK_FACTS, type Kind, type Ref } from '@calvetta/core';
import { FACT_BODIES, isAtLeast, leastOfKind, problemsOf, STOCK_BODIES } from '@calvetta/contract/schemas';
import { sqlState, type Db } from '../db/db.ts';
import { howKnown, needRole, type Who } from '../door/who.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import {
  enteredBy,
  findEntry,
  findSuperseding,
  insertEntry,
  isThere,
  type Entry,
  type EntryInput,
  type EntryKind,
} from './ledger.sql.ts';

/** A device's clock may run a little ahead of the server's. */
export const CLOCK_SLACK_MS = 2 * 60_000;

const KINDS: Readonly<Record<EntryKind, Kind>> = { ...PART_FACTS, ...STOCK_FACTS };
const BODIES = { ...FACT_BODIES, ...STOCK_BODIES };

export interface Stored<E extends Entry = Entry> {
  readonly fact: E;
  /** False when the same entry was already stored: the answer is the same. */
  readonly isNew: boolean;
}

/** What a kind asks beyond its shape, inside the transaction that stores it. */
export interface KindChecks {
  /** Of a new entry and of a correction alike. */
  readonly check?: (tx: Db, workshopId: string, e: EntryInput) => Promise<void>;
  /** Of taking back or correcting one of these: `original` stands, `e` would take its place. */
  readonly checkCorrection?: (tx: Db, workshopId: string, e: EntryInput, original: Entry) => Promise<void>;
}
export type Checks = Readonly<Partial<Record<EntryKind, KindChecks>>>;

/** The kind's own body, and times that are possible. Comes back as it is to be stored. */
export function checkEntry(e: EntryInput, nowMs: number): EntryInput {
  const r = BODIES[e.kind].validate(e.body, { abortEarly: false, convert: false });
  if (r.error) {
    const problems = problemsOf(r.error).map((p) => ({ ...p, field: `body.${p.field}` }));
    if (e.kind === 'coated' && problems.some((p) => p.field === 'body.sheetId'))
      throw new AppError('no-product', { problems });
    throw invalidInput(problems);
  }
  for (const field of ['happenedAt', 'endedAt'] as const) {
    const at = e[field];
    if (at !== null && Date.parse(at) > nowMs + CLOCK_SLACK_MS)
      throw new AppError('in-the-future', { field, got: at, now: new Date(nowMs).toISOString() });
  }
  if (e.endedAt !== null && Date.parse(e.endedAt) < Date.parse(e.happenedAt)) {
    throw invalidInput([
      { field: 'endedAt', code: 'before-start', got: e.endedAt, accepts: `not before ${e.happenedAt}` },
    ]);
  }
  if (KINDS[e.kind].isVoiding && e.supersedes === null)
    throw invalidInput([
      { field: 'supersedes', code: 'any.required', got: null, accepts: 'the entry to void' },
    ]);
  return { ...e, body: r.value as EntryInput['body'] };
}

/** Stores one entry once, with everything it points at there, and nothing corrected twice. */
export async function recordEntry(
  tx: Db,
  workshopId: string,
  e: EntryInput,
  recordedAt: Date,
  checks: Checks,
  who: Who,
): Promise<Stored> {
  needRole(who, leastOfKind(e.kind));
  const already = await findEntry(tx, workshopId, e.factId);
  if (already) return sameOrConflict(already, e);
  const missing = await missingOf(tx, workshopId, e);
  if (missing.length > 0) throw new AppError('unknown-reference', { fields: missing });
  await checks[e.kind]?.check?.(tx, workshopId, e);
  if (e.supersedes !== null) await checkCorrection(tx, workshopId, e, checks, who);
  const entered = { by: who.personId, how: howKnown(who, e.personId) };
  try {
    await tx.query('savepoint one_entry');
    if (!(await insertEntry(tx, workshopId, e, recordedAt, entered)))
      return sameOrConflict((await findEntry(tx, workshopId, e.factId))!, e);
  } catch (error) {
    // Two tabs corrected the same entry at once: the unique constraint picks the winner, the loser sees both.
    if (sqlState(error) !== '23505') throw error;
    await tx.query('rollback to savepoint one_entry');
    if (e.supersedes !== null) throw await lostRace(tx, workshopId, e);
    throw new AppError('fact-conflict', { sent: e, taken: e.body['mixId'] ?? null });
  }
  return { fact: (await findEntry(tx, workshopId, e.factId))!, isNew: true };
}

/** What the entry names and is not there, by field. */
async function missingOf(tx: Db, workshopId: string, e: EntryInput): Promise<string[]> {
  const about: readonly (readonly [string, Ref, string])[] = [
    ...(e.partId === null ? [] : ([['partId', 'part', e.partId]] as const)),
    ['personId', 'person', e.personId],
    ...pointersIn(KINDS[e.kind].body, e.body).map((p) => [`body.${p.field}`, p.of, p.id] as const),
  ];
  const missing: string[] = [];
  for (const [field, of, id] of about) if (!(await isThere(tx, workshopId, of, id))) missing.push(field);
  return missing;
}

function sameOrConflict(stored: Entry, e: EntryInput): Stored {
  const [partId, face, endedAtMs] =
    'partId' in stored ? [stored.partId, stored.face, stored.endedAtMs] : [null, null, null];
  const same =
    stored.kind === e.kind &&
    partId === e.partId &&
    face === e.face &&
    stored.happenedAtMs === Date.parse(e.happenedAt) &&
    endedAtMs === (e.endedAt === null ? null : Date.parse(e.endedAt)) &&
    stored.supersedes === e.supersedes &&
    isDeepStrictEqual(stored.body, e.body);
  if (!same) throw new AppError('fact-conflict', { stored, sent: e });
  return { fact: stored, isNew: false };
}

/** A correction is of the same thing and kind, or takes it back; and nothing is corrected twice. */
async function checkCorrection(
  tx: Db,
  workshopId: string,
  e: EntryInput,
  checks: Checks,
  who: Who,
): Promise<void> {
  const original = await findEntry(tx, workshopId, e.supersedes!);
  const about = original && 'partId' in original ? original.partId : null;
  if (!original || about !== e.partId) throw new AppError('unknown-reference', { fields: ['supersedes'] });
  if (!KINDS[e.kind].isVoiding && e.kind !== original.kind) {
    const voids = e.partId === null ? 'stock-voided' : 'voided';
    throw invalidInput([
      { field: 'kind', code: 'any.only', got: e.kind, accepts: `${original.kind} or ${voids}` },
    ]);
  }
  await checkOwn(tx, workshopId, original, who);
  if (await findSuperseding(tx, workshopId, e.supersedes!)) throw await lostRace(tx, workshopId, e);
  await checks[original.kind]?.checkCorrection?.(tx, workshopId, e, original);
}

/** A hand corrects what is its own, by who did it or who wrote it down; a tablet what nobody signed in for. A lead corrects any. */
async function checkOwn(tx: Db, workshopId: string, original: Entry, who: Who): Promise<void> {
  // Who signed takes it back, and nobody for them.
  if (original.kind === 'signed-off') {
    if (who.personId === original.personId) return;
    throw new AppError('not-allowed', { role: who.role, least: 'signer' });
  }
  if (isAtLeast(who.role, 'lead')) return;
  const wroteIt = await enteredBy(tx, workshopId, original.factId);
  const isOwn =
    who.personId === null ? wroteIt === null : [original.personId, wroteIt].includes(who.personId);
  if (!isOwn) throw new AppError('not-allowed', { role: who.role, least: 'own-entry' });
}

async function lostRace(tx: Db, workshopId: string, e: EntryInput): Promise<AppError> {
  return new AppError('superseded-already', {
    stored: await findSuperseding(tx, workshopId, e.supersedes!),
    sent: e,
  });
}
