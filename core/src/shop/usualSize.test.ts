import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from '../../../demo/alive.ts';
import { deriveShop } from './snapshot.ts';
import { shopStateOf } from './state.ts';
import { newestSurvey } from './survey.ts';
import { usualSizes } from './usualSize.ts';

const file = JSON.parse(
  readFileSync(new URL('../../../demo/scenario/shop.json', import.meta.url), 'utf8'),
) as ShopFile;
const nowMs = Date.parse(file.asOf);
const snapshot = deriveShop(shopStateOf(recordAt(file, nowMs)), airAt(file, nowMs), nowMs);

describe('usual sizes of a shop’s own parts', () => {
  it('as many lie below as above, of every kind with three parts that were weighed', () => {
    const sizes = usualSizes(snapshot);
    expect(sizes.length).toBeGreaterThan(3);
    for (const { kind, parts, massKg } of sizes) {
      const own = [...snapshot.parts.values()].filter((p) => newestSurvey(p)?.kind === kind);
      expect(parts).toBe(own.length);
      if (massKg === null) continue;
      const masses = own.flatMap((p) => p.row.massKg ?? []);
      // To two figures a median may lie a twentieth off.
      const below = masses.filter((m) => m < massKg * 0.95).length;
      const above = masses.filter((m) => m > massKg * 1.05).length;
      expect([kind, below <= masses.length / 2, above <= masses.length / 2]).toEqual([kind, true, true]);
    }
  });
  it('of two parts it says nothing, and nothing of what nobody named', () => {
    const kinds = usualSizes(snapshot).map((s) => s.kind);
    expect(kinds).not.toContain('unknown');
    for (const k of kinds)
      expect([...snapshot.parts.values()].filter((p) => newestSurvey(p)?.kind === k).length).toBeGreaterThan(
        2,
      );
  });
});
