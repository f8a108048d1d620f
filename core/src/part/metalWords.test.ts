import { describe, expect, it } from '@jest/globals';
import { metalOf } from './metalWords.ts';
import { SUBSTRATES } from './substrate.ts';

// What a restorer writes in a list; common practice, no published source.
describe('a metal in common words', () => {
  it.each([
    ['mild steel', 'steel-plate'],
    ['Mild  Steel plate', 'steel-plate'],
    ['ally', 'aluminium-wrought'],
    ['Ally casting', 'aluminium-cast'],
    ['cast', 'grey-iron'],
    ['cast iron', 'grey-iron'],
    ['cast steel', 'cast-steel'],
    ['SG iron', 'ductile-iron'],
    ['zinc casting', 'zinc-diecast'],
    ['galv sheet', 'galvanised'],
    ['galvanised', 'galvanised'],
    ['stainless steel', 'stainless'],
    ['brass, polished', 'copper-alloy'],
    ['6 mm mild steel', 'steel-plate'],
    ['GRP', 'glass-fibre'],
  ])('“%s” is %s', (said, is) => expect(metalOf(said)).toBe(is));
  it.each(['', 'wood', 'unobtainium', 'castle', 'tinted'])('“%s” is none that is known', (said) =>
    expect(metalOf(said)).toBeNull(),
  );
  it('knows every metal by the program’s own word', () => {
    for (const s of SUBSTRATES) expect(metalOf(s)).toBe(s);
  });
});
