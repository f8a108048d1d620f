import { describe, expect, it } from '@jest/globals';
import type { Snapshot } from '@calvetta/core';
import { snapshotOrProgress } from './patience.ts';

const SNAPSHOT = { nowMs: 1 } as Snapshot;
const later = <T>(ms: number, value: T): Promise<T> =>
  new Promise((done) => setTimeout(() => done(value), ms));

describe('a shop that is worked out for the first time', () => {
  it('large: says how far it is when patience is over, and nothing of its parts', async () => {
    const model = { snapshot: () => later(60_000, SNAPSHOT), progress: () => ({ done: 1240, of: 4000 }) };
    await expect(snapshotOrProgress(model, 10)).rejects.toMatchObject({
      code: 'working-out',
      details: { done: 1240, of: 4000 },
    });
  });
  it('of which nobody knows yet how large it is: is looked at again', async () => {
    let asked = 0;
    const model = {
      snapshot: () => later(60_000, SNAPSHOT),
      progress: () => (++asked < 4 ? { done: 0, of: 0 } : { done: 7, of: 4000 }),
    };
    await expect(snapshotOrProgress(model, 10)).rejects.toMatchObject({ details: { done: 7, of: 4000 } });
  });
  it('small: is waited for', async () => {
    const model = { snapshot: () => later(60, SNAPSHOT), progress: () => ({ done: 3, of: 66 }) };
    expect(await snapshotOrProgress(model, 10)).toBe(SNAPSHOT);
  });
  it('done meanwhile, or there already: is answered', async () => {
    expect(
      await snapshotOrProgress(
        { snapshot: () => later(5, SNAPSHOT), progress: () => ({ done: 3999, of: 4000 }) },
        2000,
      ),
    ).toBe(SNAPSHOT);
    expect(await snapshotOrProgress({ snapshot: () => later(30, SNAPSHOT), progress: () => null }, 1)).toBe(
      SNAPSHOT,
    );
  });
  it('one that cannot be worked out says so', async () => {
    const model = {
      snapshot: () => Promise.reject(new Error('the database is away')),
      progress: () => ({ done: 0, of: 4000 }),
    };
    await expect(snapshotOrProgress(model, 1000)).rejects.toThrow('the database is away');
  });
});
