import { readFileSync } from 'node:fs';
import {
  asksFor,
  candidatesOf,
  deriveShop,
  FAULTS,
  inspectOf,
  judgePits,
  rustShare,
  seededRandom,
  shopStateOf,
  weigh,
  weighable,
} from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from '../demo/alive.ts';
import { bestMs, type Line } from './print.ts';

/** A picture of two million points: paint with a tenth of it rust. */
function picture(width: number, height: number) {
  const random = seededRandom(3);
  const data = new Uint8ClampedArray(4 * width * height);
  for (let i = 0; i < width * height; i++) {
    const isRust = (i % width) % 200 < 63 && Math.floor(i / width) % 200 < 63;
    const colour = isRust ? [138, 74, 34] : [62, 92, 78];
    for (let k = 0; k < 3; k++) data[4 * i + k] = colour[k]! + 20 * (random() - 0.5);
  }
  const at = (x: number, y: number, isRust: boolean) => ({ x: x / (width - 1), y: y / (height - 1), isRust });
  const touches = [0, 1, 2, 3, 4, 5].flatMap((i) => [
    at(200 * i + 30, 30, true),
    at(200 * i + 130, 130, false),
  ]);
  return { pixels: { data, width, height }, touches };
}

/** Against deriving the whole demo once: what every change of the shop costs anyhow. */
export function benchInspect(): Line[] {
  const file = JSON.parse(
    readFileSync(new URL('../demo/scenario/shop.json', import.meta.url), 'utf8'),
  ) as ShopFile;
  const nowMs = Date.parse(file.asOf);
  const air = airAt(file, nowMs);
  const shop = shopStateOf(recordAt(file, nowMs));
  const derive = bestMs(3, () => void deriveShop(shop, air, nowMs));
  const snapshot = deriveShop(shop, air, nowMs);
  const part = snapshot.parts.get('saltern.rudder')!;
  const view = bestMs(5, () => void inspectOf(snapshot, part));
  const evidence = weighable(inspectOf(snapshot, part).findings[0]!.evidence);
  const none = new Set<never>();
  const rank = bestMs(5, () => {
    for (const f of FAULTS) weigh({ faults: [f], evidence, cannotBe: none, seenAfter: null });
  });
  const ask = bestMs(3, () => {
    for (const f of FAULTS) asksFor(candidatesOf({ faults: [f], cannotBe: none, seenAfter: null }), evidence);
  });
  const deepestMm = [0.3, 0.45, 0.52, 0.38, 0.61, 0.47, 0.55, 0.41];
  const pits = bestMs(5, () => void judgePits({ deepestMm, wholeOverPatch: 40, isThrough: false }));
  const { pixels, touches } = picture(1600, 1250);
  const corners = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ] as const;
  const rust = bestMs(3, () => void rustShare({ pixels, corners: [...corners], touches }));
  const line = (what: string, ms: number): Line => ({
    what,
    value: `${ms.toFixed(1)} ms, ${(ms / derive).toFixed(2)} × a derivation`,
  });
  return [
    { what: 'deriving the demo once (baseline)', value: `${derive.toFixed(0)} ms` },
    line('a part’s findings with all evidence', view),
    line('weighing all 26 faults', rank),
    line('what to ask next of all 26 faults', ask),
    line('deepest pit with 500 bootstraps', pits),
    line('rust share of 2 million points (aim under 1 s)', rust),
  ];
}
