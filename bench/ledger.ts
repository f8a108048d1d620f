import { dossierOf } from '@calvetta/core';
import { Paper } from '../server/src/dossier/paper.ts';
import { newPaper, writeDossier } from '../server/src/dossier/dossierPdf.ts';
import { readSecrets } from '../server/src/door/secrets.ts';
import { createHeads } from '../server/src/ledger/heads.ts';
import { createModel } from '../server/src/model/model.ts';
import { verifyChain } from '../server/src/ledger/verify.ts';
import { AS_OF_MS, factInput, smallShop, startTestApp, type TestApp } from '../server/src/test/testApp.ts';
import type { Line } from './print.ts';

const WRITES = 600;
const AT_ONCE = 8;
const LINKS = 100_000;
const PARTS = 200;
const PART = 'quarry.main-frame-left';

/** Writes a second by the ordinary door, eight hands at once. */
async function writesPerSecond(app: TestApp): Promise<number> {
  const parts = [PART, 'quarry.cab-side-left', 'pump.cylinder-block'];
  const start = performance.now();
  for (let i = 0; i < WRITES; i += AT_ONCE)
    await Promise.all(
      Array.from({ length: AT_ONCE }, (_, k) =>
        app.post('/api/facts', { facts: [factInput('noted', parts[k % 3]!, 0, { text: `note ${i + k}` })] }),
      ),
    );
  return WRITES / ((performance.now() - start) / 1000);
}

/** The same shop two hundred times over, for paper. */
function bigShop() {
  const small = smallShop();
  const machine = small.machines[0]!;
  const assembly = machine.assemblies[0]!;
  const parts = Array.from({ length: PARTS }, (_, i) => ({
    ...assembly.parts[0]!,
    partId: `part-${i}`,
    name: `Part ${i}`,
    pairPartId: null,
  }));
  return { ...small, facts: [], machines: [{ ...machine, assemblies: [{ ...assembly, parts }] }] };
}

async function dossierMs(): Promise<readonly [one: number, all: number, pages: number]> {
  const app = await startTestApp({ shop: bigShop() });
  try {
    const facts = Array.from({ length: PARTS }, (_, i) => [
      factInput('moved', `part-${i}`, -200, { placeId: 'booth' }),
      factInput('stripped', `part-${i}`, -100, { method: 'blast' }),
      factInput('coated', `part-${i}`, -99, { sheetId: 'epoxy-primer.1', dftUm: 60, reason: 'bench' }),
    ]).flat();
    for (let i = 0; i < facts.length; i += 300)
      await app.post('/api/facts', { facts: facts.slice(i, i + 300) });
    const snapshot = (await createModel(app.db, () => AS_OF_MS).snapshot())!;
    const write = async (n: number): Promise<readonly [number, number]> => {
      const start = performance.now();
      const d = dossierOf(snapshot, 'All of it', [...snapshot.parts.values()].slice(0, n));
      const paper: Paper = newPaper(d);
      paper.doc.resume();
      const pages = await writeDossier(paper, d, {
        head: createHeads(readSecrets(null).headKey, null, () => AS_OF_MS).sign('bench', {
          seq: 0,
          hash: '0'.repeat(64),
        }),
        knownOf: () => null,
        picturesOf: () => Promise.resolve([]),
        isGivenUp: () => Promise.resolve(false),
      });
      return [performance.now() - start, pages];
    };
    await write(2);
    const [one] = await write(1);
    const [all, pages] = await write(PARTS);
    return [one, all, pages];
  } finally {
    await app.close();
  }
}

/** Chained writes against the same without the chain; a hundred thousand links walked; paper for two hundred parts. */
export async function benchLedger(): Promise<Line[]> {
  const app = await startTestApp();
  try {
    const guard = (to: 'enable' | 'disable') =>
      app.asOwner((db) => db.query(`alter table fact ${to} trigger chain_fact`));
    await writesPerSecond(app);
    const chained = await writesPerSecond(app);
    await guard('disable');
    const bare = await writesPerSecond(app);
    await guard('enable');
    // Links of rows that are there, as many as a works makes in thirty years.
    await app.asOwner((db) =>
      db.query(
        `insert into fact (workshop_id, fact_id, subject, kind, part_id, happened_at, recorded_at, person_id, device_id, body)
         select 'saltmarsh', gen_random_uuid(), 'part', 'noted', '${PART}', now(), now(), 'ines', 'bench', jsonb_build_object('text', 'note ' || i)
           from generate_series(1, ${LINKS}) i`,
      ),
    );
    // As the database does by itself within a minute.
    await app.asOwner((db) => db.query('analyze fact, chain'));
    const start = performance.now();
    const verdict = await verifyChain(app.db, 'saltmarsh');
    const verifyMs = performance.now() - start;
    const [one, all, pages] = await dossierMs();
    return [
      { what: 'writes a second, unchained (baseline)', value: bare.toFixed(0) },
      {
        what: 'writes a second, chained',
        value: `${chained.toFixed(0)}, ${(chained / bare).toFixed(2)} of it`,
      },
      {
        what: `verify of ${verdict.links} links`,
        value: `${(verifyMs / 1000).toFixed(1)} s, ${((1000 * verifyMs) / verdict.links).toFixed(0)} µs a link`,
      },
      {
        what: `dossier of ${PARTS} parts, ${pages} pages`,
        value: `${(all / 1000).toFixed(1)} s, ${(all / one).toFixed(0)} × that of one part`,
      },
    ];
  } finally {
    await app.close();
  }
}
