import { crossing, progressAt, seededRandom, stageTable, type SurfaceStretch } from '@calvetta/core';
import { sheet, T0 } from '../core/src/test/build.ts';
import { bestMs, type Line } from './print.ts';

const MINUTES = 30 * 24 * 60;
const PARTS = 400;
const PLACES = 8;

function monthOfMinutes(seed: number): SurfaceStretch[] {
  const random = seededRandom(seed);
  const temps = Array.from(
    { length: MINUTES + 1 },
    (_, i) => 12 + 5 * Math.sin((2 * Math.PI * i) / 1440) + random() * 0.4 - 0.2,
  );
  return Array.from({ length: MINUTES }, (_, i) => ({
    fromMs: T0 + i * 60_000,
    toMs: T0 + (i + 1) * 60_000,
    fromC: temps[i]!,
    toC: temps[i + 1]!,
    airFromC: temps[i]!,
    airToC: temps[i + 1]!,
    fromVapourHpa: 8,
    toVapourHpa: 8,
    source: 'surface',
  }));
}

/** Against a bare loop that evaluates one Math.exp for every sample of every part. */
export function benchClocks(): Line[] {
  const tracks = Array.from({ length: PLACES }, (_, i) => monthOfMinutes(i + 1));
  const table = stageTable(sheet(), 'service')!;
  let sink = 0;
  const clocksMs = bestMs(3, () => {
    for (let p = 0; p < PARTS; p++) {
      const input = {
        table,
        track: tracks[p % PLACES]!,
        t0Ms: T0 + p * 60_000,
        lean: 'nominal',
        slowBy: 1,
        speedBy: 1,
        tests: [],
      } as const;
      sink += progressAt(input, T0 + MINUTES * 60_000) ?? 0;
    }
  });
  const firstMs = bestMs(3, () => {
    for (let p = 0; p < PARTS; p++)
      sink += crossing(
        {
          table,
          track: tracks[p % PLACES]!,
          t0Ms: T0 + p * 60_000,
          lean: 'nominal',
          slowBy: 1,
          speedBy: 1,
          tests: [],
        },
        1,
      ).progress;
  });
  const expMs = bestMs(3, () => {
    for (let p = 0; p < PARTS; p++) {
      const track = tracks[p % PLACES]!;
      let sum = 0;
      for (const s of track) sum += Math.exp(-6600 / (s.fromC + 273.15));
      sink += sum;
    }
  });
  return [
    { what: 'baseline: one Math.exp a sample', value: `${expMs.toFixed(0)} ms` },
    {
      what: 'progress to the end of the month',
      value: `${clocksMs.toFixed(0)} ms, ${(clocksMs / expMs).toFixed(2)} × (aim ≤ 3)`,
    },
    {
      what: 'when it is reached',
      value: `${firstMs.toFixed(0)} ms, ${(firstMs / expMs).toFixed(2)} ×${Number.isFinite(sink) ? '' : ' !'}`,
    },
  ];
}
