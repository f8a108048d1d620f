import { describe, expect, it } from '@jest/globals';
import type { Edge } from '../cure/windows.ts';
import type { Fact } from '../facts/part.ts';
import { ALL_FAULTS, REMEDIES } from './kinds.ts';
import { mendSteps, remedyFor } from './remedies.ts';
import { MEND_DONE_BY, REMEDY_STEPS } from './mendSteps.ts';

const edge = (ms: number): Edge => ({ nominalMs: ms, worstMs: ms, bestMs: ms, isUnknown: false });
const COAT = { edges: { touch: edge(10), handle: edge(100), sand: edge(200) } };
const fact = (kind: Fact['kind'], atMs: number): Fact =>
  ({
    factId: `${kind}${atMs}`,
    kind,
    happenedAtMs: atMs,
    endedAtMs: null,
    recordedAtMs: atMs,
    body: {},
  }) as unknown as Fact;
const steps = (remedy: Parameters<typeof mendSteps>[0], facts: readonly Fact[], sinceMs = 0) =>
  mendSteps(remedy, sinceMs, facts, COAT).map((s) => [s.step, s.isDone] as const);

describe('what mends a fault (common practice, no published source)', () => {
  it('every fault has something that does, by its look alone', () => {
    for (const fault of ALL_FAULTS) expect(REMEDIES).toContain(remedyFor(fault, null, null));
  });
  it('a run is polished out of a hard two-pack, and flatted and finished again in a one-pack', () => {
    expect(remedyFor('sag', 'wet-film', 2)).toBe('flat-and-polish');
    expect(remedyFor('sag', 'wet-film', 1)).toBe('flat-and-refinish');
  });
  it('soft for the cold waits; soft for a dead hardener comes off', () => {
    expect(remedyFor('soft', 'cold', 2)).toBe('wait-and-test');
    expect(remedyFor('soft', 'hardener-dead', 2)).toBe('take-it-all-off');
  });
  it('lifting: all of it off; off the metal: another primer; salts: washed and tested', () => {
    expect(remedyFor('lifting', 'lift-band', 2)).toBe('take-it-all-off');
    expect(remedyFor('off-metal', 'wrong-primer', 2)).toBe('strip-and-reprime');
    expect(remedyFor('rust-through', 'salts', 2)).toBe('strip-wash-and-retest');
  });
  it('nothing is sanded before it can be, by the faulty coat’s own clock', () => {
    const [blade] = mendSteps('flat-and-polish', 0, [], COAT);
    expect([blade!.waitsFor, blade!.from?.worstMs]).toEqual(['sand', 200]);
    expect(mendSteps('flat-and-polish', 0, [], null)[0]!.from).toBeNull();
    for (const list of Object.values(REMEDY_STEPS))
      for (const s of list)
        if (/flat|sand|abrade|blade|polish/.test(s.step) && list[0] === s)
          expect([s.step, s.waitsFor]).toEqual([s.step, 'sand']);
  });
});

describe('how far it is', () => {
  it('by the entries its steps leave since it was chosen, in order; what is behind them is done', () => {
    expect(steps('flat-and-polish', [fact('abraded', 300)])).toEqual([
      ['blade-off', true],
      ['flat-fine', true],
      ['polish', false],
    ]);
    const again = [fact('abraded', 300), fact('wiped', 310), fact('coated', 320)];
    expect(steps('another-coat', again)).toEqual([
      ['abrade', true],
      ['wipe', true],
      ['coat-again', true],
    ]);
  });
  it('what was done before it was chosen does not count', () => {
    expect(steps('another-coat', [fact('abraded', 300)], 400)[0]).toEqual(['abrade', false]);
  });
  it('an entry counts for one step', () => {
    expect(steps('strip-and-reprime', [fact('stripped', 10), fact('coated', 20)])).toEqual([
      ['strip', true],
      ['abrade', true],
      ['wipe', true],
      ['prime-anew', true],
    ]);
    expect(steps('wait-and-test', [fact('tested', 5)])[1]).toEqual(['test-again', true]);
  });
  it('the entry that a step leaves is the one that is offered for it', () => {
    expect([MEND_DONE_BY['flat-fine'], MEND_DONE_BY.strip, MEND_DONE_BY.polish]).toEqual([
      'abraded',
      'stripped',
      null,
    ]);
  });
});
