import { describe, expect, it } from '@jest/globals';
import { DateTime } from 'luxon';
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
    // By the calendar of another library, from the entries alone.
    const logged = new Map<string, number>();
    for (const f of record.facts) {
      if (f.kind !== 'worked') continue;
      const month = DateTime.fromMillis(f.happenedAtMs, { zone: record.workshop.zone }).toFormat('yyyy-MM');
      const key = `${month} ${f.body.on}`;
      logged.set(key, (logged.get(key) ?? 0) + f.body.minutes / 60);
    }
    const said = months.flatMap((m) =>
      Object.entries(m.byOp).flatMap(([on, hours]) =>
        hours > 0 ? [[`${m.month} ${on}`, Number(hours.toFixed(6))] as const] : [],
      ),
    );
    expect(new Map(said)).toEqual(new Map([...logged].map(([k, v]) => [k, Number(v.toFixed(6))])));
    const all = [...logged.values()].reduce((sum, x) => sum + x, 0);
    expect(months.reduce((sum, m) => sum + m.hours, 0)).toBeCloseTo(all, 6);
  });
});
