import { DAY_MS, esOverWaterHpa, HOUR_MS, offsetByHourMs, vapourHpa } from '@calvetta/core';

/**
 * Engineered weather of an invented tidal estuary, by local hour: damp until the anchor (the first start of the demo),
 * then drying afternoons. A stand-in for instruments and a forecast service, not a claim about any place.
 */
export interface Weather {
  readonly zone: string;
  readonly anchorMs: number;
}
export interface AirSample {
  readonly airC: number;
  readonly rhPct: number;
}
export const SIMULATED_PLACES = ['booth', 'shed', 'leanto'] as const;
export type SimulatedPlace = (typeof SIMULATED_PLACES)[number];

/** Repeatable wobble in −1…1 from an instant: neighbouring instants are alike. */
function wobble(ms: number, periodMs: number, phase: number): number {
  return (
    0.6 * Math.sin((ms / periodMs) * 2 * Math.PI + phase) +
    0.4 * Math.sin((ms / periodMs) * 4.7 * Math.PI + phase * 2.3)
  );
}

/** 1 at 15:00, −1 at 03:00, by the shop's clock. */
function dayShape(ms: number, zone: string): number {
  const local = ms + offsetByHourMs(zone, ms);
  const hours = (local - Math.floor(local / DAY_MS) * DAY_MS) / HOUR_MS;
  return Math.cos(((hours - 15) / 24) * 2 * Math.PI);
}

function vapourOf(sample: AirSample): number {
  return vapourHpa(sample.airC, sample.rhPct);
}

/** How long before and after the anchor the day's own shape is flattened, and what it is at the anchor. */
const FLAT_MS = 30 * HOUR_MS;
const ANCHOR_SHAPE = 0.6;
/** Mild damp air comes in over the hours before the anchor: heavy metal is still colder than thin. */
const FRONT_K = 3;
const FRONT_MS = 8 * HOUR_MS;

export function outdoorAt(ms: number, weather: Weather): AirSample {
  // Towards the anchor the day flattens out: whoever starts the demo, at whatever hour, finds the same shop.
  const swing = Math.min(1, Math.abs(ms - weather.anchorMs) / FLAT_MS);
  const shape = swing * dayShape(ms, weather.zone) + (1 - swing) * ANCHOR_SHAPE;
  const slow = swing * wobble(ms, 3.3 * DAY_MS, 1);
  // Damp turns to drying over the ten hours after the anchor.
  const dry = Math.min(1, Math.max(0, (ms - weather.anchorMs) / (10 * HOUR_MS)));
  const toCome = Math.min(1, Math.max(0, (weather.anchorMs - ms) / FRONT_MS));
  const airC = 6.2 + 1.6 * shape + 0.7 * slow - FRONT_K * toCome + dry * (1 + 2.4 * shape);
  const rhPct = 90.5 - 2.5 * shape - dry * (12 + 17 * shape);
  return { airC, rhPct: Math.min(98, Math.max(35, rhPct + 0.6 * swing * wobble(ms, 5 * HOUR_MS, 2))) };
}

/** Outdoor air as a building feels it: the mean of the last hours, later and flatter. */
function feltOutdoors(ms: number, weather: Weather, hours: number): AirSample {
  let airC = 0;
  let vapour = 0;
  for (let k = 0; k < hours; k++) {
    const s = outdoorAt(ms - k * HOUR_MS, weather);
    airC += s.airC / hours;
    vapour += vapourOf(s) / hours;
  }
  return { airC, rhPct: (100 * vapour) / esOverWaterHpa(airC) };
}

/** True air of a simulated place. */
export function placeAirAt(place: SimulatedPlace, ms: number, weather: Weather): AirSample {
  if (place === 'booth')
    return { airC: 18 + 0.35 * wobble(ms, 2 * HOUR_MS, 4), rhPct: 48 + 1.6 * wobble(ms, 4 * HOUR_MS, 5) };
  const felt = feltOutdoors(ms, weather, place === 'shed' ? 6 : 1);
  const airC = felt.airC + (place === 'shed' ? 5.2 : 0.3) + 0.15 * wobble(ms, HOUR_MS, 6);
  return {
    airC,
    rhPct: Math.min(98, (100 * vapourOf(felt)) / esOverWaterHpa(airC) + 0.4 * wobble(ms, 1.7 * HOUR_MS, 7)),
  };
}

/** A forecast is the weather with an error that grows with its reach. */
export function forecastAt(ms: number, issuedMs: number, weather: Weather): AirSample {
  const true_ = outdoorAt(ms, weather);
  const reach = Math.max(0, (ms - issuedMs) / (72 * HOUR_MS));
  return {
    airC: true_.airC + reach * 1.2 * wobble(ms, 1.4 * DAY_MS, 9),
    rhPct: Math.min(99, Math.max(30, true_.rhPct + reach * 4 * wobble(ms, 1.1 * DAY_MS, 8))),
  };
}
