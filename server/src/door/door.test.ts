import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { API_ROUTES, RIGHTS } from '@calvetta/contract/schemas';
import { ROLES, type Role } from '@calvetta/contract';
import { AS_OF_MS, factInput, startTestApp, type TestApp } from '../test/testApp.ts';
import { at, comeIn, firstOwner, PHRASE, signIn, type Visitor } from '../test/door.ts';
import { sidHash, sweepSessions } from './sessionStore.ts';

let app: TestApp;
let owner: Visitor;
const PART = 'pump.cylinder-block';
beforeAll(async () => {
  app = await startTestApp();
  owner = await firstOwner(app, 'ines');
});
afterAll(() => app.close());

const note = (over: object = {}) => ({ facts: [factInput('noted', PART, -1, { text: 'x' }, over)] });

describe('a shop without an owner', () => {
  it('is open on its own machine, signs nobody in, and answers no proxy', async () => {
    const open = await startTestApp();
    expect((await open.call('GET', '/api/door')).body).toEqual({
      hasOwner: false,
      me: null,
      isEncrypted: false,
    });
    expect((await open.post('/api/facts', note())).status).toBe(201);
    expect(await open.post('/api/door/in', { name: 'Ines', phrase: PHRASE })).toMatchObject({
      status: 409,
      body: { code: 'no-owner' },
    });
    expect((await open.post('/api/door/invites', { role: 'hand', personId: 'ines' })).status).toBe(409);
    for (const header of ['X-Forwarded-For', 'Forwarded', 'X-Forwarded-Host'])
      expect((await open.call('GET', '/api/shop', undefined, { [header]: '10.0.0.9' })).status).toBe(409);
    await open.close();
  });
});

describe('who may do what: the one table', () => {
  const key = (r: { method: string; path: string }): string => `${r.method} ${r.path}`;
  const fill = (path: string): string => path.replaceAll(/:\w+/g, 'nobody-has-this');
  const visitors = new Map<Role | 'nobody', Visitor>();
  beforeAll(async () => {
    visitors.set('nobody', at(app));
    visitors.set('owner', owner);
    for (const role of ['viewer', 'hand', 'lead'] as const)
      visitors.set(role, await comeIn(app, owner, { role, personId: `is-${role}` }));
  });

  it('says something of every door, and of no other', () => {
    expect(Object.keys(RIGHTS).sort()).toEqual([...new Set(API_ROUTES.map(key))].sort());
  });
  it.each(API_ROUTES.map((r) => [key(r), r] as const))('%s', async (name, route) => {
    const least = RIGHTS[name]!;
    // What ends others or the shop itself is tried where it belongs; here only whether the door opens.
    for (const [role, visitor] of visitors) {
      if (name === 'post /door/out' || name === 'get /live') continue;
      const { status, body } = await visitor.call(route.method.toUpperCase(), `/api${fill(route.path)}`, {});
      const isShut = body?.code === 'sign-in' || body?.code === 'not-allowed';
      const may =
        least === 'anyone' || least === 'probe'
          ? true
          : role !== 'nobody' &&
            least !== 'inspector' &&
            (least === 'self' || ROLES.indexOf(role) >= ROLES.indexOf(least));
      expect([name, role, isShut]).toEqual([name, role, !may]);
      if (!may) expect(status).toBe(role === 'nobody' ? 401 : 403);
    }
  });
  it.each(['/api/nowhere', '/api//backup', '/api/BACKUP', '/api/backup/', '/api/%62ackup'])(
    'what is no door of the table, %s, opens to nobody',
    async (path) => {
      for (const visitor of visitors.values())
        expect([path, (await visitor.call('GET', path)).status]).toEqual([path, 404]);
      expect((await visitors.get('nobody')!.call('HEAD', '/api/backup')).status).toBe(401);
    },
  );
  it('a hand logs and does not decide; a lead decides', async () => {
    const gate = { facts: [factInput('gate-accepted', PART, -1, { gate: 'air', reason: 'we looked' })] };
    expect(await visitors.get('hand')!.post('/api/facts', gate)).toMatchObject({
      status: 403,
      body: { code: 'not-allowed', details: { least: 'lead', role: 'hand' } },
    });
    expect((await visitors.get('lead')!.post('/api/facts', gate)).status).toBe(201);
  });
  it('a hand corrects what is its own, a lead what is anybody’s', async () => {
    const hand = visitors.get('hand')!;
    const [mine, others] = [note({ personId: 'is-hand' }), note({ personId: 'ines' })];
    expect((await hand.post('/api/facts', mine)).status).toBe(201);
    expect((await owner.post('/api/facts', others)).status).toBe(201);
    const undo = (of: ReturnType<typeof note>) => ({
      facts: [factInput('voided', PART, 0, { reason: 'slip' }, { supersedes: of.facts[0]!.factId })],
    });
    expect((await hand.post('/api/facts', undo(mine))).status).toBe(201);
    expect(await hand.post('/api/facts', undo(others))).toMatchObject({
      status: 403,
      body: { details: { least: 'own-entry' } },
    });
    expect((await visitors.get('lead')!.post('/api/facts', undo(others))).status).toBe(201);
  });
});

