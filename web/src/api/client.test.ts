import { afterEach, expect, it } from '@jest/globals';
import { getShop, send } from './client.ts';
import { readingWrite } from '../record/write.ts';

const real = globalThis.fetch;
afterEach(() => void (globalThis.fetch = real));

it('what is read after a write names the last entry that is known to be stored', async () => {
  const asked: (string | undefined)[] = [];
  const answers = [{}, { seq: 41 }, {}, { seq: 7 }, {}];
  globalThis.fetch = ((_path, init) => {
    asked.push((init!.headers as Record<string, string>)['x-calvetta-seq']);
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(answers.shift()) });
  }) as typeof fetch;
  const write = readingWrite('shed', { at: '2026-03-05T18:00:00Z', airC: 9, rhPct: 70 });
  await getShop();
  await send(write);
  await getShop();
  // The answer to something older does not take it back.
  await send(write);
  await getShop();
  expect(asked).toEqual([undefined, undefined, '41', '41', '41']);
});
