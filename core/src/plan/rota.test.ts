import { describe, expect, it } from '@jest/globals';
import type { Hand } from './problem.ts';
import { rotaOf } from './rota.ts';
import type { SessionCard } from './card.ts';
import type { PlanView } from './view.ts';

const M = 60_000;
const hand = (name: string | null, skills: Partial<Hand> = {}): Hand => ({
  name,
  sprays: false,
  isMasked: false,
  blasts: false,
  ...skills,
});
const PAINTER = { sprays: true };
const MASKED = { sprays: true, isMasked: true };

type Block = {
  opId: string;
  runId: string | null;
  kind: string;
  what: string | null;
  people: number;
  coat: object | null;
};
const work = (opId: string, from: number, to: number, over: Partial<Block> = {}) => ({
  fromMs: from * M,
  toMs: to * M,
  block: { opId, runId: null, kind: 'degrease', what: null, people: 1, coat: null, ...over },
});
const run = (runId: string, from: number, to: number, tool = 'gun') => ({
  runId,
  fromMs: from * M,
  toMs: to * M,
  tool,
});
const coat = (opId: string, runId: string, cautions: string[] = []) => ({ opId, runId, coat: { cautions } });

const rota = (who: Hand[], runs: object[], entries: object[], blocks: object[] = []) =>
  rotaOf({ sessions: [{ who }], lanes: [{ blocks }] } as unknown as Pick<PlanView, 'sessions' | 'lanes'>, 0, {
    runs,
    entries,
  } as unknown as SessionCard);
const turnsOf = (r: ReturnType<typeof rota>) =>
  Object.fromEntries(r!.people.map((p) => [p.name, p.turns.map((t) => t.opId)]));

describe('who does what in a session', () => {
  it('paint to who sprays, with a mask where it takes one; the rest to who does not', () => {
    const r = rota(
      [hand('Ines', MASKED), hand('Tom', PAINTER), hand('Joss')],
      [run('primer', 0, 60), run('gloss', 0, 60)],
      [work('wipe', 10, 40), work('mask', 40, 60)],
      [coat('p1', 'primer'), coat('g1', 'gloss', ['isocyanate'])],
    );
    expect(turnsOf(r)).toEqual({ Ines: ['g1'], Tom: ['p1'], Joss: ['wipe', 'mask'] });
    expect(r!.shared).toEqual([]);
  });
  it('isocyanate by brush takes no mask', () => {
    const brush = rota(
      [hand('Tom', PAINTER)],
      [run('gloss', 0, 60, 'brush')],
      [],
      [coat('g', 'gloss', ['isocyanate'])],
    );
    expect(turnsOf(brush)).toEqual({ Tom: ['g'] });
  });
  it('one after the other to one person, at the same time to two; for two people two are taken', () => {
    const r = rota(
      [hand('Joss'), hand('Nell')],
      [],
      [work('a', 0, 30), work('b', 0, 30), work('c', 30, 60, { people: 2 })],
    );
    expect(turnsOf(r)).toEqual({ Joss: ['a', 'c'], Nell: ['b', 'c'] });
  });
  it('a blast goes to who blasts, and what finds nobody free for all of it is said to be shared', () => {
    const blast = { kind: 'strip', what: 'grit-blast' };
    const r = rota(
      [hand('Joss'), hand('Ravi', { blasts: true })],
      [],
      [work('blast', 0, 60, blast), work('again', 30, 90, blast)],
    );
    expect(turnsOf(r)).toEqual({ Joss: [], Ravi: ['blast'] });
    expect(r!.shared.map((t) => t.opId)).toEqual(['again']);
  });
  it('where people were only counted nobody is named', () =>
    expect(rota([hand(null, MASKED)], [], [])).toBeNull());
});
