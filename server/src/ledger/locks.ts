import type { Db } from '../db/db.ts';
import type { EntryInput } from './ledger.sql.ts';
import { lockRows } from './ledger.sql.ts';

/** Ids a body names under these fields are locked with it: what a coat came from, what was poured. */
const MIX_FIELDS = ['mixId'];
const TIN_FIELDS = ['tinId', 'aTinId', 'bTinId', 'thinnerTinId'];

const named = (entries: readonly EntryInput[], fields: readonly string[]): string[] =>
  entries.flatMap((e) => fields.flatMap((f) => (typeof e.body[f] === 'string' ? [e.body[f]] : [])));

/**
 * Holds everything the entries touch until the transaction ends, always in the same order (parts, mixes, tins, each by id): what
 * is checked is what is stored, two acts on one part follow each other, and two batches in opposite order cannot wait for each
 * other. A voiding entry names no mix, so what it takes back is locked through the part or by its own unique constraint.
 */
export async function lockFor(tx: Db, workshopId: string, entries: readonly EntryInput[]): Promise<void> {
  const parts = entries.flatMap((e) => (e.partId === null ? [] : [e.partId]));
  const superseded = entries.flatMap((e) => (e.supersedes === null ? [] : [e.supersedes]));
  await lockRows(tx, workshopId, {
    parts: [...new Set(parts)],
    mixes: [...new Set(named(entries, MIX_FIELDS))],
    tins: [...new Set(named(entries, TIN_FIELDS))],
    superseded,
  });
}
