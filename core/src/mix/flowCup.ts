import { firstOutOfRange, type OutOfRange } from '../base/failure.ts';
import { ok, type Result } from '../base/result.ts';

/** ν = a·t − b/t, or a·(t − c); ν in mm²/s, t in s. Newtonian liquids only, at the cup's own temperature. */
interface CupLaw {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly leastS: number;
  readonly mostS: number;
  readonly atC: number;
  readonly source: string;
}
const iso = (a: number, b: number): CupLaw => ({
  a,
  b,
  c: 0,
  leastS: 30,
  mostS: 100,
  atC: 23,
  source: 'ISO 2431 (from memory)',
});
const ford = (a: number, c: number, leastS: number, mostS: number): CupLaw => ({
  a,
  b: 0,
  c,
  leastS,
  mostS,
  atC: 25,
  source: 'ASTM D1200 (from memory)',
});

/** Flow cups with the range each is good for. */
export const FLOW_CUPS = {
  'iso-3': iso(0.443, 200),
  'iso-4': iso(1.37, 200),
  'iso-5': iso(3.28, 220),
  'iso-6': iso(6.9, 570),
  'ford-2': ford(1.44, 18, 40, 100),
  'ford-3': ford(2.31, 6.58, 20, 105),
  'ford-4': ford(3.85, 4.49, 20, 105),
  'din-4': { a: 4.57, b: 452, c: 0, leastS: 25, mostS: 150, atC: 20, source: 'DIN 53211 (from memory)' },
} as const satisfies Readonly<Record<string, CupLaw>>;
export type FlowCup = keyof typeof FLOW_CUPS;

/** Seconds of a cup as kinematic viscosity, mm²/s. Refuses seconds the cup is not good for. */
export function viscosityMm2S(cup: FlowCup, seconds: number): Result<number, OutOfRange> {
  const law: CupLaw = FLOW_CUPS[cup];
  return (
    firstOutOfRange([['seconds', seconds, law.leastS, law.mostS, 's']]) ??
    ok(law.a * (seconds - law.c) - law.b / seconds)
  );
}

/** Seconds that a viscosity gives in a cup: the inverse. Refuses a viscosity outside what the cup can show, with that range. */
export function cupSeconds(cup: FlowCup, mm2S: number): Result<number, OutOfRange> {
  const law: CupLaw = FLOW_CUPS[cup];
  const at = (s: number): number => law.a * (s - law.c) - law.b / s;
  const wrong = firstOutOfRange([['mm2S', mm2S, at(law.leastS), at(law.mostS), 'mm²/s']]);
  if (wrong) return wrong;
  return ok(
    law.b === 0 ? mm2S / law.a + law.c : (mm2S + Math.sqrt(mm2S ** 2 + 4 * law.a * law.b)) / (2 * law.a),
  );
}
