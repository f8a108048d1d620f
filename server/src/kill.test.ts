import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { createServer, connect, type Server, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, expect, it } from '@jest/globals';
import type { ChainVerdict } from '@calvetta/contract';
import type { FactInput } from '@calvetta/contract';
import { program } from './test/program.ts';
import { factInput, smallShop } from './test/testApp.ts';

const ROOT = join(import.meta.dirname, '..', '..');
const PART = 'pump.cylinder-block';
const run = promisify(execFile);

interface Cluster {
  readonly url: string;
  readonly ownerUrl: string;
  readonly socket: string;
  readonly pid: number;
}
/** A database of this test's own, that writes to the disk before it says so, as bin/demo starts it. Starts it again after a fall. */
async function startCluster(): Promise<Cluster> {
  const script = `. bin/lib.sh; need_postgres; start_cluster kill -c synchronous_commit=on
    echo "url=$DATABASE_URL"; echo "owner=$MIGRATE_URL"; echo "socket=$sockets/.s.PGSQL.$pg_port"; echo "pid=$(as_pg head -1 "$cluster/data/postmaster.pid")"`;
  for (let tries = 1; ; tries++)
    try {
      const { stdout } = await run('bash', ['-c', script], { cwd: ROOT });
      const said = (name: string): string => new RegExp(`^${name}=(.*)$`, 'm').exec(stdout)![1]!;
      return { url: said('url'), ownerUrl: said('owner'), socket: said('socket'), pid: Number(said('pid')) };
    } catch (error) {
      // The killed one's children are still letting go of its memory.
      if (tries > 20) throw error;
      await new Promise((done) => setTimeout(done, 250));
    }
}
const dropCluster = (): Promise<unknown> =>
  run(
    'bash',
    [
      '-c',
      '. bin/lib.sh; need_postgres; cluster=$(cluster_home kill); stop_cluster; as_pg rm -rf "$cluster/data"',
    ],
    {
      cwd: ROOT,
    },
  );

/** One door for the server, wherever the database is after it was started again. */
function door(state: { socket: string }) {
  const open = new Set<Socket>();
  const server: Server = createServer((client) => {
    const upstream = connect(state.socket);
    for (const s of [client, upstream]) {
      open.add(s);
      s.on('error', () => undefined).on('close', () => {
        open.delete(s);
        client.destroy();
        upstream.destroy();
      });
    }
    client.pipe(upstream).pipe(client);
  });
  return {
    listen: () =>
      new Promise<number>((done) =>
        server.listen(0, '127.0.0.1', () => done((server.address() as AddressInfo).port)),
      ),
    close: () => {
      for (const s of open) s.destroy();
      server.close();
    },
  };
}

let cluster: Cluster;
const state = { socket: '' };
const way = door(state);
let doorUrl: string;
let server: { base: string; child: ChildProcess };

async function startServer(): Promise<typeof server> {
  const child = spawn(process.execPath, [program('main')], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      DATABASE_URL: doorUrl,
      MIGRATE_URL: cluster.ownerUrl,
      PORT: '0',
      SIMULATE: '0',
      LOG_LEVEL: 'error',
    },
  });
  const base = await new Promise<string>((done, fail) => {
    let text = '';
    child.stdout.on('data', (b: Buffer) => {
      text += b.toString();
      const m = /listening (\d+)/.exec(text);
      if (m) done(`http://127.0.0.1:${m[1]}`);
    });
    child.on('exit', (code) => fail(new Error(`ended with ${code}: ${text}`)));
  });
  return { base, child };
}
const post = (path: string, body: unknown): Promise<number> =>
  fetch(server.base + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-Calvetta': '1' },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(15_000),
  }).then(
    (r) => r.status,
    () => 0,
  );

beforeAll(async () => {
  await dropCluster();
  cluster = await startCluster();
  state.socket = cluster.socket;
  const url = new URL(cluster.url);
  url.searchParams.delete('host');
  url.hostname = '127.0.0.1';
  url.port = String(await way.listen());
  doorUrl = url.href;
  server = await startServer();
  expect(await post('/api/import/shop?shift=now', smallShop())).toBe(201);
}, 120_000);
afterAll(async () => {
  server.child.removeAllListeners('exit').kill('SIGKILL');
  way.close();
  await dropCluster();
});

/** How often the server is killed, and the database a fifth as often: `KILLS=100` for a long look. */
const KILLS = Number(process.env['KILLS'] ?? 1);

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
/** Writers that go on, whatever happens, and send what nobody answered again, as a page does; those told it is stored, and those not. */
function load() {
  const [stored, unsure]: [FactInput[], FactInput[]] = [[], []];
  const s = { isOn: true };
  const goesOn = (): boolean => s.isOn;
  const sent = async (fact: FactInput): Promise<boolean> =>
    [200, 201].includes(await post('/api/facts', { facts: [fact] }));
  const writer = async (): Promise<void> => {
    while (s.isOn) {
      const fact = factInput(
        'noted',
        PART,
        0,
        { text: 'under load' },
        { happenedAt: new Date(Date.now() - 60_000).toISOString() },
      );
      let isStored = await sent(fact);
      while (!isStored && goesOn()) {
        await pause(50);
        isStored = await sent(fact);
      }
      (isStored ? stored : unsure).push(fact);
      // A long look would otherwise end in waiting for one part's hundred thousand notes.
      if (KILLS > 5) await pause(150);
    }
  };
  const writers = Promise.all(Array.from({ length: 6 }, writer));
  return {
    stored,
    unsure,
    stop: () => {
      s.isOn = false;
      return writers;
    },
  };
}

async function idsStored(): Promise<Set<string>> {
  const { facts } = (await (await fetch(`${server.base}/api/parts/${PART}`)).json()) as {
    facts: { factId: string }[];
  };
  return new Set(facts.map((f) => f.factId));
}

it.each(Array.from({ length: KILLS }, (_, i) => (i % 5 === 0 ? ['server', 'database'] : ['server'])).flat())(
  'the %s killed while six hands write: everything that was answered is there, and what was not is stored once when sent again',
  async (which) => {
    const hands = load();
    while (hands.stored.length < 15) await new Promise((done) => setTimeout(done, 50));
    if (which === 'server') {
      server.child.removeAllListeners('exit').kill('SIGKILL');
      server = await startServer();
    } else {
      process.kill(cluster.pid, 'SIGKILL');
      cluster = await startCluster();
      state.socket = cluster.socket;
      for (let i = 0; i < 100 && (await fetch(`${server.base}/api/health`)).status !== 200; i++)
        await new Promise((done) => setTimeout(done, 100));
    }
    await new Promise((done) => setTimeout(done, 300));
    await hands.stop();
    const there = await idsStored();
    expect(hands.stored.filter((f) => !there.has(f.factId))).toEqual([]);
    for (const fact of hands.unsure)
      expect([200, 201]).toContain(await post('/api/facts', { facts: [fact] }));
    const after = await idsStored();
    for (const f of [...hands.stored, ...hands.unsure]) expect(after.has(f.factId)).toBe(true);
    const chain = (await (await fetch(`${server.base}/api/ledger/verify`)).json()) as ChainVerdict;
    expect([chain.isWhole, chain.faults]).toEqual([true, []]);
  },
  90_000,
);
