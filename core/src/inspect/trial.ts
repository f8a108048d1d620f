import { HOUR_MS } from '../base/time.ts';
import type { Substrate } from '../part/substrate.ts';
import {
  firstEndingAfter,
  reach,
  reachOn,
  sliceSurface,
  type SurfaceStretch,
} from '../part/thermal/track.ts';

/** Adhesion trials of a coat: when one may be made, how it is cut, and what its class says. */

/** Classes of ISO 2409 by the share that came off, % (edges quoted from memory). ASTM D3359 counts the other way round. */
const CLASS_EDGES_PCT = [0, 5, 15, 35, 65] as const;
export type CrossCutClass = 0 | 1 | 2 | 3 | 4 | 5;
export function crossCutClass(detachedPct: number): CrossCutClass {
  const i = CLASS_EDGES_PCT.findIndex((edge) => detachedPct <= edge);
  return (i < 0 ? 5 : i) as CrossCutClass;
}

export type TrialVerdict = 'sound' | 'ask' | 'refuse';
/** 0 and 1 are sound, 2 asks, 3 and more refuse the product there (common practice, no published source). */
export const trialVerdict = (c: CrossCutClass): TrialVerdict =>
  c <= 1 ? 'sound' : c === 2 ? 'ask' : 'refuse';

/** What a trial showed: by its class, by thumb and tape, or for a person to read. */
export function trialOf(body: {
  readonly detachedPct?: number;
  readonly isSound?: boolean;
}): TrialVerdict | null {
  const { detachedPct, isSound } = body;
  if (detachedPct !== undefined) return trialVerdict(crossCutClass(detachedPct));
  return isSound === undefined ? null : isSound ? 'sound' : 'refuse';
}

/** What gives under a knife: its lattice is cut wider (ISO 2409, quoted from memory). */
const SOFT: readonly Substrate[] = [
  'aluminium-wrought',
  'aluminium-cast',
  'zinc-diecast',
  'copper-alloy',
  'magnesium',
  'timber-backed-steel',
];
/** How a film is cut: six lines each way at a spacing of ISO 2409, or an X above 250 µm (ISO 16276-2); quoted from memory. */
export function cutFor(
  filmUm: number,
  substrate: Substrate,
): { readonly kind: 'lattice'; readonly spacingMm: 1 | 2 | 3 } | { readonly kind: 'x-cut' } {
  if (filmUm > 250) return { kind: 'x-cut' };
  if (filmUm > 120) return { kind: 'lattice', spacingMm: 3 };
  return { kind: 'lattice', spacingMm: filmUm > 60 || SOFT.includes(substrate) ? 2 : 1 };
}

/** A trial wants the film as old as two days at 20 °C make it. */
export const TRIAL_AGE_H = 48;
const Q_K = 5000;
const AT_K = 293.15;
/** How fast a film ages at a temperature, against 20 °C (Arrhenius with 5 000 K, common practice); nothing is credited below its cure minimum. */
export const ageingRate = (surfaceC: number, cureMinC: number | null): number =>
  cureMinC !== null && surfaceC < cureMinC ? 0 : Math.exp(Q_K * (1 / AT_K - 1 / (surfaceC + 273.15)));

const STEP_MS = HOUR_MS / 4;
/** When a film laid at t0 is old enough for its trial; null: not within what is known of its surface. */
export function trialDueMs(
  track: readonly SurfaceStretch[],
  t0Ms: number,
  cureMinC: number | null,
): number | null {
  let ageH = 0;
  let reachedMs = t0Ms;
  reach(track, t0Ms);
  for (let i = firstEndingAfter(track, t0Ms); i < track.length || reachOn(track); i++) {
    const whole = track[i]!;
    if (whole.fromMs > reachedMs + 1) return null;
    const s = sliceSurface(whole, Math.max(whole.fromMs, t0Ms), whole.toMs);
    const n = Math.max(1, Math.ceil((s.toMs - s.fromMs) / STEP_MS));
    const stepMs = (s.toMs - s.fromMs) / n;
    for (let k = 0; k < n; k++) {
      const rate = ageingRate(s.fromC + ((s.toC - s.fromC) * (k + 0.5)) / n, cureMinC);
      const gain = (rate * stepMs) / HOUR_MS;
      if (ageH + gain >= TRIAL_AGE_H) return s.fromMs + (k + (TRIAL_AGE_H - ageH) / gain) * stepMs;
      ageH += gain;
    }
    reachedMs = s.toMs;
  }
  return null;
}

/** Degrees of rusting by the share of a film that shows rust, % (ISO 4628-3; edges quoted from memory, and rounding up is ours). */
const RI_EDGES_PCT = [0, 0.05, 0.5, 1, 8] as const;
export function rustDegree(sharePct: number): 0 | 1 | 2 | 3 | 4 | 5 {
  const i = RI_EDGES_PCT.findIndex((edge) => sharePct <= edge + 1e-12);
  return (i < 0 ? 5 : i) as 0 | 1 | 2 | 3 | 4 | 5;
}