describe('who wrote it', () => {
  it('comes from the session; that somebody else did it is a claim', async () => {
    const [own, other] = [note({ personId: 'ines' }), note({ personId: 'is-hand' })];
    for (const sent of [own, other]) expect((await owner.post('/api/facts', sent)).status).toBe(201);
    const whole = async (of: typeof own) =>
      (await owner.call('GET', `/api/ledger/entries/${of.facts[0]!.factId}`)).body;
    expect(await whole(own)).toMatchObject({ personId: 'ines', enteredBy: 'ines', how: 'session' });
    expect(await whole(other)).toMatchObject({ personId: 'is-hand', enteredBy: 'ines', how: 'claimed' });
  });
});

describe('sessions', () => {
  it('are kept as the hash of their id, and a new one is made at every sign-in', async () => {
    const first = await signIn(app, 'ines');
    const { rows } = await app.db.query<{ sid: string }>('select sid_sha256 as sid from session');
    const sids = rows.map((r) => r.sid);
    expect(sids).toContain(sidHash(first.sid()));
    expect(JSON.stringify(rows)).not.toContain(first.sid());
    // Fixation: an id that somebody brought along is not the one he is signed in under.
    const brought = first.cookie();
    const again = at(app, brought);
    await again.post('/api/door/in', { name: 'Ines', phrase: PHRASE });
    expect(again.sid()).not.toBe(first.sid());
    expect((await at(app, brought).call('GET', '/api/shop')).status).toBe(401);
    const madeUp = at(app, 'calvetta=s%3Amade-up.c2lnbmVk');
    expect((await madeUp.call('GET', '/api/shop')).status).toBe(401);
  });
  it('end at sign-out: whoever copied the cookie has nothing, and the open line is closed', async () => {
    const me = await signIn(app, 'ines');
    const stolen = me.cookie();
    const line = await fetch(`${app.base}/api/live`, { headers: { cookie: stolen } });
    const ended = line.text();
    expect((await me.post('/api/door/out', {})).status).toBe(204);
    expect((await at(app, stolen).call('GET', '/api/shop')).status).toBe(401);
    expect(await ended).toContain('"topic":"door"');
  });
  it('end after twelve hours without a hand, not after asking by itself, and at last after half a year', async () => {
    const me = await signIn(app, 'ines');
    app.clock.nowMs = AS_OF_MS + 11 * 3_600_000;
    expect((await me.call('GET', '/api/shop')).status).toBe(200);
    app.clock.nowMs = AS_OF_MS + 13 * 3_600_000;
    expect((await me.call('GET', '/api/shop')).status).toBe(401);
    const busy = await signIn(app, 'ines');
    for (let day = 1; day < 400; day++) {
      app.clock.nowMs += 11 * 3_600_000;
      const { status } = await busy.post('/api/door/here', {});
      if (status === 401) {
        // 180 days of eleven hours are 393 turns.
        expect(day).toBeGreaterThan(390);
        app.clock.nowMs = AS_OF_MS;
        return;
      }
    }
    throw new Error('it never ended');
  });
  it('end when a role changes, and what was open is closed', async () => {
    owner = await signIn(app, 'ines');
    const hand = await comeIn(app, owner, { role: 'hand', personId: 'was-hand' });
    const line = (await fetch(`${app.base}/api/live`, { headers: { cookie: hand.cookie() } })).text();
    const version = 2;
    expect(
      (await owner.call('PATCH', '/api/door/accounts/was-hand', { version, role: 'viewer' })).status,
    ).toBe(200);
    expect((await hand.call('GET', '/api/shop')).status).toBe(401);
    await line;
    const now = await signIn(app, 'was-hand');
    expect((await now.post('/api/facts', note())).status).toBe(403);
  });
});

