import { describe, expect, it } from '@jest/globals';
import { seededRandom, type Random } from '../base/random.ts';
import { must } from '../base/result.ts';
import { acceptIso19840, acceptOwn, acceptPa2, USUAL_OWN_RULE } from './accept.ts';
import { measuredCoats, type FilmRead, type LaidCoat } from './measured.ts';
import { paintNeed, type PaintJob } from '../work/paint.ts';
import { filmStatistics, readingsNeeded } from './readings.ts';
import { dryFilmUm, wetFilmUm } from './spreading.ts';
import { TRANSFER, type Applicator } from '../work/transfer.ts';

const films = (random: Random, n: number): number[] => Array.from({ length: n }, () => 60 + random() * 90);
const shuffled = (random: Random, list: readonly number[]): number[] =>
  [...list]
    .map((x) => [random(), x] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, x]) => x);

describe('laws of acceptance', () => {
  it('the order of readings decides nothing', () => {
    const random = seededRandom(41);
    for (let k = 0; k < 300; k++) {
      const list = films(random, 5 + Math.floor(random() * 20));
      const iso = (r: readonly number[]) =>
        acceptIso19840({ readingsUm: r, nominalUm: 90, maxUm: null, areaM2: 1 }).verdict;
      expect(iso(shuffled(random, list))).toBe(iso(list));
      expect(acceptOwn(shuffled(random, list), 90, USUAL_OWN_RULE).verdict).toBe(
        acceptOwn(list, 90, USUAL_OWN_RULE).verdict,
      );
    }
  });
  it('more film everywhere, below the most, never turns accepted into refused', () => {
    const random = seededRandom(42);
    for (let k = 0; k < 300; k++) {
      const list = films(random, 10);
      const judge = (r: readonly number[]) =>
        acceptIso19840({ readingsUm: r, nominalUm: 90, maxUm: 1000, areaM2: 1 }).verdict;
      const thicker = list.map((x) => x + random() * 30);
      if (judge(list) === 'accepted') expect(judge(thicker)).toBe('accepted');
    }
  });
  it('fewer readings than the area asks for are never accepted', () => {
    const random = seededRandom(43);
    for (let k = 0; k < 200; k++) {
      const areaM2 = random() * 120;
      const readingsUm = Array.from({ length: readingsNeeded(areaM2) - 1 }, () => 100 + random() * 20);
      expect(acceptIso19840({ readingsUm, nominalUm: 90, maxUm: null, areaM2 }).verdict).not.toBe('accepted');
    }
  });
  it('what is to be measured again is against a requirement, and is there', () => {
    const random = seededRandom(44);
    for (let k = 0; k < 200; k++) {
      const readingsUm = films(random, 12);
      const a = acceptIso19840({ readingsUm, nominalUm: 95, maxUm: 140, areaM2: 2 });
      for (const i of a.again) expect(readingsUm[i]! < 95 || readingsUm[i]! > 140).toBe(true);
      if (a.verdict === 'accepted') expect(a.again).toEqual([]);
    }
  });
  it('PA 2 looks at means of spots: shifting film within a spot decides nothing', () => {
    const random = seededRandom(45);
    for (let k = 0; k < 200; k++) {
      const spots = Array.from({ length: 5 }, () => films(random, 3));
      const shifted = spots.map(([a, b, c]) => [a! + 7, b! - 7, c!]);
      const judge = (s: readonly (readonly number[])[]) =>
        acceptPa2({ spotsUm: s, minUm: 90, maxUm: 120, areaM2: 5 }).verdict;
      expect(judge(shifted)).toBe(judge(spots));
    }
  });
});

