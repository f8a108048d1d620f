import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { patternOf, type PatternPart } from '@calvetta/core';
import type { ShopFile } from '@calvetta/contract';
import { recordAt } from '../../../demo/alive.ts';
import { entriesOf } from './LikeAssembly.tsx';
import { keyOf, listLike, newOnes, readList, readRow } from './partsList.ts';

const file = JSON.parse(
  readFileSync(new URL('../../../demo/scenario/shop.json', import.meta.url), 'utf8'),
) as ShopFile;
const record = recordAt(file, Date.parse(file.asOf));
const assemblyId = record.parts.find((p) => p.partId === 'quarry.main-frame-left')!.assemblyId;
const pattern = patternOf(record, assemblyId);
const like = new Map(pattern.map((p): [string, PatternPart] => [keyOf('', p.row.name), p]));
const drafts = (text: string) => {
  const list = readList(text);
  return list.rows.flatMap((r, i) => {
    const row = readRow(r, list.columns, i + 1, { places: record.places });
    return row.ok ? row.parts : [];
  });
};
const text = listLike(pattern, 'Frames of No. 5', record.places);

describe('an assembly made like one that is here', () => {
  it('read back, the list is the same parts, whatever the assembly is called now', () => {
    expect(pattern.length).toBeGreaterThan(3);
    const read = drafts(text);
    expect(read.map((d) => [d.name, d.substrate, d.faces, d.colourGroup, d.placeId ?? null])).toEqual(
      pattern.map(({ row, placeId }) => [row.name, row.substrate, row.faceCount, row.colourGroup, placeId]),
    );
    expect(new Set(read.map((d) => d.assemblyName))).toEqual(new Set(['Frames of No. 5']));
    for (const [i, d] of read.entries()) expect(d.massKg).toBeCloseTo(pattern[i]!.row.massKg ?? NaN, 2);
  });
  it('a place that is not there is asked, with those that are', () => {
    const row = readRow(['Bar', 'steel', 'Attic'], ['name', 'metal', 'place'], 1, { places: record.places });
    expect(row.ok ? '' : `${row.column} ${row.accepts}`).toMatch(/^place .*Spray booth/);
  });
  it('what was found and chosen comes with them, with their own size; of another metal nothing does', () => {
    const changed = drafts(text).map((d, i) =>
      i === 0 ? { ...d, massKg: 7 } : i === 1 ? { ...d, substrate: 'aluminium-cast' as const } : d,
    );
    const fresh = newOnes(changed, [], (i) => `new.${i}`);
    const entries = entriesOf(fresh, like);
    expect(entries.map((e) => e.kind)).toEqual(['noted', 'moved', 'surveyed', 'route-set']);
    const [looked, moved, surveyed, routed] = entries;
    // What was found on one was not found on the other, and the record says so.
    expect(looked!.parts).toEqual(surveyed!.parts);
    expect(looked!.bodies[0]).toEqual({
      text: `Its survey is that of “${pattern[0]!.row.name}”: nobody has looked at this one yet.`,
    });
    const guessed = { ...changed[0]!, usual: { kind: 'bracket', of: ['massKg'], parts: 9 } as const };
    const noted = entriesOf(
      newOnes([guessed], [], () => 'new.9'),
      new Map(),
    )[0]!;
    expect([noted.kind, noted.bodies[0]]).toEqual([
      'noted',
      { text: 'Not measured: mass as usual here for: bracket, fabricated (9 parts).' },
    ]);
    expect(moved!.parts.length).toBe(pattern.filter((p) => p.placeId !== null).length);
    expect(surveyed!.parts.map((p) => p.partId)).toContain('new.0');
    expect(surveyed!.parts.map((p) => p.partId)).not.toContain('new.1');
    const first = surveyed!.bodies[surveyed!.parts.findIndex((p) => p.partId === 'new.0')]!;
    expect(first).toMatchObject({ survey: { massKg: 7, areaM2: pattern[0]!.row.areaM2 } });
    expect(routed!.parts.length).toBeGreaterThan(0);
    expect(routed!.parts.length).toBeLessThanOrEqual(surveyed!.parts.length);
  });
});
