import { CHAIN_FAULT_WORDS } from '@calvetta/contract/words';
import { openDatabase } from '../db/db.ts';
import { verifyChain } from './verify.ts';

/**
 * `verify [HEAD]`, for bin/verify: walks the chain of every workshop of OWNER_URL, says what it finds, and ends with 1 where anything is
 * wrong. HEAD, 32 or 64 hex digits written down earlier, must be in one of them.
 */
const [known = null] = process.argv.slice(2);

const db = openDatabase(process.env['OWNER_URL'] ?? '');
try {
  const there = await db.query<{ chain: string | null }>(`select to_regclass('public.chain')::text as chain`);
  if (there.rows[0]?.chain == null)
    throw new Error('this record is of an older Calvetta and has no chain yet: start it once, then verify');
  const { rows } = await db.query<{ workshop_id: string }>('select workshop_id from workshop order by 1');
  let isWhole = true;
  let isKnown = false;
  for (const { workshop_id: id } of rows) {
    const v = await verifyChain(db, id, known);
    isKnown ||= typeof v.known === 'number';
    isWhole &&= v.faults.length === 0;
    const place =
      typeof v.known === 'number' ? `; your head is link ${v.known}, nothing before it was changed` : '';
    console.log(
      v.faults.length === 0
        ? `${id}: ${v.links} links, whole${place}; head ${v.head.hash.slice(0, 32)}`
        : `${id}: NOT WHOLE, ${v.links} links`,
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