describe('guessing', () => {
  it('a wrong phrase and an unknown name get the same answer', async () => {
    const known = await at(app).post('/api/door/in', { name: 'Ines', phrase: 'not the one at all' });
    const unknown = await at(app).post('/api/door/in', { name: 'Nobody', phrase: 'not the one at all' });
    expect(known).toEqual(unknown);
    expect(known).toMatchObject({ status: 401, body: { code: 'bad-phrase' } });
  });
  it('has to wait after five misses, and the right phrase too; whoever comes from elsewhere does not', async () => {
    const person = await comeIn(app, owner, { role: 'hand', personId: 'tried' });
    await person.post('/api/door/out', {});
    const tryIt = (phrase: string) => at(app).post('/api/door/in', { name: 'tried', phrase });
    for (let i = 0; i < 5; i++) expect((await tryIt('wrong wrong wrong')).status).toBe(401);
    expect(await tryIt(PHRASE)).toMatchObject({ status: 429, body: { details: { waitS: 60 } } });
    app.clock.nowMs += 61_000;
    expect((await tryIt(PHRASE)).status).toBe(200);
    app.clock.nowMs -= 61_000;
  });
});

describe('invitations', () => {
  it('are for one role, once, for ten minutes, and wait until the inviter has seen who came', async () => {
    await owner.post('/api/people', { personId: 'guest', name: 'Guest' });
    const { body } = await owner.post('/api/door/invites', { role: 'viewer', personId: 'guest' });
    const redeem = { token: body.token, phrase: PHRASE };
    expect((await at(app).post('/api/door/redeem', { token: body.token })).status).toBe(400);
    const took = await at(app).post('/api/door/redeem', redeem);
    expect(took).toMatchObject({ status: 201, body: { isWaiting: true } });
    expect((await at(app).post('/api/door/redeem', redeem)).status).toBe(410);
    expect((await at(app).post('/api/door/in', { name: 'Guest', phrase: PHRASE })).status).toBe(401);
    const { accounts } = (await owner.call('GET', '/api/door/accounts')).body;
    const waiting = accounts.find((a: any) => a.personId === 'guest');
    expect(waiting).toMatchObject({ isWaiting: true, role: 'viewer' });
    await owner.call('PATCH', '/api/door/accounts/guest', { version: waiting.version, isAdmitted: true });
    expect((await at(app).post('/api/door/in', { name: 'Guest', phrase: PHRASE })).status).toBe(200);

    const late = (await owner.post('/api/door/invites', { role: 'lead', personId: 'guest' })).body.token;
    app.clock.nowMs += 11 * 60_000;
    expect((await at(app).post('/api/door/redeem', { token: late, phrase: PHRASE })).status).toBe(410);
    app.clock.nowMs -= 11 * 60_000;
    const rows = (await app.db.query('select * from invite')).rows;
    expect(JSON.stringify(rows)).not.toContain(body.token);
  });
  it('the last owner stays', async () => {
    const mine = (await owner.call('GET', '/api/door/accounts')).body.accounts.find(
      (a: any) => a.personId === 'ines',
    );
    for (const change of [{ role: 'lead' }, { isEnded: true }])
      expect(
        await owner.call('PATCH', '/api/door/accounts/ines', { version: mine.version, ...change }),
      ).toMatchObject({ status: 422, body: { code: 'last-owner' } });
  });
});

