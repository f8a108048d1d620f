import { describe, expect, it } from '@jest/globals';
import { find, type Findable } from './find.ts';

const part = (name: string, beside = 'Quarry tank · Frames'): Findable => ({
  what: 'part',
  name,
  beside,
  to: `/parts/${name}`,
  partId: name,
});
const ITEMS: Findable[] = [
  part('Buffer beam'),
  part('Main frame'),
  part('Beam hanger'),
  { what: 'machine', name: 'Quarry tank', beside: '20 parts', to: '/machines/quarry' },
  { what: 'rule', name: 'Etch goes on bare metal only.', beside: 'etch.bare', to: '/reference#etch.bare' },
  { what: 'tin', name: 'Two-pack gloss', beside: 'batch B4', to: '/shelf' },
];
const names = (text: string): string[] =>
  find(ITEMS, text).map((f) =>
    f.act === null ? f.item.name : `${f.act.word}, ${f.act.kind}: ${f.item.name}`,
  );

describe('find', () => {
  it('everything with all the words in it, what begins with them first', () => {
    expect(names('beam')).toEqual(['Beam hanger', 'Buffer beam']);
    expect(names('quarry frame')).toEqual(['Main frame', 'Buffer beam', 'Beam hanger']);
    expect(names('b4')).toEqual(['Two-pack gloss']);
    expect(names('etch bare')).toEqual(['Etch goes on bare metal only.']);
  });
  it('an act before a part’s name is that act on it, of parts alone', () => {
    expect(names('coat buffer beam')).toEqual(['coat, coated: Buffer beam']);
    expect(names('move quarry')).toEqual([
      'move, moved: Buffer beam',
      'move, moved: Main frame',
      'move, moved: Beam hanger',
    ]);
  });
  it('nothing asked is nothing found, and an act alone is none', () => {
    expect(names('')).toEqual([]);
    expect(names('coat')).toEqual([]);
    expect(names('no such thing')).toEqual([]);
  });
});
