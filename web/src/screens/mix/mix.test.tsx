import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it } from '@jest/globals';
import {
  CATALOGUE_SHEETS,
  cupMarks,
  must,
  type ProductSheet,
  colourFor,
  jobGroups,
  needOf,
  totalOf,
  roundedUp,
  tinFor,
  tinsFor,
  workOut,
} from '@calvetta/core';
import type { CupView, MixView, PartCard, TinView } from '@calvetta/contract';
import { Cup } from '../../drawings/Cup.tsx';
import { isMixGone, mixWords } from '../../words/mixWords.ts';
import { smallestThatHolds } from './BatchPanel.tsx';
import { FlowCupPanel } from './FlowCupPanel.tsx';
import { mixSpans } from './LiveMixes.tsx';
import { readMl } from '../../forms/readMl.ts';

const sheetOf = (id: string): ProductSheet => CATALOGUE_SHEETS.find((s) => s.productId === id)!;
const EPOXY = sheetOf('epoxy-primer');
const GLOSS = sheetOf('gloss-2k');
const H = 3_600_000;

const card = (partId: string, sheet: ProductSheet, over: Partial<PartCard> = {}): PartCard =>
  ({
    partId,
    name: partId,
    areaM2: 1,
    faceCount: 1,
    profileUm: 50,
    colourGroup: 'deep green',
    layers: [
      { name: 'Epoxy', colour: '#888888', dftUm: 60, thinnestUm: null, isMeasured: false, isPlanned: false },
    ],
    act: { code: 'wait', opensMs: null, bestMs: null },
    next: { name: sheet.name, sheetId: sheet.sheetId, stepId: 's', dftUm: 60, coatNo: 1, ofCoats: 2 },
    ...over,
  }) as PartCard;
const tin = (tinId: string, over: Partial<TinView> = {}): TinView =>
  ({
    tinId,
    productId: 'gloss-2k',
    productName: 'Two-pack gloss',
    content: 'paint',
    batch: 'B1',
    colour: 'deep green',
    sizeMl: 1000,
    levelMl: 500,
    turn: 1,
    isBinned: false,
    isExpired: false,
    ...over,
  }) as TinView;

describe('what one cup can be mixed for', () => {
  it('parts by product and colour; what can be coated now first, and primers have no colour', () => {
    const groups = jobGroups(
      [
        card('a', GLOSS),
        card('b', GLOSS, { colourGroup: 'cream' }),
        card('c', EPOXY, { act: { code: 'coat', startByMs: null, shutsMs: null, prep: 'none' } }),
        card('d', EPOXY, { colourGroup: 'cream' }),
        card('e', GLOSS, { next: null }),
      ],
      CATALOGUE_SHEETS,
    );
    expect(groups.map((g) => [g.sheet.productId, g.colour, g.parts.length, g.nowCount])).toEqual([
      ['epoxy-primer', null, 2, 1],
      ['gloss-2k', 'deep green', 1, 0],
      ['gloss-2k', 'cream', 1, 0],
    ]);
    expect(groups[0]!.parts[0]!.partId).toBe('c');
    expect(colourFor(EPOXY, card('a', EPOXY).colourGroup)).toBeNull();
  });
  it('a part’s need: 1 m² at 60 µm of 52 % paint by a 65 % gun is 177.5 mL (60/0.52/0.65); per face; the profile once', () => {
    const way = { by: 'hvlp', shape: 'flat', thinPct: 0 } as const;
    const ml = (c: PartCard): number => must(needOf(c, EPOXY, way).need!).mixedMl;
    expect(ml(card('a', EPOXY))).toBeCloseTo(177.515, 2);
    expect(ml(card('a', EPOXY, { faceCount: 2 }))).toBeCloseTo(88.757, 2);
    // On bare blasted metal two thirds of 50 µm are filled first: 93.33 instead of 60.
    const bare = card('a', EPOXY, { layers: [] });
    expect(ml(bare) / ml(card('a', EPOXY))).toBeCloseTo((60 + 100 / 3) / 60, 9);
    expect(needOf(card('a', EPOXY, { areaM2: null }), EPOXY, way).need).toBeNull();
  });
  it('the sum has a tenth over it, and names what it leaves out', () => {
    const way = { by: 'brush', shape: 'flat', thinPct: 0 } as const;
    const needs = [card('a', EPOXY), card('b', EPOXY, { areaM2: null })].map((c) => needOf(c, EPOXY, way));
    const total = totalOf(needs, 10);
    expect(total.mixedMl).toBeCloseTo((60 / 0.52 / 0.95) * 1.1, 6);
    expect(total.without).toEqual(['b']);
  });
  it('read off a cup: up to the next ten', () => {
    expect([81, 90, 90.0000000001, 0.2].map(roundedUp)).toEqual([90, 90, 90, 10]);
  });
});

