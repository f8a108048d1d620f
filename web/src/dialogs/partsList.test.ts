import { describe, expect, it } from '@jest/globals';
import { newOnes, readList, readRow, typedColumns, type Draft, type Known } from './partsList.ts';

const parse = (text: string) => {
  const list = readList(text);
  const columnsOf = (r: readonly string[]) => (list.hasHeading ? list.columns : typedColumns(r));
  return { list, rows: list.rows.map((r, i) => readRow(r, columnsOf(r), i + 1)) };
};
const partsIn = (text: string): Draft[] => parse(text).rows.flatMap((r) => (r.ok ? r.parts : []));

describe('a pasted parts list', () => {
  it('matches columns by their headings, whatever their order', () => {
    const { list, rows } = parse(
      'Weight kg\tPart\tMaterial\tSub-assembly\tThickness mm\tColour\n12,5\tBracket\tsteel plate\tCab\t6\tcab green\n',
    );
    expect(list.columns).toEqual(['massKg', 'name', 'metal', 'assembly', 'thicknessMm', 'colour']);
    expect(rows[0]).toEqual({
      ok: true,
      row: 1,
      parts: [
        {
          name: 'Bracket',
          substrate: 'steel-plate',
          assemblyName: 'Cab',
          massKg: 12.5,
          thicknessMm: 6,
          areaM2: null,
          faces: 1,
          colourGroup: 'cab green',
        },
      ],
    });
  });
  it('takes units as written: 1/4 in is 6.35 mm, 22 lb is 9.98 kg (NIST SP 811)', () => {
    const [part] = partsIn('name;metal;mass;thickness\nPlate;steel;22 lb;1/4 in\n');
    expect(part!.thicknessMm).toBeCloseTo(6.35, 6);
    expect(part!.massKg).toBeCloseTo(9.979, 3);
  });
  it('an inch sign is a letter like any other, also where a cell begins with it', () => {
    const names = partsIn('name;metal\n"4" bracket;steel plate\nBolt 1/2";steel plate\n').map((p) => p.name);
    expect(names).toEqual(['"4" bracket', 'Bolt 1/2"']);
  });
  it('without a heading the first column is the name, others are known by what stands in them, and the metal is asked', () => {
    const { list, rows } = parse('Bracket\nLever\n');
    expect(list.columns[0]).toBe('name');
    expect(rows[0]).toMatchObject({ ok: false, column: 'metal' });
    expect(readList('Frame, mild steel, 24 kg, 2 m2, 8 mm').hasHeading).toBe(false);
    const typed = partsIn(
      'Bracket, mild steel, 2 kg\nGear case, 9 kg, ally casting\nTie bar, 3 off, steel, 8 mm\n',
    );
    expect(typed.map((p) => [p.name, p.substrate, p.massKg, p.thicknessMm])).toEqual([
      ['Bracket', 'steel-plate', 2, null],
      ['Gear case', 'aluminium-cast', 9, null],
      ['Tie bar 1', 'steel-plate', null, 8],
      ['Tie bar 2', 'steel-plate', null, 8],
      ['Tie bar 3', 'steel-plate', null, 8],
    ]);
  });
  it('a metal that a person sets for a row is taken, whatever stands there', () => {
    const row = readRow(['Lever', 'unobtainium'], ['name', 'metal'], 1, {
      metal: 'grey-iron',
      assembly: 'Brake',
    });
    expect(row).toMatchObject({ ok: true, parts: [{ substrate: 'grey-iron', assemblyName: 'Brake' }] });
  });
  it('names the row and what is accepted', () => {
    const { rows } = parse(
      'name,metal,mass,qty\nA,unobtainium,1,\n,steel,1,\nB,steel,heavy,\nC,steel,,\nD,steel,,half\n',
    );
    expect(rows.map((r) => (r.ok ? 'ok' : `${r.row} ${r.column}`))).toEqual([
      '1 metal',
      '2 name',
      '3 massKg',
      'ok',
      '5 quantity',
    ]);
    const first = rows[0];
    expect(first && !first.ok ? first.accepts : '').toContain('grey iron');
  });
  it('a place is known by its name, or by words that only one place has', () => {
    const places = [
      { placeId: 'booth', name: 'Spray booth' },
      { placeId: 'shed', name: 'Running shed' },
      { placeId: 'old', name: 'Old shed' },
    ];
    const placed = (place: string) => {
      const r = readRow(['A', 'steel', place], ['name', 'metal', 'place'], 1, { places });
      return r.ok ? r.parts[0]!.placeId : r.column;
    };
    expect(['booth', 'Running  SHED', 'shed', 'yard'].map(placed)).toEqual([
      'booth',
      'shed',
      'place',
      'place',
    ]);
  });
  it('by its kind a part has the usual size of such parts here, where its own is not said', () => {
    const sizes = [{ kind: 'chassis-rail' as const, parts: 4, massKg: 42, areaM2: null }];
    const columns = ['name', 'metal', 'kind', 'massKg'] as const;
    const read = (kind: string, mass: string) =>
      readRow(['Rail', 'steel', kind, mass], columns, 1, { sizes });
    expect(read('chassis rail or box section', '')).toMatchObject({
      ok: true,
      parts: [{ massKg: 42, areaM2: null, usual: { of: ['massKg'], parts: 4 } }],
    });
    expect(read('chassis', '40')).toMatchObject({ ok: true, parts: [{ massKg: 40 }] });
    const own = read('chassis', '40');
    expect(own.ok && own.parts[0]!.usual === undefined).toBe(true);
    expect(read('spring', '')).toMatchObject({ ok: true, parts: [{ massKg: null }] });
    expect(read('flux capacitor', '')).toMatchObject({ ok: false, column: 'kind' });
  });
  it('four alike are four parts, told apart', () => {
    expect(partsIn('name;metal;how many\nHanger;steel;4 off\n').map((p) => p.name)).toEqual([
      'Hanger 1',
      'Hanger 2',
      'Hanger 3',
      'Hanger 4',
    ]);
  });
  it('nothing pasted is nothing', () => expect(parse('').rows).toEqual([]));
});

describe('what of a list is new', () => {
  const id = (i: number): string => `p${i}`;
  const known: Known[] = [{ partId: 'old', name: 'Guard  LEFT', assemblyName: 'cab' }];
  it('is what the machine does not have by assembly and name, however it is written', () => {
    const drafts = partsIn(
      'name;metal;assembly\nGuard left;steel;Cab\nGuard left;steel;Tender\nDoor;steel;Cab\nDoor;steel;Cab\n',
    );
    const r = newOnes(drafts, known, id);
    expect([r.parts.map((p) => [p.partId, p.name, p.assemblyName]), r.known]).toEqual([
      [
        ['p1', 'Guard left', 'Tender'],
        ['p2', 'Door', 'Cab'],
      ],
      2,
    ]);
  });
  it('left finds right, in the list or there already', () => {
    const r = newOnes(
      partsIn('name;metal;assembly\nGuard right;steel;Cab\nStep LH;steel;Cab\nStep RH;steel;Cab\n'),
      known,
      id,
    );
    expect(r.parts.map((p) => p.pairPartId)).toEqual(['old', 'p2', 'p1']);
  });
});
