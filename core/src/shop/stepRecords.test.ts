import { describe, expect, it } from '@jest/globals';
import type { Fact, FactBodies, FactKind } from '../facts/part.ts';
import { stepRecords } from './stepRecords.ts';
import type { RouteStepRow } from './state.ts';

const T0 = Date.UTC(2026, 2, 5);
let n = 0;
function fact<K extends FactKind>(kind: K, hours: number, body: FactBodies[K]): Fact {
  const atMs = T0 + hours * 3_600_000;
  return {
    factId: `f${++n}`,
    kind,
    partId: 'p',
    face: null,
    happenedAtMs: atMs,
    endedAtMs: null,
    recordedAtMs: atMs,
    personId: 'ines',
    deviceId: 'd',
    supersedes: null,
    body,
  } as unknown as Fact;
}
const ROUTE = ['record', 'degrease', 'strip', 'inspect', 'mask', 'prime', 'abrade', 'unmask'];
const steps = ROUTE.map((kind, i): RouteStepRow => ({
  partId: 'p',
  seq: i + 1,
  stepId: `s${i + 1}`,
  kind,
  sheetId: kind === 'prime' ? 'epoxy-primer.1' : null,
  coats: kind === 'prime' ? 1 : 0,
  dftUm: null,
}));
const statuses = (facts: readonly Fact[], coats = 0): string[] => {
  const records = stepRecords(steps, facts, () => coats);
  return steps.filter((s) => s.sheetId === null).map((s) => records.get(s.stepId)!.status);
};

// Common practice, no published source: a record says what was written down, and nothing else.
describe('what is recorded of the steps of a route', () => {
  it('nothing, before anything was done', () => expect(new Set(statuses([]))).toEqual(new Set(['to-come'])));
  it('a part that was stripped and nothing else: what comes before is not recorded, and is not done', () =>
    expect(statuses([fact('stripped', 0, { method: 'blast' })])).toEqual([
      'not-recorded',
      'not-recorded',
      'recorded',
      ...Array<string>(4).fill('to-come'),
    ]));
  it('a coat makes no step done', () =>
    expect(statuses([], 1)).toEqual([...Array<string>(5).fill('not-recorded'), 'to-come', 'to-come']));
  it('an entry that names the step says what was found, by whom and when; or that nobody remembers when', () => {
    const facts = [
      fact('step-done', 1, { stepId: 's1', found: 'a crack by the lug', passed: false }),
      fact('step-done', 2, { stepId: 's5', isTimeUnknown: true }),
    ];
    const records = stepRecords(steps, facts, () => 0);
    expect(records.get('s1')).toMatchObject({
      status: 'recorded',
      found: 'a crack by the lug',
      passed: false,
      personId: 'ines',
      atMs: T0 + 3_600_000,
    });
    expect(records.get('s5')).toMatchObject({ status: 'recorded', atMs: null });
    expect(records.get('s2')).toEqual({ status: 'not-recorded' });
  });
  it('what was done and the route never asked for says nothing of its steps', () =>
    expect(new Set(statuses([fact('baked', 0, { tempC: 180, minutes: 20 })]))).toEqual(new Set(['to-come'])));
  it('stripped twice for one step: the last one counts', () => {
    const again = fact('stripped', 9, { method: 'bead' });
    const records = stepRecords(steps, [fact('stripped', 0, { method: 'blast' }), again], () => 0);
    expect(records.get('s3')).toMatchObject({ factId: again.factId });
  });
});
