import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from '@jest/globals';
import { batchOfMixed, CATALOGUE_SHEETS, must, recipeOf, repairOverPour, traitsOf } from '@calvetta/core';
import type { LeftoverResponse, MixView, ShelfResponse } from '@calvetta/contract';
import { drawPage, SHOP } from '../../test/page.tsx';
import { LeftoverPanel } from './LeftoverPanel.tsx';
import MixScreen from './MixScreen.tsx';
import { OverPour } from './OverPour.tsx';

afterEach(cleanup);
const none = (): void => undefined;
const EPOXY = CATALOGUE_SHEETS.find((s) => s.productId === 'epoxy-primer')!;
const recipe = must(recipeOf(traitsOf(EPOXY), 10));
const CUP = { bottomMm: 70, topMm: 90, heightMm: 110 };

describe('an over-pour', () => {
  const planned = must(batchOfMixed(recipe, 250));
  const none3 = { a: null, b: null, thinner: null };
  it('is offered once there is a plan, and begins with it', () => {
    const given: unknown[] = [];
    drawPage(
      <OverPour
        planned={planned}
        poured={null}
        problems={none3}
        pouredMl={null}
        repair={null}
        cup={CUP}
        onChange={(p) => given.push(p)}
      />,
    );
    fireEvent.click(screen.getByText('Poured too much?'));
    expect(given).toEqual([{ a: '200', b: '50', thinner: '' }]);
  });
  it('says what to add, and to which height: 240 of A asks for 10 more of B, then thinner', () => {
    const pouredMl = { aMl: 240, bMl: 50, thinnerMl: 0 };
    const repair = repairOverPour(recipe, pouredMl);
    drawPage(
      <OverPour
        planned={planned}
        poured={{ a: '240', b: '50', thinner: '' }}
        problems={none3}
        pouredMl={pouredMl}
        repair={repair}
        cup={CUP}
        onChange={none}
      />,
    );
    const text = screen.getByRole('status').textContent;
    // 4:1 of 240 is 60; a tenth of 300 is 30.
    expect(text).toContain('Add 10 mL B to');
    expect(text).toContain('then 30 mL thinner to');
    expect(text).toContain('330 mL in all');
  });
  it('right as it stands is said; what cannot be is refused', () => {
    const right = { aMl: 200, bMl: 50, thinnerMl: 25 };
    drawPage(
      <OverPour
        planned={planned}
        poured={{ a: '200', b: '50', thinner: '25' }}
        problems={none3}
        pouredMl={right}
        repair={repairOverPour(recipe, right)}
        cup={CUP}
        onChange={none}
      />,
    );
    expect(screen.getByText('The ratio is right as it stands.')).toBeTruthy();
    cleanup();
    const bad = { aMl: -5, bMl: 50, thinnerMl: 0 };
    drawPage(
      <OverPour
        planned={planned}
        poured={{ a: '-5', b: '50', thinner: '' }}
        problems={none3}
        pouredMl={bad}
        repair={repairOverPour(recipe, bad)}
        cup={CUP}
        onChange={none}
      />,
    );
    expect(screen.getByRole('alert').textContent).toContain('outside 0 to');
  });
});

const MIX = { mixId: 'm1', batch: 'G1', thinPct: 10, sheetId: 'gloss-2k.1' } as MixView;
const part = (partId: string, isChosen: boolean, needMl: number) => ({
  partId,
  partName: partId,
  machineName: 'Van',
  face: 'A' as const,
  needMl,
  minutes: 12,
  shutMs: null,
  sheetId: 'gloss-2k.1',
  dftUm: 45,
  isChosen,
});

describe('what else a cup can paint', () => {
  const answer: LeftoverResponse = {
    mixId: 'm1',
    leftMl: 180,
    minutesLeft: 95,
    usedMl: 150,
    minutes: 24,
    parts: [part('Battery tray', true, 70), part('Cross member', true, 80), part('Wheel', false, 160)],
    passed: [{ partName: 'Beam', why: 'other-colour' }],
  };
  it('names the set, the rest, and why the others not; a coat is one touch and carries its mix', async () => {
    const { sent } = drawPage(<LeftoverPanel mix={MIX} zone="UTC" />, [
      [['leftover', 'm1'], answer],
      [['shop'], SHOP],
    ]);
    expect(screen.getByText('You have about 180 mL for 1 h 35')).toBeTruthy();
    expect(screen.getByText(/Battery tray and Cross member: 150 mL in 24 min/)).toBeTruthy();
    expect(screen.getByText('Beam: another colour')).toBeTruthy();
    fireEvent.click(screen.getAllByText('Coated: log it')[0]!);
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]).toMatchObject({
      url: '/api/facts',
      body: {
        facts: [
          {
            kind: 'coated',
            partId: 'Battery tray',
            face: 'A',
            body: { mixId: 'm1', usedMl: 70, batch: 'G1', thinnerPct: 10 },
          },
        ],
      },
    });
  });
  it('nothing that takes it is said', () => {
    drawPage(<LeftoverPanel mix={MIX} zone="UTC" />, [
      [['leftover', 'm1'], { ...answer, parts: [], passed: [], usedMl: 0 }],
      [['shop'], SHOP],
    ]);
    expect(screen.getByText('No waiting part can take it now.')).toBeTruthy();
  });
});

