import { createHash } from 'node:crypto';
import type { ChainFault, ChainHead, ChainVerdict, SignedHead } from '@calvetta/contract';
import type { Database, Db } from '../db/db.ts';
import { brokenSeals } from './seals.ts';

/**
 * Whether the record was rewritten: every link is worked out again from its text, every row is held against the text that was chained of
 * it, and every row must have one. What it can show and what it cannot stands in docs/ledger.md.
 */

const NONE = '0'.repeat(64);
const PAGE = 4000;
/** More faults than this say nothing more. */
const MOST_FAULTS = 50;

const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex');
/** Hash of a link: over the link before, its place, and the hash of its text. */
export const linkHash = (prev: string, seq: number, entryHash: string): string =>
  sha256(`${prev}\n${seq}\n${entryHash}`);

/** The newest link; of an empty chain the place before the first. */
export async function headOf(db: Db, workshopId: string): Promise<ChainHead> {
  const { rows } = await db.query<ChainHead>(
    'select seq::float8 as seq, hash from chain where workshop_id = $1 order by seq desc limit 1',
    [workshopId],
  );
  return rows[0] ?? { seq: 0, hash: NONE };
}

interface Link {
  readonly seq: number;
  readonly kind: ChainFault['kind'];
  readonly id: string;
  readonly entry: string | null;
  readonly entry_hash: string;
  readonly prev: string;
  readonly hash: string;
}

/**
 * Walks the chain of one workshop; `known` is a head from elsewhere, 32 or 64 hex digits, that it should hold; `kept` are those that the
 * server itself kept outside the database.
 */
export function verifyChain(
  db: Database,
  workshopId: string,
  known: string | null = null,
  kept: readonly SignedHead[] = [],
): Promise<ChainVerdict> {
  return db.transaction(async (tx) => {
    // One picture of everything, however long it takes.
    await tx.query('set transaction isolation level repeatable read, read only');
    await tx.query('set local statement_timeout = 0');
    // As times were written when they were chained.
    await tx.query(`set local timezone = 'UTC'`);
    const walk = await walkLinks(tx, workshopId, known);
    const rows = await rowFaults(tx, workshopId);
    const changing = await changingFaults(tx, workshopId);
    const seals = await brokenSeals(tx, workshopId);
    const readings = await sealFaults(tx, workshopId, seals.broken);
    const own = kept.filter((h) => h.chain === workshopId);
    const lost = await lostHeads(tx, workshopId, own);
    const faults = [...walk.faults, ...rows, ...changing, ...readings]
      .sort((a, b) => a.seq - b.seq)
      .slice(0, MOST_FAULTS);
    return {
      head: walk.head,
      links: walk.links,
      isWhole:
        faults.length === 0 &&
        lost.every((h) => h.isRestored) &&
        (known === null || walk.knownAt !== 'missing'),
      sealedToMs: seals.sealedToMs,
      kept: own.length,
      lost,
      faults,
      known: known === null ? null : walk.knownAt,
    };
  });
}

async function walkLinks(tx: Db, workshopId: string, known: string | null) {
  const faults: ChainFault[] = [];
  let knownAt: number | 'missing' = 'missing';
  let [prev, seq, links] = [NONE, 0, 0];
  for (;;) {
    const { rows } = await tx.query<Link>(
      `select seq::float8 as seq, kind, id, entry, entry_hash, prev, hash from chain
        where workshop_id = $1 and seq > $2 order by seq limit ${PAGE}`,
      [workshopId, seq],
    );
    for (const l of rows) {
      const at = { seq: l.seq, kind: l.kind, id: l.id };
      if (l.seq !== seq + 1) faults.push({ ...at, what: 'links-missing' });
      if (l.prev !== prev) faults.push({ ...at, what: 'link-broken' });
      else if (l.entry !== null && sha256(l.entry) !== l.entry_hash)
        faults.push({ ...at, what: 'text-changed' });
      else if (linkHash(l.prev, l.seq, l.entry_hash) !== l.hash) faults.push({ ...at, what: 'link-broken' });
      if (known !== null && l.hash.startsWith(known.toLowerCase())) knownAt = l.seq;
      [prev, seq] = [l.hash, l.seq];
      links += 1;
    }
    if (rows.length < PAGE) break;
  }
  return { faults, knownAt, head: { seq, hash: prev }, links };
}

/** The tables that are chained, how a row of each is found by the id of its link, and what of it was chained. */
const CHAINED = [
  { kind: 'fact', on: 'r.fact_id = c.id::uuid', id: 'r.fact_id::text', row: 'to_jsonb(r)' },
  { kind: 'sheet', on: 'r.sheet_id = c.id', id: 'r.sheet_id', row: 'to_jsonb(r)' },
  { kind: 'event', on: 'r.event_id = c.id::uuid', id: 'r.event_id::text', row: 'to_jsonb(r)' },
  { kind: 'reading_seal', on: 'r.seal_id = c.id::uuid', id: 'r.seal_id::text', row: 'to_jsonb(r)' },
  { kind: 'picture', on: 'r.picture_id = c.id', id: 'r.picture_id', row: 'chained_row(r)' },
] as const;

