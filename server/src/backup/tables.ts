import type { Db } from '../db/db.ts';

/** A table that a backup holds, as the database's own catalogue describes it. */
export interface Table {
  readonly name: string;
  /** How its rows are put in order: by what counts them, else by their key. */
  readonly orderBy: readonly string[];
  /** The column that counts its rows; its counter goes on behind the last. */
  readonly counter: string | null;
  /** It holds pictures or the like: few rows at a time. */
  readonly isHeavy: boolean;
}

/** A table whose comment begins so is worked out from the others and can be dropped: no backup holds it. */
export const DERIVED = 'derived';

/**
 * Every table with data of the shop, each after those it refers to. Read from the catalogue, so that a table that a later
 * migration adds is in the next backup without anybody thinking of it.
 */
export async function tablesOf(db: Db): Promise<Table[]> {
  const { rows } = await db.query<{
    name: string;
    key: string[] | null;
    counter: string | null;
    isHeavy: boolean;
    needs: string[];
  }>(
    `select c.relname as name,
       (select array_agg(a.attname::text order by k.n) from pg_index i, unnest(i.indkey) with ordinality k(attnum, n)
          join pg_attribute a on a.attrelid = c.oid and a.attnum = k.attnum where i.indrelid = c.oid and i.indisprimary) as key,
       (select attname::text from pg_attribute where attrelid = c.oid and attidentity <> '' limit 1) as counter,
       exists(select 1 from pg_attribute where attrelid = c.oid and atttypid = 'bytea'::regtype) as "isHeavy",
       array(select distinct f.relname::text from pg_constraint x join pg_class f on f.oid = x.confrelid
             where x.conrelid = c.oid and x.contype = 'f' and x.confrelid <> c.oid) as needs
     from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname <> 'migration'
       and coalesce(obj_description(c.oid), '') not like $1 order by c.relname`,
    [`${DERIVED}%`],
  );
  const left = new Map(rows.map((r) => [r.name, r]));
  const out: Table[] = [];
  while (left.size > 0) {
    const ready = [...left.values()].filter((r) => r.needs.every((n) => !left.has(n)));
    if (ready.length === 0) throw new Error(`tables refer to one another: ${[...left.keys()].join(', ')}`);
    for (const r of ready) {
      left.delete(r.name);
      const orderBy = r.counter === null ? r.key : [r.counter];
      if (orderBy === null) throw new Error(`the table ${r.name} has no key to put its rows in order by`);
      out.push({ name: r.name, orderBy, counter: r.counter, isHeavy: r.isHeavy });
    }
  }
  return out;
}

/** A name of the catalogue inside a statement. */
export const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;