describe('laws of measured coats', () => {
  it('what was measured is what the coats add up to, at the last measurement', () => {
    const random = seededRandom(46);
    for (let k = 0; k < 300; k++) {
      const coats: LaidCoat[] = Array.from({ length: 1 + Math.floor(random() * 5) }, (_, i) => ({
        factId: `c${i}`,
        t0Ms: i * 10,
        dftUm: 20 + random() * 80,
      }));
      let filmUm = 0;
      const reads: FilmRead[] = [];
      coats.forEach((c) => {
        filmUm += 20 + random() * 80;
        if (random() < 0.5)
          reads.push({ atMs: c.t0Ms + 5, scope: 'system', meanUm: filmUm, leastUm: filmUm * 0.9 });
      });
      const m = measuredCoats(coats, reads);
      const known = m.flatMap((x) => (x.measuredUm === null ? [] : [x.measuredUm]));
      const last = reads[reads.length - 1];
      if (!last) expect(known).toEqual([]);
      else expect(known.reduce((s, x) => s + x, 0)).toBeCloseTo(last.meanUm, 6);
      for (const x of m)
        if (x.measuredUm !== null) expect(x.thinnestUm!).toBeLessThanOrEqual(x.measuredUm + 1e-9);
    }
  });
  it('a film that was sanded between two measurements is never less than nothing', () => {
    const m = measuredCoats(
      [
        { factId: 'a', t0Ms: 0, dftUm: 60 },
        { factId: 'b', t0Ms: 10, dftUm: 60 },
      ],
      [
        { atMs: 5, scope: 'system', meanUm: 90, leastUm: 80 },
        { atMs: 15, scope: 'system', meanUm: 85, leastUm: 70 },
      ],
    );
    expect(m.map((x) => x.measuredUm)).toEqual([90, 0]);
  });
});

describe('laws of paint', () => {
  const random = seededRandom(47);
  const job = (): PaintJob => ({
    areaM2: 0.05 + random() * 8,
    dftUm: 10 + random() * 200,
    coats: 1 + Math.floor(random() * 3),
    vsPct: 30 + random() * 60,
    by: (Object.keys(TRANSFER) as Applicator[])[Math.floor(random() * 6)]!,
    shape: random() < 0.5 ? 'flat' : 'lattice',
    profileUm: random() * 80,
    thinPct: random() * 25,
  });
  it('twice the area takes twice the paint; thinner adds its share and stays off the part', () => {
    for (let k = 0; k < 200; k++) {
      const j = job();
      const one = must(paintNeed(j));
      const two = must(paintNeed({ ...j, areaM2: 2 * j.areaM2 }));
      expect(two.mixedL / one.mixedL).toBeCloseTo(2, 9);
      expect(one.sprayedL - one.mixedL).toBeCloseTo(one.thinnerL, 12);
      expect(must(paintNeed({ ...j, thinPct: 0 })).onPartL).toBeCloseTo(one.onPartL, 12);
    }
  });
  it('least ≤ usual ≤ most, and no more stays on the part than is mixed', () => {
    for (let k = 0; k < 200; k++) {
      const n = must(paintNeed(job()));
      expect(n.leastL).toBeLessThanOrEqual(n.mixedL);
      expect(n.mixedL).toBeLessThanOrEqual(n.mostL);
      expect(n.onPartL).toBeLessThan(n.mixedL);
    }
  });
  it('two coats at once are one and one, but the profile is filled once', () => {
    for (let k = 0; k < 100; k++) {
      const j = { ...job(), coats: 1 };
      const both = must(paintNeed({ ...j, coats: 2 })).onPartL;
      const first = must(paintNeed(j)).onPartL;
      const second = must(paintNeed({ ...j, profileUm: 0 })).onPartL;
      expect(both).toBeCloseTo(first + second, 12);
    }
  });
  it('wet to dry and back is where it began', () => {
    for (let k = 0; k < 200; k++) {
      const [dft, vs, thin] = [1 + random() * 400, 20 + random() * 80, random() * 60];
      expect(must(dryFilmUm(must(wetFilmUm(dft, vs, thin)), vs, thin))).toBeCloseTo(dft, 9);
    }
  });
  it('statistics lie where they must', () => {
    for (let k = 0; k < 200; k++) {
      const s = filmStatistics(films(random, 1 + Math.floor(random() * 30)))!;
      expect(s.leastUm).toBeLessThanOrEqual(s.medianUm);
      expect(s.medianUm).toBeLessThanOrEqual(s.mostUm);
      expect(s.meanUm).toBeGreaterThanOrEqual(s.leastUm - 1e-9);
      expect(s.meanUm).toBeLessThanOrEqual(s.mostUm + 1e-9);
      if (s.deviationUm !== null) expect(s.deviationUm).toBeLessThanOrEqual(s.mostUm - s.leastUm + 1e-9);
    }
  });
});