describe('the mixing bench', () => {
  const tin = (tinId: string, content: string, levelMl: number, over: object = {}) => ({
    tinId,
    productId: 'epoxy-primer',
    productName: 'Epoxy primer',
    content,
    batch: tinId.toUpperCase(),
    colour: null,
    sizeMl: 4000,
    levelMl,
    turn: 0,
    isBinned: false,
    isExpired: false,
    ...over,
  });
  const draw = (over: Partial<ShelfResponse> = {}) =>
    drawPage(<MixScreen />, [
      [
        ['bench'],
        {
          rows: [],
          zone: 'UTC',
          nowMs: 0,
          places: [{ placeId: 'booth', name: 'Booth', airC: 20 }],
        },
      ],
      [
        ['shelf'],
        {
          nowMs: 0,
          tins: [tin('a1', 'paint', 2500), tin('b1', 'hardener', 90), tin('t1', 'thinner', 900)],
          mixes: [],
          cups: [{ cupId: 'c', name: 'Beaker', ...CUP }],
          packs: [],
          ...over,
        },
      ],
      [['sheets'], { sheets: CATALOGUE_SHEETS }],
      [['shop'], SHOP],
    ]);
  const amounts = (): string => screen.getByLabelText('Amounts').textContent;
  it('by volume: 250 mL of 4:1 are 200 and 50, with half of what the sheet allows of thinner at 20 °C', async () => {
    const { sent } = draw();
    fireEvent.change(screen.getByLabelText('Mixed paint'), { target: { value: '250' } });
    expect(amounts()).toContain('Part A200 mL');
    expect(amounts()).toContain('Part B, hardener50 mL');
    // 15 % at most, 7.5 at 20 °C, whole per cents.
    expect(screen.getByLabelText<HTMLInputElement>('Thinner, %').value).toBe('8');
    fireEvent.click(screen.getByText('Mixed now: start its clock'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]!.body.facts[0]).toMatchObject({
      kind: 'mixed',
      body: {
        aTinId: 'a1',
        bTinId: 'b1',
        thinnerTinId: 't1',
        aMl: 200,
        bMl: 50,
        thinnerMl: 20,
        placeId: 'booth',
      },
    });
  });
  it('all in the tins: 90 mL of hardener decide, and the paint is over', () => {
    draw();
    fireEvent.click(screen.getByText('all in the tins'));
    expect(amounts()).toContain('Part A360 mL');
    expect(screen.getByText('The hardener runs out first.')).toBeTruthy();
  });
  it('a tin with less in it than it takes, and one past its date, are said at the tin', () => {
    draw();
    fireEvent.change(screen.getByLabelText('Mixed paint'), { target: { value: '600' } });
    expect(screen.getByText('30 mL less in it than this takes')).toBeTruthy();
    cleanup();
    draw({
      tins: [
        tin('a1', 'paint', 2500, { isExpired: true, turn: null }),
        tin('b1', 'hardener', 900),
      ] as unknown as ShelfResponse['tins'],
    });
    fireEvent.change(screen.getByLabelText('Mixed paint'), { target: { value: '300' } });
    expect(screen.getByText(/past its date: test it on scrap/)).toBeTruthy();
  });
  it('more thinner than the sheet allows is said; without hardener nothing is mixed', () => {
    draw({ tins: [tin('a1', 'paint', 2500)] as unknown as ShelfResponse['tins'] });
    fireEvent.change(screen.getByLabelText('Mixed paint'), { target: { value: '300' } });
    fireEvent.change(screen.getByLabelText('Thinner, %'), { target: { value: '40' } });
    expect(screen.getByText('the sheet allows 15 % laid on so')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Thinner, %'), { target: { value: '300' } });
    expect(screen.getByText('a number from 0 to 100')).toBeTruthy();
    expect(screen.getByText('no tin of hardener on the shelf: receive one first')).toBeTruthy();
    expect(screen.getByText<HTMLButtonElement>('Mixed now: start its clock').disabled).toBe(true);
  });
  it('what the cup does not hold is said, with what it holds', () => {
    draw();
    fireEvent.change(screen.getByLabelText('Mixed paint'), { target: { value: '900' } });
    expect(screen.getByText(/Beaker holds 556 mL; this is 972 mL/)).toBeTruthy();
  });
});
