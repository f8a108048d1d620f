import { describe, expect, it } from '@jest/globals';
import type { Edge } from '../cure/windows.ts';
import { CATALOGUE_SHEETS } from '../products/catalogue/index.ts';
import type { NextAct } from './act.ts';
import { HEADLINES, type Headline } from './headline.ts';
import { mixTrouble } from '../mix/trouble.ts';
import { coatVerdict, type CoatedFace } from './verdict.ts';

const sheet = (productId: string) => CATALOGUE_SHEETS.find((s) => s.productId === productId)!;
const epoxy = sheet('epoxy-primer');
const gloss = sheet('gloss-2k');
const COAT: NextAct = { code: 'coat', startByMs: null, shutsMs: null, prep: 'none' };
const face = (headline: Headline, over: Partial<CoatedFace> = {}): CoatedFace => ({
  face: 'A',
  headline,
  act: COAT,
  top: epoxy,
  isPrepared: true,
  ...over,
});
const edge = (nominalMs: number | null, worstMs: number | null, isUnknown = false): Edge => ({
  nominalMs,
  worstMs,
  bestMs: nominalMs,
  isUnknown,
});

describe('may this coat go on', () => {
  it('by the word the face is shown by: what waits, runs out or is spoilt says no', () => {
    const may = HEADLINES.filter((h) => coatVerdict(face(h), gloss, null, 0) === null);
    // Written out from the decisions, not from the code: these and only these take a coat without a reason.
    expect(may).toEqual(['closing', 'keyed', 'open', 'bare', 'mending', 'curing', 'waiting', 'cured']);
  });
  it('a surface of which nothing is recorded takes no coat without a reason', () => {
    expect(coatVerdict(face('waiting', { top: null, isPrepared: false }), epoxy, null, 0)?.why).toBe(
      'unprepared',
    );
    expect(coatVerdict(face('waiting', { top: null }), epoxy, null, 0)).toBeNull();
  });
  it('unknown is never a pass', () => {
    expect(coatVerdict(face('unknown'), gloss, null, 0)?.why).toBe('unknown');
    expect(mixTrouble({ gone: edge(null, null, true) }, 0)).toBe('mix-unknown');
  });
  it('a wet stack of one product is allowed, another product on it is not', () => {
    expect(coatVerdict(face('early', { top: gloss }), gloss, null, 0)).toBeNull();
    expect(coatVerdict(face('early'), gloss, null, 0)?.why).toBe('early');
  });
  it('a gate that is marginal asks for a reason even where the window is open', () => {
    const act: NextAct = { code: 'coat-if-accepted', startByMs: null, shutsMs: null, prep: 'none' };
    expect(coatVerdict(face('open', { act }), gloss, null, 0)).toMatchObject({ why: 'marginal', face: 'A' });
  });
  it('what the sheet below forbids is forbidden however open the window is', () => {
    const etch = sheet('etch-2k');
    const polyester = CATALOGUE_SHEETS.find((s) => s.binder === 'polyester-2k')!;
    const forbidden = coatVerdict(face('open', { top: etch }), polyester, null, 0);
    expect(['sheet-forbids', 'not-a-listed-follower']).toContain(forbidden?.why);
  });
  it('a film outside the sheet’s range in one coat asks for a reason, and what the state has against it comes first', () => {
    const { dftMinUm, dftMaxUm } = gloss;
    expect(coatVerdict(face('open'), gloss, null, 0, dftMinUm)).toBeNull();
    expect(coatVerdict(face('open'), gloss, null, 0, dftMaxUm)).toBeNull();
    expect(coatVerdict(face('open'), gloss, null, 0, dftMinUm - 1)).toEqual({
      why: 'film-thin',
      dftUm: dftMinUm - 1,
      limitUm: dftMinUm,
    });
    expect(coatVerdict(face('open'), gloss, null, 0, dftMaxUm + 1)?.why).toBe('film-thick');
    expect(coatVerdict(face('shut'), gloss, null, 0, dftMaxUm + 1)?.why).toBe('shut');
  });
  it('a mix is gone at its worst edge, not at its nominal one; a one-pack does not go off', () => {
    // Worst comes first: 4 h nominal, 3 h at the warmest the cup may have been.
    const mix = { gone: edge(4 * 3_600_000, 3 * 3_600_000) };
    expect(mixTrouble(mix, 3 * 3_600_000 - 1)).toBeNull();
    expect(mixTrouble(mix, 3 * 3_600_000)).toBe('mix-gone');
    expect(coatVerdict(face('open'), gloss, mix, 3.5 * 3_600_000)).toEqual({
      why: 'mix-gone',
      goneMs: 3 * 3_600_000,
    });
    expect(mixTrouble({ gone: null }, Number.MAX_SAFE_INTEGER)).toBeNull();
  });
});
