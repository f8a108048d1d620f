import { HOUR_MS } from '@calvetta/core';
import { placeAirAt, type SimulatedPlace, type Weather } from './weather.ts';

/** Ways a real probe lets you down. */
export interface ProbeFault {
  /** Slow error, K a day since the anchor. */
  readonly driftKPerDay?: number;
  /** Share of pushes that never arrive, in spells. */
  readonly dropOutShare?: number;
  /** Repeats its reading of this instant for ever. */
  readonly stuckSinceMs?: number;
}
export interface SimulatedProbe {
  readonly probeId: string;
  readonly place: SimulatedPlace;
  /** How far the metal its contact sits on lags the air, minutes. */
  readonly contactLagMin: number;
  readonly fault: ProbeFault;
}

export interface ProbeSample {
  readonly at: string;
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC: number;
}

const round = (x: number, step: number): number => Math.round(x / step) * step;
const tidy = (x: number): number => Number(x.toFixed(2));

/** What a simulated probe would push at an instant; null when it drops out. Its contact lags the air as its metal does. */
export function probeSample(probe: SimulatedProbe, ms: number, weather: Weather): ProbeSample | null {
  const { driftKPerDay = 0, dropOutShare = 0, stuckSinceMs = Infinity } = probe.fault;
  // Drop-outs come in half-hour spells, the same on every run.
  const spell = Math.floor(ms / (HOUR_MS / 2));
  if (((spell * 7919) % 1000) / 1000 < dropOutShare) return null;
  const heldMs = Math.min(ms, stuckSinceMs);
  const air = placeAirAt(probe.place, heldMs, weather);
  const contact = placeAirAt(probe.place, heldMs - probe.contactLagMin * 60_000, weather);
  const drift = (driftKPerDay * (heldMs - weather.anchorMs)) / (24 * HOUR_MS);
  return {
    at: new Date(ms).toISOString(),
    airC: tidy(round(air.airC + drift, 0.05)),
    rhPct: tidy(round(air.rhPct, 0.1)),
    surfaceC: tidy(round(contact.airC, 0.05)),
  };
}
