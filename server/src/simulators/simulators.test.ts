import { describe, expect, it } from '@jest/globals';
import { HOUR_MS, isStuck } from '@calvetta/core';
import { demoProbes } from './demoProbes.ts';
import { probeSample, type SimulatedProbe } from './probe.ts';
import { simulatedForecast } from './run.ts';
import { outdoorAt } from './weather.ts';

const ANCHOR = Date.parse('2026-11-25T12:00:00Z');
const weather = { zone: 'Europe/London', anchorMs: ANCHOR };
const good: SimulatedProbe = { probeId: 'p', place: 'shed', contactLagMin: 0, fault: {} };
const week = Array.from({ length: 7 * 144 }, (_, i) => ANCHOR + i * 600_000);

describe('the stand-in probe', () => {
  it('reads what a hygrometer can read, the same on every run', () => {
    for (const ms of week) {
      const s = probeSample(good, ms, weather)!;
      expect(s).toEqual(probeSample(good, ms, weather));
      expect(s.rhPct).toBeGreaterThan(5);
      expect(s.rhPct).toBeLessThanOrEqual(100);
      expect(Math.abs(s.airC)).toBeLessThan(40);
    }
  });
  it('drifts: a tenth of a kelvin a day is seven tenths in a week', () => {
    const end = ANCHOR + 7 * 24 * HOUR_MS;
    const drifting = { ...good, fault: { driftKPerDay: 0.1 } };
    const gap = probeSample(drifting, end, weather)!.airC - probeSample(good, end, weather)!.airC;
    expect(Math.abs(gap - 0.7)).toBeLessThanOrEqual(0.05);
  });
  it('drops out about as often as it is told, in spells', () => {
    const faulty = { ...good, fault: { dropOutShare: 0.1 } };
    const missing = week.filter((ms) => probeSample(faulty, ms, weather) === null).length / week.length;
    expect(missing).toBeGreaterThan(0.05);
    expect(missing).toBeLessThan(0.15);
  });
  it('jams, and the product notices within two hours', () => {
    const stuck = { ...good, fault: { stuckSinceMs: ANCHOR } };
    const readings = week.slice(0, 14).map((ms) => {
      const s = probeSample(stuck, ms, weather)!;
      return { atMs: ms, airC: s.airC, rhPct: s.rhPct, surfaceC: s.surfaceC, probeId: 'p', byHand: false };
    });
    expect(isStuck(readings)).toBe(true);
    expect(isStuck(readings.slice(0, 11))).toBe(false);
  });
  it('heavy metal lags: its contact moves less than the air over a day', () => {
    const heavy = { ...good, contactLagMin: 90 };
    const at = ANCHOR + 5 * HOUR_MS;
    const then = probeSample(good, at - 90 * 60_000, weather)!.airC;
    expect(probeSample(heavy, at, weather)!.surfaceC).toBeCloseTo(then, 1);
  });
  it('the demo ships a good one, one that drifts and drops out, and one that is stuck', () => {
    const faults = demoProbes(ANCHOR).map((p) => p.fault);
    expect(faults.some((f) => Object.keys(f).length === 0)).toBe(true);
    expect(faults.some((f) => f.driftKPerDay !== undefined && f.dropOutShare !== undefined)).toBe(true);
    expect(faults.some((f) => f.stuckSinceMs !== undefined)).toBe(true);
  });
});

describe('the stand-in forecast', () => {
  it('is hourly for 72 h, near the truth at first and wider later', () => {
    const hours = simulatedForecast(ANCHOR, weather);
    expect(hours.length).toBe(73);
    expect(Date.parse(hours[1]!.at) - Date.parse(hours[0]!.at)).toBe(HOUR_MS);
    const error = (i: number): number =>
      Math.abs(hours[i]!.airC - outdoorAt(Date.parse(hours[i]!.at), weather).airC);
    expect(error(1)).toBeLessThan(1);
    for (let i = 0; i < hours.length; i++) expect(error(i)).toBeLessThan(6);
  });
});
