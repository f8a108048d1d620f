import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from '@jest/globals';
import { CATALOGUE_SHEETS } from '@calvetta/core';
import type { FactView, MixView, PartDetail } from '@calvetta/contract';
import { drawPage } from '../../test/page.tsx';
import type { Save } from '../../forms/useSave.ts';
import { CoatForm } from './CoatForm.tsx';

afterEach(cleanup);
const NOW = Date.UTC(2026, 2, 5, 19);
const edge = (h: number) => ({
  nominalMs: NOW + h * 3_600_000,
  worstMs: NOW + h * 3_600_000,
  bestMs: NOW + h * 3_600_000,
  isUnknown: false,
});
const mix = (mixId: string, over: Partial<MixView> = {}): MixView =>
  ({
    mixId,
    sheetId: 'gloss-2k.1',
    colour: 'chassis black',
    batch: `batch-${mixId}`,
    thinPct: 10,
    leftMl: 200,
    usable: edge(-1),
    gone: edge(2),
    ...over,
  }) as MixView;
const IDLE: Save = {
  isBusy: false,
  refused: null,
  trouble: null,
  problemAt: () => null,
  clear: () => undefined,
  run: () => undefined,
};
const face = { face: 'A', act: { code: 'coat' }, headline: 'open' };
const PART = {
  card: {
    partId: 'p',
    name: 'Cross member',
    areaM2: 0.5,
    faceCount: 1,
    colourGroup: 'chassis black',
    profileUm: 10,
    layers: [{ dftUm: 60, isPlanned: false }],
    face: 'A',
    next: { sheetId: 'gloss-2k.1', dftUm: 45 },
  },
  colourGroup: 'chassis black',
  faces: [face],
  facts: [],
  nowMs: NOW,
  conditions: {
    airC: 20,
    rhPct: 50,
    surfaceC: 20,
    surfaceSpreadK: null,
    dewPointC: 9,
    basis: 'lag',
    trust: 'fresh',
  },
} as unknown as PartDetail;

function logged(mixes: readonly MixView[], correct?: FactView, tool?: string): Record<string, unknown> {
  const bodies: Record<string, unknown>[] = [];
  drawPage(
    <CoatForm
      part={PART}
      face={null}
      isNow
      save={IDLE}
      submit={(body) => bodies.push(body)}
      {...(correct ? { correct } : {})}
    >
      who
    </CoatForm>,
    [
      [['shelf'], { mixes }],
      [['sheets'], { sheets: CATALOGUE_SHEETS }],
    ],
  );
  if (tool !== undefined) fireEvent.click(screen.getByText(tool));
  fireEvent.click(screen.getByText(correct ? 'Save correction' : /log it/));
  return bodies[0]!;
}
const stored = (body: object): FactView =>
  ({
    factId: 'f1',
    kind: 'coated',
    body: { sheetId: 'gloss-2k.1', dftUm: 45, ...body },
  }) as unknown as FactView;

describe('which cup a coat is from', () => {
  it('the one that stands there, of its colour: batch, thinner and what it takes go with it', () => {
    const body = logged([mix('green', { colour: 'engine green' }), mix('black')]);
    expect(body).toMatchObject({ mixId: 'black', batch: 'batch-black', thinnerPct: 10 });
    // 0.5 m² at 45 µm of 55 % paint by a 65 % gun is 62.9 mL, with a tenth of thinner 69.
    expect(body['usedMl']).toBe(69);
    cleanup();
    // Brushed, 95 % stays on: 43.1 mL and a tenth.
    expect(logged([mix('black')], undefined, 'brush')['usedMl']).toBe(47);
  });
  it('none of another colour, and none that has gone off, unless someone says so', () => {
    const body = logged([mix('green', { colour: 'engine green' }), mix('old', { gone: edge(-0.5) })]);
    expect(body['mixId']).toBeUndefined();
  });
  it('a correction takes no cup that stands there now', () => {
    expect(logged([mix('black')], stored({ batch: 'B3' }))).toMatchObject({ batch: 'B3' });
    cleanup();
    expect(logged([mix('black')], stored({ batch: 'B3' }))['mixId']).toBeUndefined();
  });
  it('and keeps the one it was from, though that is long gone', () => {
    const body = logged([], stored({ mixId: 'of-last-month', usedMl: 55, batch: 'G7', thinnerPct: 9 }));
    expect(body).toMatchObject({ mixId: 'of-last-month', usedMl: 55, batch: 'G7', thinnerPct: 9 });
  });
});
