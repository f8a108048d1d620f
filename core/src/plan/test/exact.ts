import { seededRandom } from '../../base/random.ts';
import { DAY_MS, HOUR_MS } from '../../base/time.ts';
import { sheet } from '../../test/build.ts';
import { unnamed } from '../hands.ts';
import type { PlanOp, PlanPart, PlanProblem } from '../problem.ts';
import { surfaceTrack } from '../../part/thermal/track.ts';
import { air, ASK, coatOp, op, part, problem } from './shop.ts';

/**
 * Small shops of which a general solver can say the best plan there is: one person, evenings of three hours a day apart, steady air, parts of
 * a preparation and two coats. A coat opens before the next evening and shuts between the second and the third, so that all that has to be
 * decided is which evening each piece of work falls on; within it there is room for any order.
 */
export interface SmallShop {
  readonly problem: PlanProblem;
  /** The same as a solver is told it: minutes of each piece of work, and what gun-load each coat belongs to. */
  readonly parts: readonly {
    readonly prepMin: number;
    readonly coats: readonly { readonly min: number; readonly load: string }[];
  }[];
}

export const EVENINGS = 6;
export const EVENING_MIN = 180;
/** Setting a gun up, mixing, cleaning it (docs/plan.md 10). */
const LOAD_MIN = 20 + 10 + 20;
/** Points: a gun-load, a part's day, the machine's day (docs/plan.md 11). */
const POINTS = { load: 40, partDay: 5, machineDay: 40 };

/** Noon: what is coated in an evening may be handled before the next one. */
const NOW = Date.parse('2026-06-02T12:00Z');
const ENDS = NOW + 28 * DAY_MS;
// Made whole at once: whoever solves it may have another copy of core, and only the copy that began a track can make it grow.
const AIR = air(NOW, ENDS, () => ({ airC: 20, rhPct: 50 })).track;
const TRACK = surfaceTrack({ air: AIR, tauS: 300, own: [], fromMs: AIR[0]!.fromMs, toMs: ENDS });
const RECOAT = {
  points: [
    { tempC: 10, hours: 70 },
    { tempC: 20, hours: 62 },
    { tempC: 30, hours: 55 },
  ],
};
const of = (sheetId: string) => {
  const s = sheet();
  return sheet({ sheetId, productId: sheetId, stages: { ...s.stages, maxRecoat: RECOAT } });
};
const PRIMER = of('primer');
const GLOSS = of('gloss');
export const SMALL_PRIMER = PRIMER;
export const SMALL_TRACK = TRACK;

const fives = (random: () => number, from: number, steps: number): number =>
  from + 5 * Math.floor(random() * steps);

/** The same seed, the same shop. */
export function smallShop(seed: number): SmallShop {
  const random = seededRandom(seed);
  const parts = Array.from({ length: 3 + Math.floor(random() * 2) }, () => ({
    prepMin: fives(random, 20, 12),
    coats: [
      { min: fives(random, 10, 6), load: 'primer' },
      { min: fives(random, 10, 6), load: random() < 0.5 ? 'gloss red' : 'gloss green' },
    ],
  }));
  const sessions = Array.from({ length: EVENINGS }, (_, k) => ({
    fromMs: NOW + k * DAY_MS + 6 * HOUR_MS,
    toMs: NOW + k * DAY_MS + 6 * HOUR_MS + EVENING_MIN * 60_000,
    people: 1,
    who: unnamed(1, 1),
  }));
  const own: readonly PlanPart[] = parts.map((p, i) => {
    const prep = op(`p${i}`, 1, { handsMin: p.prepMin });
    const primer = coatOp(`p${i}`, 2, [{ kind: 'bare' }], { sheet: PRIMER, handsMin: p.coats[0]!.min });
    const gloss: PlanOp = coatOp(`p${i}`, 3, [{ kind: 'op', opId: primer.opId }], {
      sheet: GLOSS,
      handsMin: p.coats[1]!.min,
      coat: { colour: p.coats[1]!.load.split(' ')[1]! },
    });
    return part(`p${i}`, TRACK, [prep, primer, gloss]);
  });
  const ask = { ...ASK, people: 1, painters: 1, seed };
  return { parts, problem: problem(NOW, own, sessions, { ask, endMs: ENDS }) };
}

/** The shop as a mixed integer programme (CPLEX LP format): binary x by work and evening, y by gun-load and evening. */
export function asProgramme({ parts }: SmallShop): string {
  const nights = Array.from({ length: EVENINGS }, (_, s) => s);
  const ids = parts.flatMap((p, i) => [`a${i}`, ...p.coats.map((_, k) => `c${i}_${k}`)]);
  const loads = [...new Set(parts.flatMap((p) => p.coats.map((c) => c.load)))];
  const x = (id: string, s: number): string => `x_${id}_${s}`;
  const y = (load: string, s: number): string => `y_${loads.indexOf(load)}_${s}`;
  /** So far done by an evening, as terms with a sign; before the first evening nothing is. */
  const done = (id: string, s: number, sign: string): string =>
    nights
      .filter((t) => t <= s)
      .map((t) => `${sign} ${x(id, t)}`)
      .join(' ');
  const rows: string[] = ids.map((id) => `${nights.map((s) => x(id, s)).join(' + ')} = 1`);
  parts.forEach((p, i) => {
    for (const s of nights) {
      // Prepared the same evening or before; primed an evening before at least, two at most.
      rows.push(`${done(`c${i}_0`, s, '+')} ${done(`a${i}`, s, '-')} <= 0`);
      rows.push(`${done(`c${i}_1`, s, '+')} ${done(`c${i}_0`, s - 1, '-')} <= 0`);
      rows.push(`${done(`c${i}_0`, s, '+')} ${done(`c${i}_1`, Math.min(s + 2, EVENINGS - 1), '-')} <= 0`);
      p.coats.forEach((c, k) => rows.push(`${x(`c${i}_${k}`, s)} - ${y(c.load, s)} <= 0`));
    }
    rows.push(`last ${nights.map((s) => `- ${s + 1} ${x(`c${i}_1`, s)}`).join(' ')} >= 0`);
  });
  for (const s of nights) {
    const work = parts.flatMap((p, i) => [
      `${p.prepMin} ${x(`a${i}`, s)}`,
      ...p.coats.map((c, k) => `${c.min} ${x(`c${i}_${k}`, s)}`),
    ]);
    const loadMin = loads.map((l) => `${LOAD_MIN} ${y(l, s)}`);
    rows.push(`${[...work, ...loadMin].join(' + ')} <= ${EVENING_MIN}`);
  }
  const cost = [
    ...loads.flatMap((l) => nights.map((s) => `${POINTS.load} ${y(l, s)}`)),
    ...parts.flatMap((_, i) => nights.map((s) => `${POINTS.partDay * (s + 1)} ${x(`c${i}_1`, s)}`)),
    `${POINTS.machineDay} last`,
  ];
  const binaries = [
    ...ids.flatMap((id) => nights.map((s) => x(id, s))),
    ...loads.flatMap((l) => nights.map((s) => y(l, s))),
  ];
  return `Minimize\n obj: ${cost.join(' + ')}\nSubject To\n${rows.map((r, n) => ` r${n}: ${r}`).join('\n')}\nBounds\n last >= 0\nBinary\n ${binaries.join('\n ')}\nEnd`;
}
