import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ShopFile } from '@calvetta/contract';
import { openDatabase } from '../server/src/db/db.ts';
import type { FreshDatabase } from '../server/src/test/databases.ts';

const ROOT = join(import.meta.dirname, '..');
const DAYS = 14;

/** The server itself, as bin/demo starts it. */
export async function startServer(fresh: FreshDatabase): Promise<{ base: string; child: ChildProcess }> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      DATABASE_URL: fresh.url,
      MIGRATE_URL: fresh.ownerUrl,
      PORT: '0',
      SIMULATE: '0',
      LOG_LEVEL: 'warn',
    },
  });
  const base = await new Promise<string>((done, fail) => {
    let text = '';
    child.stderr.on('data', (b: Buffer) => (text += b.toString()));
    child.stdout.on('data', (b: Buffer) => {
      text += b.toString();
      const m = /listening (\d+)/.exec(text);
      if (m) done(`http://127.0.0.1:${m[1]}`);
    });
    child.on('exit', (code) => fail(new Error(`the server ended with ${code}: ${text}`)));
  });
  return { base, child };
}
export const post = async (
  url: string,
  body: unknown,
  headers: Readonly<Record<string, string>> = {},
): Promise<void> => {
  const r = await fetch(url, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1', ...headers },
    body: JSON.stringify(body),
  });
  if (!r.ok) throw new Error(`${url}: ${r.status} ${await r.text()}`);
};

/**
 * A shop that has gone on for years: the demo's parts with all that happened to them, and again the same work on other parts, each
 * time some weeks earlier, until there are `parts`; no two of one mass. And `DAYS` of readings.
 */
async function grow(fresh: FreshDatabase, parts: number): Promise<void> {
  const db = openDatabase(fresh.ownerUrl);
  const again = `md5(f.fact_id::text || '~' || k)::uuid`;
  const { rows } = await db.query<{ n: number }>('select count(*)::int as n from part');
  const times = Math.ceil(parts / rows[0]!.n) - 1;
  // Five years of it at four thousand parts.
  const back = `k * interval '36 days'`;
  await db.transaction(async (tx) => {
    await tx.query('set local statement_timeout = 0');
    await tx.query(
      `insert into part (workshop_id, part_id, assembly_id, name, substrate, mass_kg, area_m2, thickness_mm, is_bright_metal, faces, colour_group, pair_part_id, seq)
       select workshop_id, part_id || ':' || k, assembly_id, left(name, 100) || ' ' || k, substrate, mass_kg * (1 + k / 100.0), area_m2, thickness_mm, is_bright_metal, faces, colour_group, null, seq + 10000 * k
       from part, generate_series(1, $1::int) k order by k, seq limit $2`,
      [times, parts - rows[0]!.n],
    );
    await tx.query(
      `insert into fact (workshop_id, fact_id, subject, kind, part_id, face, happened_at, ended_at, recorded_at, person_id, device_id, supersedes, body, evidence)
       select f.workshop_id, ${again}, f.subject, f.kind, f.part_id || ':' || k, f.face, f.happened_at - ${back}, f.ended_at - ${back}, f.recorded_at - ${back}, f.person_id, f.device_id,
         md5(f.supersedes::text || '~' || k)::uuid,
         case when f.body ? 'over' then f.body || jsonb_build_object('over', md5((f.body ->> 'over') || '~' || k)::uuid) else f.body end, f.evidence
       from fact f, generate_series(1, $1::int) k
       where f.subject = 'part' and exists (select 1 from part p where p.workshop_id = f.workshop_id and p.part_id = f.part_id || ':' || k) order by k, f.seq`,
      [times],
    );
    await tx.query(
      `insert into reading (workshop_id, probe_id, place_id, at, air_c, rh_pct, surface_c, by_hand)
       select p.workshop_id, 'bench-' || p.place_id, p.place_id, date_trunc('second', now()) - (i * interval '1 minute'),
         10 + 4 * sin(i / 230.0) + (i % 3) * 0.1, 60 + 10 * cos(i / 300.0), null, false
       from place p, generate_series(0, $1::int) i on conflict do nothing`,
      [DAYS * 1440],
    );
    // By the tenth minute as far back as anything was done, with a year's warm and cold; kept to what a shed with a stove sees.
    await tx.query(
      `insert into reading (workshop_id, probe_id, place_id, at, air_c, rh_pct, surface_c, by_hand)
       select p.workshop_id, 'bench-' || p.place_id, p.place_id, at,
         14 + 5 * sin(extract(epoch from at) / 5022000.0) + 3 * sin(extract(epoch from at) / 13750.0), 60 + 10 * cos(extract(epoch from at) / 50000.0), null, false
       from place p, generate_series((select min(happened_at) from fact) - interval '1 day', now() - interval '1 day' * $1, interval '10 minutes') at
       on conflict do nothing`,
      [DAYS],
    );
    await tx.query('delete from reading where by_hand');
  });
  await db.query('analyze');
  await db.close();
}

/** A shop of so many parts in a database of its own. */
export async function prepare(fresh: FreshDatabase, parts: number): Promise<void> {
  const whole = JSON.parse(readFileSync(join(ROOT, 'demo', 'scenario', 'shop.json'), 'utf8')) as ShopFile;
  const first = await startServer(fresh);
  await post(`${first.base}/api/import/shop?shift=now`, whole);
  first.child.removeAllListeners('exit').kill('SIGTERM');
  await new Promise((done) => first.child.on('close', done));
  await grow(fresh, parts);
}

/** The Bench of a server that was started just now: a large shop says how far it is, and is asked again. */
export async function firstBench(
  base: string,
): Promise<{ readonly saidMs: number; readonly firstMs: number; readonly text: string }> {
  const start = performance.now();
  for (let saidMs: number | null = null; ;) {
    const answer = await fetch(`${base}/api/bench?since=`);
    const text = await answer.text();
    saidMs ??= performance.now() - start;
    if (answer.ok) return { saidMs, firstMs: performance.now() - start, text };
    await new Promise((done) => setTimeout(done, 100));
  }
}
