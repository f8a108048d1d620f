import type { Role } from '@calvetta/contract';
import { invite } from '../door/invites.ts';
import { findWorkshop } from '../shop/shop.sql.ts';
import type { Answer, TestApp } from './testApp.ts';

/** For tests only: somebody with a browser of his own. */
export interface Visitor {
  call(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>;
  post(path: string, body: unknown): Promise<Answer>;
  cookie(): string;
  /** Of his session, as the browser has it. */
  sid(): string;
}
export const PHRASE = 'tide over the slip at noon';

export function at(app: TestApp, cookie = ''): Visitor {
  let held = cookie;
  const call: Visitor['call'] = async (method, path, body, headers = {}) => {
    const isRead = method === 'GET' || method === 'HEAD';
    const res = await fetch(app.base + path, {
      method,
      headers: {
        'Content-Type': 'application/json',
        'X-Calvetta': '1',
        ...(held === '' ? {} : { cookie: held }),
        ...headers,
      },
      ...(isRead || body === undefined
        ? {}
        : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const set = res.headers.getSetCookie()[0];
    if (set !== undefined) held = set.split(';')[0]!;
    const isJson = (res.headers.get('content-type') ?? '').includes('json');
    const text = await res.text();
    return { status: res.status, body: isJson && text !== '' ? JSON.parse(text) : text || null };
  };
  return {
    call,
    post: (path, body) => call('POST', path, body),
    cookie: () => held,
    // The cookie is `s:ID.signature`, percent-encoded.
    sid: () =>
      decodeURIComponent(held.split('=')[1] ?? '')
        .slice(2)
        .split('.')[0]!,
  };
}

/** Somebody who has an account signs in under his name. */
export async function signIn(app: TestApp, name: string): Promise<Visitor> {
  const visitor = at(app);
  const r = await visitor.post('/api/door/in', { name, phrase: PHRASE });
  if (r.status !== 200) throw new Error(JSON.stringify(r.body));
  return visitor;
}

/** The first owner, by an invitation from the console. */
export async function firstOwner(app: TestApp, personId: string): Promise<Visitor> {
  const { workshopId } = (await findWorkshop(app.db))!;
  const { token } = await invite(app.db, workshopId, app.clock.nowMs, {
    personId,
    tabletName: null,
    role: 'owner',
    isInspector: false,
    madeBy: null,
  });
  const r = await at(app).post('/api/door/redeem', { token, phrase: PHRASE });
  if (r.status !== 201) throw new Error(JSON.stringify(r.body));
  return signIn(app, r.body.name);
}

/** A person is made, invited, let in, and signs in under his id as name. */
export async function comeIn(
  app: TestApp,
  owner: Visitor,
  of: { readonly role: Role; readonly personId: string; readonly isInspector?: boolean },
): Promise<Visitor> {
  const { personId } = of;
  const must = async (work: Promise<Answer>): Promise<any> => {
    const { status, body } = await work;
    if (status >= 300) throw new Error(JSON.stringify(body));
    return body;
  };
  await must(owner.post('/api/people', { personId, name: personId }));
  const { token } = await must(owner.post('/api/door/invites', of));
  await must(at(app).post('/api/door/redeem', { token, phrase: PHRASE }));
  await must(owner.call('PATCH', `/api/door/accounts/${personId}`, { version: 1, isAdmitted: true }));
  return signIn(app, personId);
}
