import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from '@jest/globals';
import { CATALOGUE_SHEETS } from '@calvetta/core';
import type { ShelfResponse, TinView } from '@calvetta/contract';
import Dialogs from '../../dialogs/Dialogs.tsx';
import { drawPage, SHOP } from '../../test/page.tsx';
import { Attention } from './Attention.tsx';
import { LabelDialog } from '../../dialogs/LabelDialog.tsx';
import { LedgerTable } from './LedgerTable.tsx';
import { PackDialog } from '../../dialogs/PackDialog.tsx';
import { ReceiveDialog } from '../../dialogs/ReceiveDialog.tsx';
import { Shopping } from './Shopping.tsx';
import { StockHistory } from './StockHistory.tsx';
import { TinRow } from './TinRow.tsx';
import { WeighDialog } from '../../dialogs/WeighDialog.tsx';

afterEach(cleanup);
const none = (): void => undefined;
const NOW = Date.UTC(2026, 2, 5);
const DAY = 86_400_000;
const ACCOUNT = {
  boughtMl: 4000,
  inTinsMl: 3000,
  mixedMl: 200,
  onPartsMl: 400,
  wasteMl: 100,
  oversprayMl: 350,
  unexplainedMl: -50,
};

const tin = (over: Partial<TinView> = {}): TinView => ({
  tinId: 't1',
  productId: 'epoxy-primer',
  productName: 'Epoxy primer',
  content: 'paint',
  batch: 'P1',
  colour: null,
  sizeMl: 4000,
  levelMl: 2500,
  madeMs: NOW - 100 * DAY,
  priceCents: 15_200,
  tareG: 420,
  version: 3,
  openedMs: NOW - 20 * DAY,
  expiry: { atMs: NOW + 200 * DAY, by: 'opened' },
  asksWeighing: false,
  isBinned: false,
  isExpired: false,
  turn: 0,
  certificates: [],
  ...over,
});
const shelf = (over: Partial<ShelfResponse> = {}): ShelfResponse => ({
  nowMs: NOW,
  tins: [tin()],
  mixes: [],
  packs: [],
  cups: [],
  accounts: { paint: ACCOUNT, hardener: ACCOUNT, thinner: ACCOUNT },
  conflicts: [],
  lines: [],
  groups: [],
  hardeners: [],
  mixedGroups: [],
  facts: [],
  ...over,
});

/** What the page knows before a dialog opens. */
const KNOWN = [
  [['shop'], SHOP],
  [['shelf'], shelf()],
  [['sheets'], { sheets: CATALOGUE_SHEETS }],
] as const;

describe('what asks to be looked at', () => {
  it('a tin more was poured from than it showed is one touch from the scale', () => {
    const asked: string[] = [];
    const s = shelf({
      tins: [tin({ asksWeighing: true, levelMl: 0 })],
      conflicts: [{ code: 'poured-more-than-held', tinId: 't1', overMl: 300, about: 'Epoxy primer, paint' }],
    });
    drawPage(<Attention shelf={s} zone="UTC" onWeigh={(t) => asked.push(t.tinId)} />);
    // Said once, at the tin, not a second time as a conflict.
    expect(screen.getAllByRole('alert').length).toBe(1);
    fireEvent.click(screen.getByText('Weigh it'));
    expect(asked).toEqual(['t1']);
  });
  it('a film above its pour is shown with both amounts', () => {
    const s = shelf({
      conflicts: [
        {
          code: 'film-above-pour',
          factId: 'f',
          partId: 'p',
          filmMl: 260,
          pouredMl: 200,
          about: 'Main frame, left',
        },
      ],
    });
    drawPage(<Attention shelf={s} zone="UTC" onWeigh={none} />);
    expect(screen.getByRole('alert').textContent).toContain('260 mL in the film, 200 mL poured');
  });
  it('hardeners, colours without a batch, and batches that have met', () => {
    const s = shelf({
      hardeners: [
        {
          productId: 'a',
          productName: 'Gloss',
          code: 'dies-first',
          atMs: NOW + 10 * DAY,
          paintMl: 900,
          needMl: 300,
          haveMl: 400,
        },
        {
          productId: 'b',
          productName: 'Etch',
          code: 'too-little',
          atMs: null,
          paintMl: 500,
          needMl: 500,
          haveMl: 120,
        },
      ],
      groups: [
        {
          colourGroup: 'beam red',
          productId: 'a',
          productName: 'Gloss',
          needMl: 736,
          batch: null,
          shortMl: 236,
          batches: [],
        },
        {
          colourGroup: 'cream',
          productId: 'a',
          productName: 'Gloss',
          needMl: 100,
          batch: 'G1',
          shortMl: 0,
          batches: [],
        },
      ],
      mixedGroups: [
        {
          colourGroup: 'lining green',
          productId: 'a',
          productName: 'Gloss',
          batches: [
            { batch: 'G1', partNames: ['Cab side, left'] },
            { batch: 'G2', partNames: ['Cab side, right'] },
          ],
        },
      ],
    });
    const { container } = drawPage(<Attention shelf={s} zone="UTC" onWeigh={none} />);
    const text = container.textContent;
    expect(text).toContain('2 in trouble with their hardener');
    expect(text).toContain('500 mL of paint asks for 500 mL; 120 mL can be trusted');
    expect(text).toContain('1 not covered by one batch, by colour');
    expect(text).toContain('the fullest batch is 236 mL short');
    expect(text).toContain('G1 on Cab side, left; G2 on Cab side, right');
  });
  it('nothing wrong is nothing said', () => {
    const { container } = drawPage(<Attention shelf={shelf()} zone="UTC" onWeigh={none} />);
    expect(container.textContent).toBe('');
  });
});

