import type { Logger } from 'pino';
import { HOUR_MS } from '@calvetta/core';
import { probeSample, type SimulatedProbe } from './probe.ts';
import { forecastAt, type Weather } from './weather.ts';

export interface SimulatorDeps {
  /** Where the real endpoint is: the stand-ins use the same door as a real probe. */
  readonly baseUrl: string;
  readonly nowMs: () => number;
  readonly log: Logger;
  readonly everyMs: number;
  /** Each stand-in's token, made for it at the start. */
  readonly tokens: ReadonlyMap<string, string>;
}

async function post(url: string, body: unknown, token?: string): Promise<void> {
  const headers = {
    'Content-Type': 'application/json',
    'X-Calvetta': '1',
    ...(token === undefined ? {} : { Authorization: `Bearer ${token}` }),
  };
  const res = await fetch(url, {
    method: 'POST',
    headers,
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(10_000),
  });
  if (!res.ok) throw new Error(`${url}: ${res.status}`);
}

/** Hourly outdoor forecast for 72 h from the hour that has begun. */
export function simulatedForecast(
  issuedMs: number,
  weather: Weather,
  hours = 72,
  fromMs = issuedMs,
): { at: string; airC: number; rhPct: number }[] {
  const first = Math.floor(fromMs / HOUR_MS) * HOUR_MS;
  return Array.from({ length: hours + 1 }, (_, i) => {
    const ms = first + i * HOUR_MS;
    const s = forecastAt(ms, issuedMs, weather);
    return {
      at: new Date(ms).toISOString(),
      airC: Number(s.airC.toFixed(2)),
      rhPct: Number(s.rhPct.toFixed(1)),
    };
  });
}

/** Starts the stand-ins: every probe pushes at its pace, the forecast is renewed every hour. Returns how to stop them. */
export function startSimulators(
  probes: readonly SimulatedProbe[],
  weather: Weather,
  deps: SimulatorDeps,
): () => void {
  const quietly = (what: string, work: Promise<unknown>): void =>
    void work.catch((e: unknown) => deps.log.warn({ err: String(e) }, what));
  const push = (): void => {
    for (const probe of probes) {
      const sample = probeSample(probe, deps.nowMs(), weather);
      if (sample)
        quietly(
          'simulated probe',
          post(
            `${deps.baseUrl}/api/readings?probe=${encodeURIComponent(probe.probeId)}`,
            { readings: [sample] },
            deps.tokens.get(probe.probeId),
          ),
        );
    }
  };
  const forecast = (): void =>
    quietly(
      'simulated forecast',
      post(`${deps.baseUrl}/api/import/forecast`, simulatedForecast(deps.nowMs(), weather)),
    );
  push();
  forecast();
  const timers = [setInterval(push, deps.everyMs), setInterval(forecast, HOUR_MS)];
  return () => timers.forEach(clearInterval);
}