describe('which tin it comes from', () => {
  const tins = [
    tin('later', { turn: 1 }),
    tin('next', { turn: 0 }),
    tin('cream', { colour: 'cream', turn: 0 }),
    tin('dead', { turn: null, isExpired: true }),
    tin('gone', { isBinned: true }),
    tin('hard', { content: 'hardener', colour: null, turn: 0 }),
  ];
  it('the one whose turn it is, of the colour; another when it is chosen', () => {
    expect(tinFor(tins, 'gloss-2k', 'paint', 'deep green', undefined)!.tinId).toBe('next');
    expect(tinFor(tins, 'gloss-2k', 'paint', 'deep green', 'dead')!.tinId).toBe('dead');
    expect(tinFor(tins, 'gloss-2k', 'paint', 'deep green', 'cream')!.tinId).toBe('next');
    expect(tinFor(tins, 'epoxy-primer', 'paint', null, undefined)).toBeNull();
  });
  it('what is past its date comes last, what is binned not at all', () =>
    expect(tinsFor(tins, 'gloss-2k', 'paint', 'deep green').map((t) => t.tinId)).toEqual([
      'next',
      'later',
      'dead',
    ]));
});

describe('the batch worked out', () => {
  const input = {
    sheet: EPOXY,
    thinPct: 10,
    paintMl: 1000,
    hardenerMl: 100,
    wantMl: 500,
    poured: null,
  } as const;
  it('by volume, by what the tins give, and put right after an over-pour', () => {
    expect(must(workOut({ ...input, mode: 'volume' }).batch!).aMl).toBeCloseTo(400, 9);
    const tins = workOut({ ...input, mode: 'tins' });
    expect(must(tins.batch!).mixedMl).toBeCloseTo(500, 9);
    expect(tins.fromTins!.endsFirst).toBe('b');
    const over = workOut({ ...input, mode: 'volume', poured: { aMl: 450, bMl: 100, thinnerMl: 0 } });
    expect(must(over.batch!).bMl).toBeCloseTo(112.5, 9);
  });
  it('nothing asked is nothing worked out; the smallest safe batch of 4:1 is 100 mL', () => {
    const w = workOut({ ...input, mode: 'parts', wantMl: null });
    expect(w.batch).toBeNull();
    expect(w.smallestMl).toBeCloseTo(100, 9);
  });
  it('thinner beyond all sense is refused by field', () =>
    expect(workOut({ ...input, mode: 'volume', thinPct: 300 }).recipe).toMatchObject({
      ok: false,
      error: { field: 'thinPct' },
    }));
});

describe('typed volumes', () => {
  it('are millilitres, or what they say', () => {
    expect(readMl('250', 'Paint', 'imperial').ml).toBeCloseTo(250, 9);
    expect(readMl('0.4 L', 'Paint', 'imperial').ml).toBeCloseTo(400, 9);
    // The imperial pint is 568.26125 mL by definition; the US pint 473.176473.
    expect(readMl('1/2 pt', 'Paint', 'imperial').ml).toBeCloseTo(284.130625, 6);
    expect(readMl('1/2 pt', 'Paint', 'us').ml).toBeCloseTo(236.5882365, 6);
  });
  it('nothing is nothing yet; what is no volume is said', () => {
    expect(readMl('', 'Paint', 'us')).toEqual({ ml: null, problem: null });
    expect(readMl('a cupful', 'Paint', 'us').problem).toContain('not a number');
    expect(readMl('-5', 'Paint', 'us').problem).toContain('outside');
  });
});

const T0 = Date.UTC(2026, 2, 5, 18, 0);
const edge = (h: number) => ({
  nominalMs: T0 + h * H,
  worstMs: T0 + h * H,
  bestMs: T0 + h * H,
  isUnknown: false,
});
const mix = (over: Partial<MixView> = {}): MixView =>
  ({ mixId: 'm', mixedMs: T0, usable: edge(0.5), gone: edge(4.5), ...over }) as MixView;