describe('a tin in its row', () => {
  const row = (t: TinView, hasRival = false) =>
    drawPage(<TinRow tin={t} colour="#888888" isAsked={false} hasRival={hasRival} onWeigh={none} />, [
      [['shop'], SHOP],
    ]);
  it('says whose turn it is only where another could be taken', () => {
    row(tin(), true);
    expect(screen.getByText('take this next')).toBeTruthy();
    cleanup();
    row(tin());
    expect(screen.queryByText('take this next')).toBeNull();
  });
  it('a closed one is opened in one touch, under a UUID of this device', async () => {
    const { sent } = row(tin({ openedMs: null }));
    fireEvent.click(screen.getByText('Open'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]).toMatchObject({
      url: '/api/stock-facts',
      body: { facts: [{ kind: 'tin-opened', personId: 'ines', body: { tinId: 't1' } }] },
    });
    expect(sent[0]!.body.facts[0].factId).toMatch(/^[0-9a-f-]{36}$/);
  });
});

describe('how much is in it', () => {
  const draw = () => drawPage(<WeighDialog tinId="t1" onClose={none} />, KNOWN);
  it('by eye in one touch', async () => {
    const { sent } = draw();
    fireEvent.click(screen.getByText('25 %'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]!.body.facts[0]).toMatchObject({
      kind: 'tin-weighed',
      body: { tinId: 't1', ml: 1000, by: 'guessed' },
    });
  });
  it('by weight: 420 g of tin and 1 562.5 g of 1.5625 kg/L paint are a litre', async () => {
    const { sent } = draw();
    fireEvent.change(screen.getByLabelText('On the scale, g'), { target: { value: '1982.5' } });
    expect(screen.getByText('1.00 L at 1.56 kg/L')).toBeTruthy();
    fireEvent.click(screen.getByText('Store the weight'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]!.body.facts[0].body).toEqual({ tinId: 't1', ml: 1000, by: 'weighed' });
  });
  it('a weight no such tin can have is questioned, not stored', () => {
    draw();
    fireEvent.change(screen.getByLabelText('On the scale, g'), { target: { value: '19825' } });
    expect(screen.getByText(/cannot be in a tin of 4.00 L/)).toBeTruthy();
    expect(screen.getByText<HTMLButtonElement>('Store the weight').disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('On the scale, g'), { target: { value: '100' } });
    expect(screen.getByText<HTMLButtonElement>('Store the weight').disabled).toBe(true);
  });
});

