import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Ajv2019 } from 'ajv/dist/2019.js';
import type { Router } from 'express';
import { API_ROUTES } from '@calvetta/contract/schemas';
import { routersOf } from './app.ts';
import type { Deps } from './deps.ts';
import { importsRoutes } from './imports/imports.routes.ts';
import { factInput, startTestApp, type TestApp } from './test/testApp.ts';

let app: TestApp;
let doc: {
  openapi: string;
  paths: Record<string, Record<string, { requestBody?: { content: Record<string, { schema: object }> } }>>;
};
beforeAll(async () => {
  app = await startTestApp();
  doc = (await app.call('GET', '/api/openapi.json')).body;
});
afterAll(() => app.close());

/** Doors that a router opens, as Express itself keeps them. */
const doorsOf = (router: Router): string[] =>
  router.stack.flatMap((layer) => {
    const { route } = layer;
    if (!route) return [];
    const methods = [...new Set(route.stack.map((h) => h.method))];
    return methods.map((method) => `${method} ${route.path}`);
  });

describe('the description of the API', () => {
  it('names every door the server opens, and opens every door it names', () => {
    // Routers are only built here, never asked: they need nothing.
    const deps = { newId: () => '' } as unknown as Deps;
    const opened = [importsRoutes(deps), ...routersOf(deps)].flatMap(doorsOf);
    const named = API_ROUTES.map((r) => `${r.method} ${r.path}`);
    expect([...new Set(opened)].sort()).toEqual([...named].sort());
    const told = Object.entries(doc.paths).flatMap(([path, ops]) =>
      Object.keys(ops).map((m) => `${m} ${path.replace('/api', '').replaceAll(/\{(\w+)\}/g, ':$1')}`),
    );
    expect(told.sort()).toEqual([...named].sort());
  });
  it('every body is a schema that a checker of others reads', () => {
    const ajv = new Ajv2019({ strict: false, validateFormats: false });
    let n = 0;
    for (const ops of Object.values(doc.paths))
      for (const op of Object.values(ops)) {
        const schema = op.requestBody?.content['application/json']?.schema;
        if (!schema) continue;
        expect(() => ajv.compile(schema)).not.toThrow();
        n += 1;
      }
    expect(n).toBeGreaterThan(15);
  });
  it('says yes and no as the server does', async () => {
    const ajv = new Ajv2019({ strict: false, validateFormats: false });
    const says = (path: string, body: unknown): boolean =>
      ajv.validate(doc.paths[path]!['post']!.requestBody!.content['application/json']!.schema, body);
    const tried: readonly (readonly [string, unknown])[] = [
      ['/api/facts', { facts: [factInput('degreased', 'frame', 0, {})] }],
      ['/api/facts', { facts: [factInput('abraded', 'frame', 0, { how: 'sideways' })] }],
      ['/api/facts', { facts: [factInput('surface-read', 'frame', 0, { surfaceC: 400 })] }],
      ['/api/facts', { facts: [] }],
      ['/api/facts', { facts: [factInput('noted', 'frame', 0, { text: 'wiped', more: 1 })] }],
      ['/api/cups', { cupId: 'c', name: 'jug', bottomMm: 60, topMm: 80, heightMm: 100 }],
      ['/api/cups', { cupId: 'c2', name: 'jug', bottomMm: -1, topMm: 80, heightMm: 100 }],
      [
        '/api/packs',
        { packId: 'p', productId: 'nobody-sells', content: 'paint', sizeMl: 0.5, priceCents: 1 },
      ],
    ];
    const said = new Set<boolean>();
    for (const [path, body] of tried) {
      const { status, body: answer } = await app.post(path, body);
      // Whether the shape is taken; what it points at is another question.
      const isShape = !(status === 400 || (answer?.code === 'invalid-input' && status === 422));
      expect({ path, body, ok: says(path, body) }).toEqual({ path, body, ok: isShape });
      said.add(isShape);
    }
    expect(said.size).toBe(2);
  });
});
