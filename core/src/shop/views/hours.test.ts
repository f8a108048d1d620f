import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { ShopFile } from '@calvetta/contract';
import { airAt, recordAt } from '../../../../demo/alive.ts';
import { deriveShop } from '../snapshot.ts';
import { shopStateOf } from '../state.ts';
import { hoursView, monthsBetween } from './hours.ts';

describe('months of hours', () => {
  it('are all there from the first to the last, over a new year too, and in their order', () => {
    expect(monthsBetween(['2026-02', '2025-11'])).toEqual(['2025-11', '2025-12', '2026-01', '2026-02']);
    expect(monthsBetween(['2026-05'])).toEqual(['2026-05']);
    expect(monthsBetween([])).toEqual([]);
  });
  it('each month’s hours are those of its kinds of work, and all of them are what was logged', () => {
    const file = JSON.parse(
      readFileSync(new URL('../../../../demo/scenario/shop.json', import.meta.url), 'utf8'),
    ) as ShopFile;
    const nowMs = Date.parse(file.asOf);
    const record = recordAt(file, nowMs);
    const { months } = hoursView(deriveShop(shopStateOf(record), airAt(file, nowMs), nowMs));
    for (const m of months) {
      const kinds = Object.values(m.byOp).reduce((s, x) => s + x, 0);
      expect(m.hours).toBeCloseTo(kinds, 9);
    }
    const logged = record.facts.flatMap((f) => (f.kind === 'worked' ? [f.body.minutes / 60] : []));
    expect(months.reduce((s, m) => s + m.hours, 0)).toBeCloseTo(
      logged.reduce((s, x) => s + x, 0),
      6,
    );
  });
});
