import { CHAIN_FAULT_WORDS } from '@calvetta/contract/words';
import { existsSync, readFileSync } from 'node:fs';
import type { SignedHead } from '@calvetta/contract';
import { openDatabase } from '../db/db.ts';
import { isSigned, readHeads } from './heads.ts';
import { verifyChain } from './verify.ts';

/**
 * `verify [HEAD]`, for bin/verify: walks the chain of every workshop of OWNER_URL, says what it finds, and ends with 1 where anything is
 * wrong. HEAD, 32 or 64 hex digits written down earlier or the file of a signed head, must be in one of
 * them; so must the heads of HEADS_FILE, which the server kept outside the database.
 */
const [given = null] = process.argv.slice(2);

/** A head written down, or the file of a signed one. */
function knownOf(text: string | null): string | null {
  if (text === null || !existsSync(text)) return text;
  const head = JSON.parse(readFileSync(text, 'utf8')) as SignedHead;
  if (!isSigned(head)) throw new Error(`${text} is not as it was signed`);
  console.log(
    `${text}: signed by key ${head.publicKey.slice(0, 16)} on ${new Date(head.atMs).toISOString()}`,
  );
  return head.hash;
}

const db = openDatabase(process.env['OWNER_URL'] ?? '');
try {
  const known = knownOf(given);
  const kept = readHeads(process.env['HEADS_FILE'] ?? null);
  const there = await db.query<{ chain: string | null }>(`select to_regclass('public.chain')::text as chain`);
  if (there.rows[0]?.chain == null)
    throw new Error('this record is of an older Calvetta and has no chain yet: start it once, then verify');
  const { rows } = await db.query<{ workshop_id: string }>('select workshop_id from workshop order by 1');
  let isWhole = true;
  let isKnown = false;
  for (const { workshop_id: id } of rows) {
    const v = await verifyChain(db, id, known, kept);
    isKnown ||= typeof v.known === 'number';
    isWhole &&= v.faults.length === 0 && v.lost.every((h) => h.isRestored);
    const place =
      typeof v.known === 'number' ? `; your head is link ${v.known}, nothing before it was changed` : '';
    console.log(
      v.faults.length === 0 && v.lost.every((h) => h.isRestored)
        ? `${id}: ${v.links} links, whole${place}; head ${v.head.hash.slice(0, 32)}`
        : `${id}: NOT WHOLE, ${v.links} links`,
    );
    for (const h of v.lost)
      console.log(
        `  the end kept on ${new Date(h.atMs).toISOString()} (link ${h.seq}) is not in it: ${h.isRestored ? 'a backup of before was put back since' : 'it was cut off, or made anew'}`,
      );
    for (const f of v.faults) console.log(`  link ${f.seq}, ${f.kind} ${f.id}: ${CHAIN_FAULT_WORDS[f.what]}`);
  }
  if (known !== null && !isKnown)
    console.log(`no chain holds the head ${known}: what it stood for was changed or cut off`);
  process.exitCode = isWhole && (known === null || isKnown) ? 0 : 1;
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
} finally {
  await db.close();
}
