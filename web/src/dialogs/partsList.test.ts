import { describe, expect, it } from '@jest/globals';
import { readList, readPart } from './partsList.ts';

let n = 0;
const id = (): string => `p${++n}`;
const parse = (text: string) => {
  const list = readList(text);
  return { list, rows: list.rows.map((r, i) => readPart(r, list.columns, i + 1, id)) };
};

describe('a pasted parts list', () => {
  it('matches columns by their headings, whatever their order', () => {
    const { list, rows } = parse(
      'Weight kg\tPart\tMaterial\tSub-assembly\tThickness mm\n12,5\tBracket\tsteel plate\tCab\t6\n',
    );
    expect(list.columns).toEqual(['massKg', 'name', 'metal', 'assembly', 'thicknessMm']);
    expect(rows[0]).toMatchObject({
      ok: true,
      part: {
        name: 'Bracket',
        substrate: 'steel-plate',
        assemblyName: 'Cab',
        massKg: 12.5,
        thicknessMm: 6,
        areaM2: null,
      },
    });
  });
  it('takes units as written: 1/4 in is 6.35 mm, 22 lb is 9.98 kg (NIST SP 811)', () => {
    const { rows } = parse('name;metal;mass;thickness\nPlate;steel;22 lb;1/4 in\n');
    const first = rows[0];
    const part = first?.ok ? first.part : null;
    expect(part!.thicknessMm).toBeCloseTo(6.35, 6);
    expect(part!.massKg).toBeCloseTo(9.979, 3);
  });
  it('an inch sign is a letter like any other, also where a cell begins with it', () => {
    const { rows } = parse('name;metal\n"4" bracket;steel plate\nBolt 1/2";steel plate\n');
    expect(rows.map((r) => (r.ok ? r.part.name : null))).toEqual(['"4" bracket', 'Bolt 1/2"']);
  });
  it('without a heading the first column is the name, and the metal is asked', () => {
    const { list, rows } = parse('Bracket\nLever\n');
    expect(list.columns[0]).toBe('name');
    expect(rows[0]).toMatchObject({ ok: false, column: 'metal' });
  });
  it('names the row and what is accepted', () => {
    const { rows } = parse('name,metal,mass\nA,unobtainium,1\n,steel,1\nB,steel,heavy\nC,steel,\n');
    expect(rows.map((r) => (r.ok ? 'ok' : `${r.row} ${r.column}`))).toEqual([
      '1 metal',
      '2 name',
      '3 massKg',
      'ok',
    ]);
    const first = rows[0];
    expect(first && !first.ok ? first.accepts : '').toContain('grey iron');
  });
  it('nothing pasted is nothing', () => expect(parse('').rows).toEqual([]));
});
