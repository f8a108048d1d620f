import { readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { HOUR_MS } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { importShop, readShopFile } from '../imports/importShop.ts';
import { insertReadings, upsertForecast, type ReadingRow } from '../readings/readings.sql.ts';
import { insertPicture } from '../pictures/pictures.sql.ts';
import { readPicture, type Picture } from '../pictures/readPicture.ts';
import { demoProbes } from '../simulators/demoProbes.ts';
import { probeSample } from '../simulators/probe.ts';
import { simulatedForecast } from '../simulators/run.ts';
import { outdoorAt, type Weather } from '../simulators/weather.ts';

const HISTORY_DAYS = 14;
const STEP_MS = 600_000;
/** Readings in one statement. */
const AT_ONCE = 1_000;

/** Fourteen days at ten minutes of each of the demo's instruments. */
function history(nowMs: number, weather: Weather): ReadingRow[] {
  const first = Math.floor((nowMs - HISTORY_DAYS * 24 * HOUR_MS) / STEP_MS) * STEP_MS;
  const rows: ReadingRow[] = [];
  for (const probe of demoProbes(nowMs))
    for (let atMs = first; atMs <= nowMs; atMs += STEP_MS) {
      const s = probeSample(probe, atMs, weather);
      if (s) rows.push({ ...s, atMs, probeId: probe.probeId, placeId: probe.place, byHand: false });
    }
  return rows;
}

/** Outdoor hours gone by, on which each place's lag is fitted, and the forecast. */
function hours(nowMs: number, weather: Weather) {
  const past = Array.from({ length: HISTORY_DAYS * 24 }, (_, i) => {
    const atMs = (Math.floor(nowMs / HOUR_MS) - HISTORY_DAYS * 24 + i) * HOUR_MS;
    const s = outdoorAt(atMs, weather);
    return { atMs, airC: Number(s.airC.toFixed(2)), rhPct: Number(s.rhPct.toFixed(1)) };
  });
  return [...past, ...simulatedForecast(nowMs, weather).map((h) => ({ ...h, atMs: Date.parse(h.at) }))];
}

/** The pictures that ship beside the demo, drawn for it. */
async function picturesBeside(demoFile: string): Promise<Picture[]> {
  const folder = join(dirname(demoFile), 'pictures');
  const names = await readdir(folder).catch(() => []);
  return Promise.all(names.sort().map(async (name) => readPicture(await readFile(join(folder, name)))));
}

/**
 * Loads the demo that ships, moved to this moment, with its air of two weeks: all of it, or nothing. It is marked as the demo.
 * Refuses where there is a workshop.
 */
export async function loadDemo(deps: Deps): Promise<{ parts: number; facts: number }> {
  const nowMs = deps.nowMs();
  const file = readShopFile(JSON.parse(await readFile(deps.demoFile, 'utf8')), nowMs);
  const { workshopId, zone } = file.workshop;
  const weather = { zone, anchorMs: nowMs };
  const rows = history(nowMs, weather);
  const pictures = await picturesBeside(deps.demoFile);
  return importShop(deps, file, {
    isDemo: true,
    also: async (tx) => {
      for (let i = 0; i < rows.length; i += AT_ONCE)
        await insertReadings(tx, workshopId, rows.slice(i, i + AT_ONCE));
      await upsertForecast(tx, workshopId, nowMs, hours(nowMs, weather));
      for (const picture of pictures) await insertPicture(tx, workshopId, picture, null, new Date(nowMs));
    },
  });
}