describe('the clock of a cup', () => {
  it('is early while it matures, open, closing in its last fifth, then out', () => {
    const spans = mixSpans(mix(), T0 + 6 * H);
    expect(spans.map((s) => [s.state, (s.toMs - T0) / H])).toEqual([
      ['early', 0.5],
      ['open', 3.7],
      ['closing', 4.5],
      ['out', 6],
    ]);
    expect(mixSpans(mix({ gone: null, usable: edge(0) }), T0 + 6 * H).map((s) => s.state)).toEqual(['open']);
  });
  it('says what to do now, and what not', () => {
    expect(mixWords(mix(), T0 + 0.2 * H, 'UTC')).toBe('let it stand until 18:30');
    expect(mixWords(mix(), T0 + 2.5 * H, 'UTC')).toBe('2 h left at worst, until 22:30');
    expect(mixWords(mix(), T0 + 5 * H, 'UTC')).toBe('gone off since 22:30: do not use it');
    expect(mixWords(mix({ gone: null }), T0 + 5 * H, 'UTC')).toContain('keeps in a closed tin');
    expect(mixWords(mix({ gone: { ...edge(1), worstMs: null } }), T0 + H, 'UTC')).toContain('not known');
    expect(isMixGone(mix(), T0 + 4.4 * H)).toBe(false);
    expect(isMixGone(mix(), T0 + 4.5 * H)).toBe(true);
  });
});

describe('cups', () => {
  const cups: CupView[] = [
    { cupId: 'big', name: 'Big', bottomMm: 110, topMm: 128, heightMm: 170 },
    { cupId: 'small', name: 'Small', bottomMm: 70, topMm: 90, heightMm: 110 },
  ];
  it('the smallest that holds it with room to stir, else the largest', () => {
    expect(smallestThatHolds(cups, 300)!.cupId).toBe('small');
    expect(smallestThatHolds(cups, 540)!.cupId).toBe('big');
    expect(smallestThatHolds(cups, 9000)!.cupId).toBe('big');
    expect(smallestThatHolds([], 10)).toBeNull();
  });
  it('is drawn with its marks to scale and their words apart', () => {
    const cup = cups[1]!;
    const marks = must(cupMarks(cup, { aMl: 200, bMl: 5, thinnerMl: 2 }));
    const { container } = render(
      <Cup cup={cup} marks={marks} words={(m) => m.part} heightPx={250} colour="#888888" label="cup" />,
    );
    const ys = [...container.querySelectorAll('text')].map((t) => Number(t.getAttribute('y')));
    expect(ys.length).toBe(3);
    expect(ys[0]! - ys[1]!).toBeGreaterThanOrEqual(17.9);
    expect(ys[1]! - ys[2]!).toBeGreaterThanOrEqual(17.9);
    // The first mark stands at 46.2 mm of 110 (docs/calculations.md E) on 226 px.
    const lines = [...container.querySelectorAll('path')].map((p) => p.getAttribute('d')!);
    const at = 242 - (226 / 110) * 46.2;
    expect(lines.some((d) => Math.abs(Number(/^M[\d.]+ ([\d.]+)H/.exec(d)?.[1]) - at) < 0.05)).toBe(true);
  });
});

describe('the flow cup', () => {
  it('turns seconds into viscosity and into another cup’s seconds, and refuses what it is not good for', () => {
    render(<FlowCupPanel />);
    fireEvent.change(screen.getByLabelText('Cup'), { target: { value: 'iso-4' } });
    fireEvent.change(screen.getByLabelText('As seconds of'), { target: { value: 'din-4' } });
    fireEvent.change(screen.getByLabelText('Seconds'), { target: { value: '60' } });
    // 1.37·60 − 200/60 = 78.87 mm²/s; DIN 4: 4.57t − 452/t = 78.87 at 21.7 s, below its range.
    expect(screen.getByRole('status').textContent).toContain('79 mm²/s');
    expect(screen.getByRole('status').textContent).toContain('cannot show that');
    fireEvent.change(screen.getByLabelText('Seconds'), { target: { value: '12' } });
    expect(screen.getByRole('status').textContent).toContain('outside 30 to 100 s');
  });
});