/** Rows that are not what was chained of them, that are gone, or that nobody chained. */
async function rowFaults(tx: Db, workshopId: string): Promise<ChainFault[]> {
  const faults: ChainFault[] = [];
  for (const { kind, on, id, row } of CHAINED) {
    const differ = await tx.query<ChainFault>(
      // Most are the same to the letter; of the rest only the fields that were chained count: a column that came later is none.
      `with held as materialized (
         select c.seq, c.kind, c.id, c.entry::jsonb -> 'row' as was, case when r.workshop_id is null then null else ${row} end as now
           from chain c left join ${kind} r on r.workshop_id = c.workshop_id and ${on}
          where c.workshop_id = $1 and c.kind = '${kind}' and c.entry is not null)
       select seq::float8 as seq, kind, id, case when now is null then 'row-missing' else 'row-changed' end as what from held
        where now is null or (was <> now and exists (
          select 1 from jsonb_each(was) e where now -> e.key is distinct from e.value))
        order by seq limit ${MOST_FAULTS}`,
      [workshopId],
    );
    const unchained = await tx.query<ChainFault>(
      `select 0 as seq, '${kind}' as kind, ${id} as id, 'row-unchained' as what from ${kind} r
        where r.workshop_id = $1 and not exists (
          select 1 from chain c where c.workshop_id = r.workshop_id and c.kind = '${kind}' and c.id = ${id})
        limit ${MOST_FAULTS}`,
      [workshopId],
    );
    faults.push(...differ.rows, ...unchained.rows);
  }
  return faults;
}

/** Seals that are broken, with their place in the chain. */
async function sealFaults(tx: Db, workshopId: string, broken: readonly string[]): Promise<ChainFault[]> {
  if (broken.length === 0) return [];
  const { rows } = await tx.query<ChainFault>(
    `select seq::float8 as seq, kind, id, 'readings-changed' as what from chain
      where workshop_id = $1 and kind = 'reading_seal' and id = any($2)`,
    [workshopId, broken],
  );
  return rows;
}

/** Tables whose rows change: there is a link for every change, and the newest is what must stand there. */
const CHANGING = ['person', 'account'] as const;

async function changingFaults(tx: Db, workshopId: string): Promise<ChainFault[]> {
  const faults: ChainFault[] = [];
  for (const kind of CHANGING) {
    const { rows } = await tx.query<ChainFault>(
      `with newest as (
         select distinct on (c.id) c.seq, c.id, c.entry::jsonb -> 'row' as was from chain c
          where c.workshop_id = $1 and c.kind = '${kind}' and c.entry is not null order by c.id, c.seq desc),
       rows as (select r.person_id as id, chained_row(r) as now from ${kind} r where r.workshop_id = $1)
       select coalesce(n.seq, 0)::float8 as seq, '${kind}' as kind, coalesce(n.id, r.id) as id,
         case when n.id is null then 'row-unchained' when r.id is null then 'row-missing' else 'row-changed' end as what
         from newest n full join rows r on r.id = n.id
        where n.id is null or (r.id is null and not n.was ? 'is_gone') or (r.id is not null and n.was <> r.now)
        order by 1 limit ${MOST_FAULTS}`,
      [workshopId],
    );
    faults.push(...rows);
  }
  return faults;
}

/**
 * Heads that were kept and are not in the chain: it was cut off, or made anew. Where a backup of before was put back afterwards, the
 * record says so itself, and that explains them.
 */
async function lostHeads(
  tx: Db,
  workshopId: string,
  kept: readonly SignedHead[],
): Promise<ChainVerdict['lost']> {
  const { rows } = await tx.query<{ seq: number; hash: string }>(
    'select seq::float8 as seq, hash from chain where workshop_id = $1 and seq = any($2)',
    [workshopId, kept.map((h) => h.seq)],
  );
  const hashAt = new Map(rows.map((r) => [r.seq, r.hash]));
  const restores = await tx.query<{ atMs: number; asOf: string }>(
    `select (extract(epoch from at) * 1000)::float8 as "atMs", body ->> 'asOf' as "asOf" from event where workshop_id = $1 and kind = 'restored'`,
    [workshopId],
  );
  return kept
    .filter((h) => h.seq > 0 && hashAt.get(h.seq) !== h.hash)
    .map((h) => ({
      seq: h.seq,
      hash: h.hash,
      atMs: h.atMs,
      isRestored: restores.rows.some((r) => Date.parse(r.asOf) <= h.atMs && h.atMs <= r.atMs),
    }));
}
