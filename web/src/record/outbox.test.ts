import { beforeEach, describe, expect, it } from '@jest/globals';
import type { ErrorBody } from '@calvetta/contract';
import { Away, Refused } from '../api/client.ts';
import { Sender, useOutbox } from './outbox.ts';
import { memoryStore } from './store.ts';
import { cupWrite, labelWrite, packGone, readingWrite, type Write } from './write.ts';

const reading = (airC: number): Write =>
  readingWrite('shed', { at: '2026-03-05T18:00:00Z', airC, rhPct: 60 });
const no = (
  code: 'version-conflict' | 'not-found' | 'invalid-input',
  details: Record<string, unknown> = {},
) => new Refused(409, { code, details, remedy: 'Say it again.' } as ErrorBody);

/** A line that can be cut, and what arrived over it. */
function line() {
  const store = memoryStore();
  const arrived: Write[] = [];
  const state = { isCut: false, answer: (_: Write): unknown => ({ stored: 1 }) };
  const heldWhenSent: number[] = [];
  const sender = new Sender(store, async (write) => {
    heldWhenSent.push((await store.all()).length);
    if (state.isCut) throw new Away('cut');
    const answer = state.answer(write);
    arrived.push(write);
    return answer;
  });
  return { sender, store, arrived, state, heldWhenSent };
}
const waiting = (): readonly string[] => useOutbox.getState().waiting.map((w) => w.what);

describe('every write of a page', () => {
  beforeEach(() => useOutbox.setState({ waiting: [], refused: [] }));

  it('is written down before it is sent, and gone from here once the server has it', async () => {
    const l = line();
    expect(await l.sender.record(reading(12))).toEqual({ kind: 'stored', answer: { stored: 1 } });
    expect(l.heldWhenSent).toEqual([1]);
    expect(await l.store.all()).toEqual([]);
  });
  it('waits while the line is cut, whatever it is, and goes out in its order, each once', async () => {
    const l = line();
    l.state.isCut = true;
    const writes = [
      reading(12),
      cupWrite({ cupId: 'c', name: 'jug', bottomMm: 60, topMm: 80, heightMm: 100 }),
      reading(13),
    ];
    for (const w of writes) expect(await l.sender.record(w)).toEqual({ kind: 'waits' });
    expect(waiting()).toEqual(['A reading', 'The cup “jug”', 'A reading']);
    l.state.isCut = false;
    expect(await l.sender.flush()).toBe(3);
    expect(l.arrived).toEqual(writes);
    expect(await l.sender.flush()).toBe(0);
    expect(waiting()).toEqual([]);
  });
  it('a no to who asks is thrown to him; a no to what had waited is shown by its name', async () => {
    const l = line();
    l.state.answer = () => {
      throw no('invalid-input');
    };
    await expect(l.sender.record(reading(99))).rejects.toBeInstanceOf(Refused);
    expect(await l.store.all()).toEqual([]);
    l.state.isCut = true;
    await l.sender.record(reading(98));
    l.state.isCut = false;
    await l.sender.flush();
    expect(useOutbox.getState().refused).toMatchObject([
      { write: { what: 'A reading' }, error: { body: { code: 'invalid-input' } } },
    ]);
  });
  it('three that had waited are refused: all three stay on the device, over a reload, until each is seen', async () => {
    const l = line();
    l.state.isCut = true;
    const writes = [reading(97), reading(98), reading(99)];
    for (const w of writes) await l.sender.record(w);
    l.state.isCut = false;
    let asked = 0;
    l.state.answer = () => {
      asked += 1;
      throw no('invalid-input');
    };
    await l.sender.flush();
    // A page opened anew on the same device asks nobody again, and shows them.
    useOutbox.setState({ waiting: [], refused: [] });
    const reloaded = new Sender(l.store, () => Promise.reject(new Error('nothing is to be sent')));
    await reloaded.flush();
    expect(asked).toBe(3);
    const refused = () => useOutbox.getState().refused.map((r) => r.write.id);
    expect(refused()).toEqual(writes.map((w) => w.id));
    expect(waiting()).toEqual([]);
    for (const w of writes) await reloaded.seen(w.id);
    expect(refused()).toEqual([]);
    expect(await l.store.all()).toEqual([]);
  });
  it('an edit whose answer was lost is there already: no conflict with oneself, but one with another', async () => {
    const l = line();
    const patch = labelWrite('t', { version: 3, batch: '7', colour: null });
    l.state.answer = () => {
      throw no('version-conflict', { stored: { version: 4, batch: '7', colour: null, sizeMl: 500 } });
    };
    expect(await l.sender.record(patch)).toMatchObject({ kind: 'stored' });
    l.state.answer = () => {
      throw no('version-conflict', { stored: { version: 4, batch: '8', colour: null } });
    };
    await expect(l.sender.record(patch)).rejects.toBeInstanceOf(Refused);
  });
  it('what is to go and is gone is done', async () => {
    const l = line();
    l.state.answer = () => {
      throw no('not-found');
    };
    expect(await l.sender.record(packGone('p'))).toMatchObject({ kind: 'stored' });
  });
  it('a fault of the server keeps what had waited, and does not hold up what stands behind it', async () => {
    const l = line();
    l.state.isCut = true;
    const [first, second] = [reading(12), reading(13)];
    await l.sender.record(first);
    await l.sender.record(second);
    l.state.isCut = false;
    l.state.answer = (w) => {
      if (w.id === first.id) throw new Refused(500, { code: 'internal', details: {}, remedy: 'Our fault.' });
      return null;
    };
    expect(await l.sender.flush()).toBe(1);
    expect(l.arrived).toEqual([second]);
    expect((await l.store.all()).map((w) => w.write.id)).toEqual([first.id]);
    l.state.answer = () => null;
    expect(await l.sender.flush()).toBe(1);
    expect(await l.store.all()).toEqual([]);
  });
  it('something that broke on the way here loses nothing', async () => {
    const l = line();
    l.state.answer = () => {
      throw new TypeError('a fault of the page');
    };
    expect(await l.sender.record(reading(12))).toEqual({ kind: 'waits' });
    expect(await l.store.all()).toHaveLength(1);
  });
  it('many at once all arrive', async () => {
    const l = line();
    const outcomes = await Promise.all(Array.from({ length: 20 }, (_, i) => l.sender.record(reading(i))));
    expect(outcomes.every((o) => o.kind === 'stored')).toBe(true);
    expect(l.arrived).toHaveLength(20);
  });
  it('a browser that keeps nothing: the page itself holds it', async () => {
    const l = line();
    const broken = { ...l.store, put: () => Promise.reject(new Error('no room')) };
    let isCut = true;
    const sender = new Sender(broken, () =>
      isCut ? Promise.reject(new Away('cut')) : Promise.resolve(null),
    );
    expect(await sender.record(reading(12))).toEqual({ kind: 'waits' });
    isCut = false;
    expect(await sender.flush()).toBe(1);
  });
});