describe('a tablet of the shop', () => {
  it('is never more than a hand; a pin is for one act, bound to what was shown', async () => {
    for (const role of ['lead', 'owner'])
      expect((await owner.post('/api/door/invites', { role, tabletName: 'Bench' })).status).toBe(400);
    const { token } = (await owner.post('/api/door/invites', { role: 'hand', tabletName: 'Bench' })).body;
    const tablet = at(app);
    expect((await tablet.post('/api/door/redeem', { token })).status).toBe(201);
    expect((await tablet.call('GET', '/api/door')).body.me).toMatchObject({
      name: 'Bench',
      role: 'hand',
      personId: null,
    });
    const plain = note({ personId: 'ines' });
    expect((await tablet.post('/api/facts', plain)).status).toBe(201);
    expect((await tablet.call('GET', `/api/ledger/entries/${plain.facts[0]!.factId}`)).body).toMatchObject({
      enteredBy: null,
      how: 'claimed',
    });
    expect((await tablet.call('PATCH', '/api/door/mine', { phrase: PHRASE, newPin: '135790' })).status).toBe(
      403,
    );

    expect((await owner.call('PATCH', '/api/door/mine', { phrase: PHRASE, newPin: '135790' })).status).toBe(
      204,
    );
    const body = JSON.stringify(note({ personId: 'ines' }));
    const { createHash } = await import('node:crypto');
    const bodySha256 = createHash('sha256').update(body).digest('hex');
    const act = { personId: 'ines', pin: '135790', bodySha256 };
    const send = (text: string) => tablet.call('POST', '/api/facts', text, { 'x-calvetta-act': '1' });
    expect((await tablet.post('/api/door/acts', act)).status).toBe(204);
    // Other than what was shown: refused, and the pin is used up.
    expect((await send(JSON.stringify(note({ personId: 'ines' })))).status).toBe(401);
    expect((await send(body)).status).toBe(401);
    expect((await tablet.post('/api/door/acts', act)).status).toBe(204);
    expect((await send(body)).status).toBe(201);
    const { factId } = JSON.parse(body).facts[0];
    expect((await tablet.call('GET', `/api/ledger/entries/${factId}`)).body).toMatchObject({
      enteredBy: 'ines',
      how: 'pin',
    });
    expect((await send(body)).status).toBe(401);
    // Six digits are soon tried through: five misses, and the right one is worth nothing either.
    for (let i = 0; i < 5; i++)
      expect((await tablet.post('/api/door/acts', { ...act, pin: `00000${i}` })).status).toBe(401);
    expect((await tablet.post('/api/door/acts', act)).status).toBe(401);
    const { tablets } = (await owner.call('GET', '/api/door/accounts')).body;
    expect((await owner.call('DELETE', `/api/door/tablets/${tablets[0].tabletId}`)).status).toBe(200);
    expect((await tablet.call('GET', '/api/shop')).status).toBe(401);
  });
});

