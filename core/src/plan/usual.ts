import { quantile } from '../base/quantile.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { offsetByHourMs } from '../base/zone.ts';
import { EDGE_SPREAD_K } from '../cure/lean.ts';
import { firstEndingAfter, sliceAir, type AirStretch } from '../part/thermal/track.ts';

/** Weeks whose hours stand for the weeks to come, and the least of them that say anything, days. */
export const USUAL_DAYS = 28;
export const LEAST_USUAL_DAYS = 14;
const SLOT_MS = HOUR_MS / 2;
const SLOTS = DAY_MS / SLOT_MS;
/** A day counts at a clock time when so much of the days looked at have a reading there. */
const LEAST_SHARE = 0.9;

/** What a place was like at one clock time over its last weeks. */
interface UsualHour {
  readonly middleC: number;
  /** From the middle to the farther of the coldest and the warmest tenth, K; never less than a prediction's ± 2 K. */
  readonly spreadK: number;
  readonly vapourHpa: number;
}
/** A place's last weeks, by half hours of the clock. */
export interface Usual {
  readonly days: number;
  readonly hours: readonly UsualHour[];
}

/** Half hours since midnight by a zone's clock. */
const slotOf = (zone: string, atMs: number): number => {
  const local = atMs + offsetByHourMs(zone, atMs);
  return Math.floor((local - Math.floor(local / DAY_MS) * DAY_MS) / SLOT_MS);
};

/**
 * What a place was like at each half hour of the clock over its last 28 days, from measured air alone. Null with fewer than
 * fourteen days of it: then nothing is said of the weeks to come.
 */
export function usualOf(track: readonly AirStretch[], zone: string, nowMs: number): Usual | null {
  const lastMs = Math.floor(nowMs / SLOT_MS) * SLOT_MS;
  const bySlot = Array.from({ length: SLOTS }, () => ({ c: [] as number[], hpa: [] as number[] }));
  let days = 0;
  for (let day = 0; day < USUAL_DAYS; day++) {
    let found = 0;
    for (let i = 1; i <= SLOTS; i++) {
      const atMs = lastMs - day * DAY_MS - i * SLOT_MS;
      const s = track[firstEndingAfter(track, atMs)];
      if (s?.source !== 'measured' || s.fromMs > atMs || s.fromVapourHpa === null) continue;
      const here = sliceAir(s, atMs, s.toMs);
      const slot = bySlot[slotOf(zone, atMs)]!;
      slot.c.push(here.fromC);
      slot.hpa.push(here.fromVapourHpa!);
      found++;
    }
    if (found >= SLOTS * LEAST_SHARE) days++;
  }
  if (days < LEAST_USUAL_DAYS || bySlot.some((s) => s.c.length === 0)) return null;
  return { days, hours: bySlot.map(hourOf) };
}

function hourOf({ c, hpa }: { readonly c: number[]; readonly hpa: number[] }): UsualHour {
  const temps = c.sort((a, b) => a - b);
  const middleC = quantile(temps, 0.5);
  const spreadK = Math.max(EDGE_SPREAD_K, middleC - quantile(temps, 0.1), quantile(temps, 0.9) - middleC);
  return {
    middleC,
    spreadK,
    vapourHpa: quantile(
      hpa.sort((a, b) => a - b),
      0.5,
    ),
  };
}

/** The air of a place as far as a plan looks: as it is known to the end of the forecast, then as it usually is at that hour. */
export function planAir(
  track: readonly AirStretch[],
  usual: Usual | null,
  zone: string,
  knownEndMs: number,
  endMs: number,
): readonly AirStretch[] {
  if (usual === null) return track;
  const out: AirStretch[] = [];
  for (const s of track) {
    if (s.fromMs >= knownEndMs) break;
    out.push(s.toMs <= knownEndMs ? s : sliceAir(s, s.fromMs, knownEndMs));
  }
  let fromMs = out[out.length - 1]?.toMs ?? knownEndMs;
  while (fromMs < endMs) {
    const toMs = (Math.floor(fromMs / SLOT_MS) + 1) * SLOT_MS;
    const a = usual.hours[slotOf(zone, fromMs)]!;
    const b = usual.hours[slotOf(zone, toMs)]!;
    out.push({
      fromMs,
      toMs,
      fromC: a.middleC,
      toC: b.middleC,
      fromVapourHpa: a.vapourHpa,
      toVapourHpa: b.vapourHpa,
      source: 'usual',
      spreadK: Math.max(a.spreadK, b.spreadK),
    });
    fromMs = toMs;
  }
  return out;
}
