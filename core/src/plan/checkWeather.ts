import { judgeGates } from '../air/gate.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { offsetByHourMs } from '../base/zone.ts';
import { conditionsAt, limitsOf } from '../bench/air.ts';
import { bareEdge, type BareLimit } from '../cure/bare.ts';
import { surfaceAt } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { PlanProblem, PlanSurface } from './problem.ts';

/** The checker's own look at the weather: it shares nothing with what plans are made by. */
const DAYS_LOOKED_AT = 28;
export const LEAST_SHARE = 0.5;
const LEAST_DAYS = 12;
const LOOK_MS = HOUR_MS / 4;

/** The same time of the clock so many days before. */
function daysBack(zone: string, atMs: number, days: number): number {
  const thenMs = atMs - days * DAY_MS;
  return thenMs + offsetByHourMs(zone, atMs) - offsetByHourMs(zone, thenMs);
}

/** Which days stand for a span: with the heat on, where it is on from beginning to end. */
function pastOf({ days, warm }: PlanSurface, fromMs: number, toMs: number): PlanSurface['days'] {
  const isWarm = warm !== null && warm.spans.some((s) => fromMs >= s.fromMs && toMs <= s.toMs);
  return isWarm ? warm.days : days;
}

/** Whether the air lets a coat go on over a span, and past the forecast on what share of days. */
export function gateOf(
  p: PlanProblem,
  surface: PlanSurface,
  sheet: ProductSheet,
  fromMs: number,
  toMs: number,
) {
  const limits = limitsOf(sheet);
  const look = (track: PlanSurface['track'], atMs: number) => {
    const middle = (Math.floor(atMs / LOOK_MS) + 0.5) * LOOK_MS;
    const point = surfaceAt(track, middle);
    const at = point && point.source !== 'assumed' ? conditionsAt(track, middle) : null;
    return at ? judgeGates(at, limits).status : 'unknown';
  };
  for (let atMs = fromMs; atMs < Math.min(toMs, p.forecastEndMs); atMs += LOOK_MS) {
    const status = look(surface.track, atMs);
    if (status === 'fail' || status === 'unknown') return { isOpen: false, share: 0 };
  }
  if (toMs <= p.forecastEndMs) return { isOpen: true, share: 1 };
  const begin = Math.max(fromMs, p.forecastEndMs);
  const first = Math.ceil((toMs - p.nowMs) / DAY_MS);
  const past = pastOf(surface, begin, toMs);
  let held = 0;
  let days = 0;
  for (let d = 0; d < DAYS_LOOKED_AT; d++) {
    const shift = daysBack(p.zone, begin, first + d) - begin;
    const seen = [];
    for (let atMs = begin; atMs < toMs; atMs += LOOK_MS) seen.push(look(past, atMs + shift));
    if (seen.includes('fail')) days++;
    else if (!seen.includes('unknown')) {
      days++;
      held++;
    }
  }
  return { isOpen: days >= LEAST_DAYS && held / days >= LEAST_SHARE, share: days === 0 ? null : held / days };
}

/** When bare metal is out; null: it has no limit. */
export function bareEnd(
  p: PlanProblem,
  surface: PlanSurface,
  sinceMs: number,
  limit: BareLimit,
): number | null {
  if (limit.kind === 'none') return null;
  const lasts = (track: PlanSurface['track'], atMs: number): number | null => {
    const edge = bareEdge(track, atMs, limit);
    return edge === null || edge.isUnknown ? null : (edge.worstMs ?? Infinity) - atMs;
  };
  if (sinceMs < p.forecastEndMs) return sinceMs + (lasts(surface.track, sinceMs) ?? 0);
  const first = Math.ceil((sinceMs + DAY_MS - p.nowMs) / DAY_MS);
  const past = pastOf(surface, sinceMs, sinceMs + DAY_MS / 2);
  const all: number[] = [];
  for (let d = 0; d < DAYS_LOOKED_AT; d++) {
    const thenMs = daysBack(p.zone, sinceMs, first + d);
    if (surfaceAt(past, thenMs)?.source !== 'lag') continue;
    const ms = lasts(past, thenMs);
    if (ms !== null) all.push(ms);
  }
  if (all.length < LEAST_DAYS) return sinceMs;
  all.sort((a, b) => a - b);
  const at = 0.1 * (all.length - 1);
  const low = all[Math.floor(at)]!;
  const high = all[Math.ceil(at)]!;
  return sinceMs + Math.min(low + (high - low) * (at % 1), 7 * DAY_MS);
}
