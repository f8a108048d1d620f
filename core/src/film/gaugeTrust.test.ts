import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { StockFact } from '../facts/stock.ts';
import { gaugeTrust, judgeCheck, judgeScale, USUAL_LIMITS, USUAL_SCALE } from './gaugeTrust.ts';

let n = 0;
const check = (
  atMs: number,
  readUm: number,
  gaugeId = 'red',
  supersedes: string | null = null,
): StockFact => ({
  factId: `g${(n += 1)}`,
  kind: 'gauge-checked',
  happenedAtMs: atMs,
  recordedAtMs: atMs,
  personId: 'p',
  deviceId: 'd',
  supersedes,
  body: { gaugeId, foils: [{ foilUm: 125, readUm }], ...USUAL_LIMITS },
});

describe('a check on foils', () => {
  // 3 % of 125 µm are 3.75 µm; of 25 µm 0.75, so the 2 µm count there (arithmetic by hand).
  it.each([
    [125, 128.75, true],
    [125, 128.8, false],
    [125, 121.25, true],
    [25, 27, true],
    [25, 27.1, false],
    [0, -2, true],
    [0, 2.5, false],
  ])('a foil of %d µm read as %d passes: %s', (foilUm, readUm, passed) =>
    expect(judgeCheck([{ foilUm, readUm }], USUAL_LIMITS).passed).toBe(passed),
  );
  it('one foil out of three is enough to fail, and no foil is no check', () => {
    const foils = [0, 50, 125].map((foilUm) => ({ foilUm, readUm: foilUm }));
    expect(judgeCheck(foils, USUAL_LIMITS).passed).toBe(true);
    expect(judgeCheck([...foils.slice(1), { foilUm: 0, readUm: 9 }], USUAL_LIMITS).passed).toBe(false);
    expect(judgeCheck([], USUAL_LIMITS).passed).toBe(false);
  });
});

describe('what was read with a gauge', () => {
  const [good1, bad, good2] = [check(100, 125), check(200, 160), check(300, 126)];
  const all = [good1, bad, good2];
  it.each([
    [50, 'checked', 100],
    [150, 'doubt', 200],
    [250, 'doubt', 200],
    [350, 'checked', 300],
  ])('at %d is %s, by the check of %d', (at, state, by) =>
    expect(gaugeTrust(all, 'red', at)).toEqual({ state, checkMs: by }),
  );
  it('by another gauge, or one never checked, says nothing of it', () => {
    expect(gaugeTrust(all, 'blue', 150)).toEqual({ state: 'unchecked', checkMs: null });
  });
  it('a failed check that was taken back, or corrected to a good one, leaves no doubt', () => {
    const voided = {
      ...bad,
      factId: 'v',
      kind: 'stock-voided',
      supersedes: bad.factId,
      body: {},
    } as StockFact;
    expect(gaugeTrust([...all, voided], 'red', 150).state).toBe('checked');
    expect(gaugeTrust([...all, check(200, 125, 'red', bad.factId)], 'red', 150).state).toBe('checked');
  });
  it('the order they came in changes nothing; no reading between a good check and a bad one is ever trusted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 1000 }), fc.boolean()), { maxLength: 12 }),
        fc.integer({ min: 0, max: 1001 }),
        (list, at) => {
          const seen = new Map(list);
          const checks = [...seen].map(([t, ok]) => check(t * 10, ok ? 125 : 99));
          const said = gaugeTrust(checks, 'red', at * 10 + 5);
          expect(gaugeTrust([...checks].reverse(), 'red', at * 10 + 5)).toEqual(said);
          const times = [...seen.keys()].sort((a, b) => a - b);
          const next = times.find((t) => t * 10 > at * 10 + 5);
          if (next !== undefined && !seen.get(next)) expect(said.state).toBe('doubt');
        },
      ),
    );
  });
});

describe('a scale with known masses', () => {
  // 0.5 % of 2000 g are 10 g; of 100 g 0.5 g, so the 1 g counts there (arithmetic by hand).
  it.each([
    [2000, 2010, true],
    [2000, 2010.1, false],
    [100, 101, true],
    [100, 98.9, false],
    [0, 1.5, false],
  ])('%d g read as %d passes: %s', (massG, readG, passed) =>
    expect(judgeScale([{ massG, readG }], USUAL_SCALE).passed).toBe(passed),
  );
  it('looks back as a gauge does', () => {
    const tried = (atMs: number, readG: number): StockFact => ({
      factId: `s${atMs}`,
      kind: 'scale-checked',
      happenedAtMs: atMs,
      recordedAtMs: atMs,
      personId: 'p',
      deviceId: 'd',
      supersedes: null,
      body: { gaugeId: 'bench', masses: [{ massG: 500, readG }], ...USUAL_SCALE },
    });
    const stock = [tried(100, 500), tried(200, 530)];
    expect(gaugeTrust(stock, 'bench', 150).state).toBe('doubt');
    expect(gaugeTrust(stock, 'bench', 90)).toEqual({ state: 'checked', checkMs: 100 });
  });
});