describe('receiving, correcting, pricing', () => {
  it('a bare 4 is asked about: 4 mL is no tin', async () => {
    const { sent } = drawPage(<ReceiveDialog onClose={none} />, KNOWN);
    fireEvent.change(screen.getByLabelText(/^Size/), { target: { value: '4' } });
    fireEvent.click(screen.getByText('Put it on the shelf'));
    expect(screen.getByRole('alert').textContent).toMatch(/outside|Which unit/);
    expect(sent).toEqual([]);
    fireEvent.change(screen.getByLabelText(/^Size/), { target: { value: '1 qt' } });
    fireEvent.click(screen.getByText('Put it on the shelf'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    // The imperial quart is 1 136.5225 mL by definition.
    expect(sent[0]!.body).toMatchObject({
      receivedMl: 1136.5,
      tin: { sizeMl: 1136.5, batch: null, madeOn: null },
    });
  });
  it('a label is corrected with the version that was seen', async () => {
    const { sent } = drawPage(<LabelDialog tinId="t1" onClose={none} />, KNOWN);
    fireEvent.change(screen.getByLabelText('Batch'), { target: { value: 'P2' } });
    fireEvent.change(screen.getByLabelText('Price'), { target: { value: '149,50' } });
    fireEvent.click(screen.getByText('Save'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]).toMatchObject({
      method: 'PATCH',
      body: { version: 3, batch: 'P2', priceCents: 14_950, tareG: 420 },
    });
  });
  it('a pack needs a size and a price', async () => {
    const { sent } = drawPage(
      <PackDialog productId="epoxy-primer" productName="Epoxy primer" content="paint" onClose={none} />,
      KNOWN,
    );
    fireEvent.change(screen.getByLabelText(/^Size/), { target: { value: '2.5 L' } });
    fireEvent.click(screen.getByText('Add this pack'));
    expect(screen.getByRole('alert').textContent).toContain('Write a price');
    fireEvent.change(screen.getByLabelText('Price'), { target: { value: '88.40' } });
    fireEvent.click(screen.getByText('Add this pack'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]!.body).toMatchObject({ sizeMl: 2500, priceCents: 8840, content: 'paint' });
  });
});

describe('what to buy, and where it went', () => {
  it('packs, what is over, and what no pack covers', () => {
    const line = {
      productId: 'epoxy-primer',
      productName: 'Epoxy primer',
      content: 'paint',
      colour: null,
      needMl: 6400,
      haveMl: 2500,
      shortMl: 3900,
      partIds: ['a', 'b'],
    };
    const list = {
      scope: 'all',
      cents: 15_200,
      lines: [
        { ...line, cover: { packs: [{ offerId: 'k4', count: 1 }], cents: 15_200, ml: 4000, wasteMl: 100 } },
        { ...line, content: 'thinner', cover: null },
      ],
    };
    const s = shelf({
      packs: [
        { packId: 'k4', productId: 'epoxy-primer', content: 'paint', sizeMl: 4000, priceCents: 15_200 },
      ],
    });
    drawPage(<Shopping shelf={s} />, [
      [['shopping', 'all'], list],
      [['machines'], { machines: [] }],
    ]);
    expect(screen.getByText('1 × 4.00 L')).toBeTruthy();
    expect(screen.getAllByText(/2 parts/)[0]!.textContent).toContain('100 mL over');
    expect(screen.getByText('no pack known')).toBeTruthy();
    expect(screen.getAllByText('€152.00').length).toBe(2);
  });
  it('paint that was found is below nothing in the unexplained', () => {
    drawPage(<LedgerTable accounts={shelf().accounts} />);
    expect(screen.getAllByText('−50 mL').length).toBe(3);
    expect(screen.getAllByText('4.00 L').length).toBe(3);
  });
  it('history: the newest first, each in words, a mix to be corrected', async () => {
    const fact = (factId: string, kind: string, atMs: number, body: object) => ({
      factId,
      kind,
      happenedAtMs: atMs,
      recordedAtMs: atMs,
      personId: 'ines',
      deviceId: 'd',
      supersedes: null,
      body,
    });
    const s = shelf({
      facts: [
        fact('f1', 'tin-received', NOW - 3 * DAY, { tinId: 't1', ml: 4000 }),
        fact('f2', 'mixed', NOW - DAY, {
          mixId: 'm',
          sheetId: 'epoxy-primer.1',
          colour: null,
          aTinId: 't1',
          bTinId: 't2',
          thinnerTinId: null,
          aMl: 400,
          bMl: 100,
          thinnerMl: 0,
          placeId: null,
        }),
      ] as ShelfResponse['facts'],
    });
    const { sent, container } = drawPage(
      <>
        <StockHistory shelf={s} zone="UTC" />
        <Dialogs />
      </>,
      [[['shop'], SHOP]],
    );
    const lines = [...container.querySelectorAll('li')].map((l) => l.textContent);
    expect(lines[0]).toContain('Mixed Epoxy primer P1: 400 mL + 100 mL + 0 mL thinner');
    expect(lines[1]).toContain('Tin came in Epoxy primer P1: 4.00 L');
    fireEvent.click(screen.getByText('Correct'));
    fireEvent.change(screen.getByLabelText('A, or the paint'), { target: { value: '' } });
    fireEvent.click(screen.getByText('Save correction'));
    expect(screen.getByRole('alert').textContent).toContain('Write a number of mL');
    expect(sent).toEqual([]);
    fireEvent.change(screen.getByLabelText('A, or the paint'), { target: { value: '380' } });
    fireEvent.click(screen.getByText('Save correction'));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    expect(sent[0]!.body.facts[0]).toMatchObject({
      kind: 'mixed',
      supersedes: 'f2',
      happenedAt: new Date(NOW - DAY).toISOString(),
      body: { mixId: 'm', aMl: 380, bMl: 100 },
    });
  });
});
