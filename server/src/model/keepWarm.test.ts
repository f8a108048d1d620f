import { expect, it } from '@jest/globals';
import { keepWarm } from './keepWarm.ts';

const soon = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

it('the shop is worked out at the start and again while nobody looks; a database that is away for once ends nothing', async () => {
  let asked = 0;
  const said: string[] = [];
  const model = {
    snapshot: () =>
      ++asked === 1 ? Promise.reject(new Error('the database is away')) : Promise.resolve(null),
  };
  const stop = keepWarm(model, { warn: (what: { err: string }) => said.push(what.err) } as never, 5);
  expect(asked).toBe(1);
  for (let i = 0; i < 200 && asked < 3; i++) await soon(5);
  expect(asked).toBeGreaterThanOrEqual(3);
  expect(said).toEqual(['Error: the database is away']);
  stop();
  const then = asked;
  await soon(40);
  expect(asked).toBe(then);
});
