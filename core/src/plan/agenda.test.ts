import { describe, expect, it } from '@jest/globals';
import { nextPlanned } from './agenda.ts';

const binds = { by: 'now', opId: null, edgeMs: null } as const;
const item = (opId: string, fromMs: number, runId: string | null = null) => ({
  opId,
  spans: [{ fromMs, toMs: fromMs + 20 }],
  people: 1,
  runId,
  binds,
});
const run = {
  runId: 'r',
  sheetId: 's',
  colour: null,
  tool: 'gun',
  placeId: 'b',
  opIds: ['a/prime/2', 'b/prime/1', 'c/prime/1'],
  mixes: 1,
  fromMs: 90,
  toMs: 200,
} as const;
const plan = {
  runs: [run],
  items: [item('a/strip', 10), item('a/prime/1', 40), item('a/prime/2', 100, 'r'), item('ab/prime/1', 5)],
};
const part = { partId: 'a', next: { stepId: 'prime', coatNo: 2 }, lostAtMs: null };

describe('a part’s next work in the plan', () => {
  it('is its next coat, with what shares the gun', () => {
    expect(nextPlanned(plan, part, 50)).toMatchObject({
      opId: 'a/prime/2',
      fromMs: 100,
      others: 2,
      isLate: false,
      lostMs: null,
    });
  });
  it('without one it is what comes first from now on, and never another part whose name begins alike', () => {
    expect(nextPlanned(plan, { ...part, next: null }, 20)).toMatchObject({ opId: 'a/prime/1', others: null });
    expect(nextPlanned(plan, { ...part, next: null }, 500)).toBeNull();
    expect(nextPlanned(plan, { ...part, partId: 'x' }, 0)).toBeNull();
  });
  it('says when the plan would lose what stands open now, and when its time has gone by', () => {
    expect(nextPlanned(plan, { ...part, lostAtMs: 110 }, 50)?.lostMs).toBe(110);
    expect(nextPlanned(plan, { ...part, lostAtMs: 130 }, 50)?.lostMs).toBeNull();
    expect(nextPlanned(plan, part, 130)?.isLate).toBe(true);
  });
});