describe('attacks on it', () => {
  it('a lead takes nobody’s way in away by the list of people; nor does an owner, who shuts out first', async () => {
    const lead = await signIn(app, 'is-lead');
    const row = async () =>
      (await owner.call('GET', '/api/shop')).body.people.find((p: any) => p.personId === 'ines');
    for (const by of [lead, owner]) {
      const { version } = await row();
      expect((await by.call('DELETE', `/api/people/ines?version=${version}`)).body.code).toBe('comes-in');
      expect((await by.call('PATCH', '/api/people/ines', { version, isAway: true })).body.code).toBe(
        'comes-in',
      );
    }
    expect((await owner.call('GET', '/api/door')).body.me.personId).toBe('ines');
  });
  it('a flood of wrong phrases keeps nobody waiting for long: what is too much is sent away', async () => {
    const flood = await Promise.all(
      Array.from({ length: 150 }, (_, i) =>
        at(app).post('/api/door/in', { name: `flood-${i}`, phrase: 'wrong wrong wrong' }),
      ),
    );
    const said = new Set(flood.map((r) => r.status));
    // Wrong, too many tries from one address, or busy; never a fault, never in.
    expect([...said].every((s) => [401, 429, 503].includes(s))).toBe(true);
    expect(said.has(429) || said.has(503)).toBe(true);
  });
  it('a proxy’s word is not believed: whoever tries from elsewhere under another’s address has his own misses', async () => {
    const from = (address: string) =>
      at(app).call(
        'POST',
        '/api/door/in',
        { name: 'spoofed', phrase: 'wrong wrong wrong' },
        {
          'X-Forwarded-For': address,
        },
      );
    app.clock.nowMs += 3 * 3_600_000;
    for (let i = 0; i < 5; i++) expect((await from(`10.0.0.${i}`)).status).toBe(401);
    expect((await from('10.0.0.9')).status).toBe(429);
    app.clock.nowMs -= 3 * 3_600_000;
  });
  it('sessions that are over are taken out by the hour, and what hangs on them is closed', async () => {
    const me = await signIn(app, 'is-viewer');
    const line = (await fetch(`${app.base}/api/live`, { headers: { cookie: me.cookie() } })).text();
    app.clock.nowMs += 13 * 3_600_000;
    await sweepSessions(app.deps);
    app.clock.nowMs -= 13 * 3_600_000;
    expect(await line).toContain('"topic":"door"');
    expect((await me.call('GET', '/api/shop')).status).toBe(401);
    owner = await signIn(app, 'ines');
  });
});

describe('what the door leaves in the chain', () => {
  it('every change of a role and of a name is a link; a role changed behind it is found', async () => {
    const whole = await owner.call('GET', '/api/ledger/verify');
    expect(whole.body).toMatchObject({ isWhole: true, faults: [] });
    const links = await app.db.query<{ kind: string }>(
      `select kind from chain where kind in ('person', 'account')`,
    );
    expect(links.rows.length).toBeGreaterThan(10);
    expect(JSON.stringify((await app.db.query('select entry from chain')).rows)).not.toContain('Guest');
    const after = async (sql: string) => {
      await app.asOwner((db) => db.query(`set session_replication_role = replica; ${sql}`));
      return (await owner.call('GET', '/api/ledger/verify')).body.faults;
    };
    expect(await after(`update account set role = 'owner' where person_id = 'guest'`)).toMatchObject([
      { kind: 'account', id: 'guest', what: 'row-changed' },
    ]);
    await after(`update account set role = 'viewer' where person_id = 'guest'`);
    expect(await after(`update person set name = 'Somebody else' where person_id = 'guest'`)).toMatchObject([
      { kind: 'person', id: 'guest', what: 'row-changed' },
    ]);
    await after(`update person set name = 'Guest' where person_id = 'guest'`);
    expect(await after(`delete from account where person_id = 'guest'`)).toMatchObject([
      { kind: 'account', id: 'guest', what: 'row-missing' },
    ]);
  });
  it('a person made and deleted again leaves the chain whole', async () => {
    const personId = `p-${randomUUID().slice(0, 8)}`;
    await owner.post('/api/people', { personId, name: 'A slip' });
    expect((await owner.call('DELETE', `/api/people/${personId}?version=1`)).body.removed).toBe('deleted');
    await owner.post('/api/people', { personId, name: 'A slip' });
    const { faults } = (await owner.call('GET', '/api/ledger/verify')).body;
    expect(faults.filter((f: any) => f.id === personId)).toEqual([]);
  });
});
