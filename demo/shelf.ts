/** The demo's shelf: invented tins of the generic families, the packs they are sold in, two measured cups, and a cup of gloss mixed not an hour ago. */
import type { StockBodies, StockKind } from '@calvetta/core';
import type { CupView, NewTin, Pack, ShopFact, ShopStockFact } from '@calvetta/contract';

const H = 3_600_000;
const DAY = 24 * H;

/** product | content | batch | colour | size mL | made days ago | opened days ago (- closed) | level mL | price */
const TINS = `
epoxy-primer | paint    | P2417 |               | 4000 | 260 | 60  | 2650 | 152
epoxy-primer | hardener | H1182 |               | 1000 | 250 | 60  | 720  | 0
epoxy-primer | paint    | P2455 |               | 4000 | 70  | -   | 4000 | 156
epoxy-primer | thinner  |       |               | 5000 | -   | 200 | 3100 | 34
epoxy-mastic | paint    | M0871 |               | 4000 | 150 | 35  | 3100 | 148
epoxy-mastic | hardener | M0872 |               | 1000 | 150 | 35  | 790  | 0
gloss-2k     | paint    | G3301 | lining green  | 1000 | 200 | 40  | 620  | 56
gloss-2k     | paint    | G3344 | lining green  | 1000 | 40  | -   | 1000 | 58
gloss-2k     | paint    | G3310 | chassis black | 2500 | 190 | 50  | 1540 | 118
gloss-2k     | paint    | G3298 | engine green  | 1000 | 320 | 100 | 410  | 56
gloss-2k     | paint    | G3312 | signal cream  | 2500 | 180 | 30  | 1900 | 124
gloss-2k     | paint    | G3307 | harvest ochre | 1000 | 210 | -   | 1000 | 58
gloss-2k     | paint    | G3315 | beam red      | 500  | 160 | -   | 500  | 34
gloss-2k     | hardener | X9021 |               | 2500 | 240 | 104 | 1480 | 0
gloss-2k     | hardener | X8890 |               | 500  | 420 | 190 | 140  | 0
gloss-2k     | thinner  |       |               | 5000 | -   | 150 | 2400 | 38
enamel       | paint    | E5120 | lining green  | 1000 | 300 | 90  | 480  | 31
zp-alkyd     | paint    | Z0420 |               | 2500 | 210 | 70  | 1700 | 44
zinc-epoxy   | paint    | N7702 |               | 2000 | 400 | 120 | 900  | 124
zinc-epoxy   | hardener | N7703 |               | 500  | 400 | 120 | 95   | 0
etch-2k      | paint    | W1104 |               | 1000 | 280 | 80  | 540  | 42
etch-2k      | hardener | W1105 |               | 1000 | 280 | 80  | 530  | 0
surfacer-2k  | paint    | S2209 |               | 3000 | 220 | 45  | 1900 | 96
surfacer-2k  | hardener | S2210 |               | 1000 | 220 | 45  | 640  | 0
heat-black   | paint    | K0031 |               | 500  | 500 | 210 | 180  | 36
`;

const PACKS = `
epoxy-primer | paint | 1000 | 46
epoxy-primer | paint | 4000 | 152
epoxy-primer | hardener | 250 | 18
epoxy-primer | hardener | 1000 | 58
epoxy-primer | thinner | 1000 | 11
epoxy-primer | thinner | 5000 | 36
epoxy-mastic | paint | 1000 | 44
epoxy-mastic | paint | 4000 | 148
epoxy-mastic | hardener | 250 | 17
epoxy-mastic | hardener | 1000 | 56
epoxy-mastic | thinner | 1000 | 11
gloss-2k | paint | 500 | 34
gloss-2k | paint | 1000 | 58
gloss-2k | paint | 2500 | 124
gloss-2k | hardener | 250 | 21
gloss-2k | hardener | 500 | 36
gloss-2k | hardener | 1000 | 62
gloss-2k | thinner | 1000 | 13
gloss-2k | thinner | 5000 | 40
enamel | paint | 500 | 19
enamel | paint | 1000 | 31
enamel | paint | 2500 | 66
zp-alkyd | paint | 1000 | 21
zp-alkyd | paint | 2500 | 44
zinc-epoxy | paint | 2000 | 124
zinc-epoxy | hardener | 250 | 24
etch-2k | paint | 1000 | 42
etch-2k | hardener | 1000 | 30
epoxy-aero | paint | 1000 | 61
epoxy-aero | hardener | 250 | 22
epoxy-aero | hardener | 1000 | 70
surfacer-2k | paint | 1000 | 38
surfacer-2k | paint | 3000 | 96
surfacer-2k | hardener | 250 | 16
heat-black | paint | 500 | 36
`;

export const CUPS: readonly CupView[] = [
  { cupId: 'beaker', name: 'Tapered beaker', bottomMm: 70, topMm: 90, heightMm: 110 },
  { cupId: 'jug', name: 'Big jug', bottomMm: 110, topMm: 128, heightMm: 170 },
];

const rows = (text: string): string[][] =>
  text
    .trim()
    .split('\n')
    .map((l) => l.split('|').map((c) => c.trim()));

export const PACK_LIST: readonly Pack[] = rows(PACKS).map(([productId, content, size, price]) => ({
  packId: `${productId}-${content}-${size}`,
  productId: productId!,
  content: content as Pack['content'],
  sizeMl: Number(size),
  priceCents: Number(price) * 100,
}));

export interface DemoShelf {
  readonly tins: NewTin[];
  readonly stockFacts: ShopStockFact[];
}

/** Tins as delivered, opened and since used down to their level, and two mixes: one that a coat names, one that stands in the booth now. */
export function demoShelf(asOfMs: number, nextId: () => string, facts: readonly ShopFact[]): DemoShelf {
  const tins: NewTin[] = [];
  const stockFacts: ShopStockFact[] = [];
  const add = <K extends StockKind>(kind: K, atMs: number, body: StockBodies[K]): void =>
    void stockFacts.push({
      factId: nextId(),
      kind,
      happenedAt: new Date(atMs).toISOString(),
      personId: 'ruth',
      supersedes: null,
      body: { ...body },
    });
  rows(TINS).forEach(([productId, content, batch, colour, size, made, opened, level, price], i) => {
    const tinId = `tin-${String(i + 1).padStart(2, '0')}`;
    const madeMs = made === '-' ? null : asOfMs - Number(made) * DAY;
    tins.push({
      tinId,
      productId: productId!,
      content: content as NewTin['content'],
      batch: batch === '' ? null : batch!,
      colour: colour === '' ? null : colour!,
      sizeMl: Number(size),
      madeOn: madeMs === null ? null : new Date(madeMs).toISOString().slice(0, 10),
      priceCents: Number(price) === 0 ? null : Number(price) * 100,
      tareG: Number(size) >= 2000 ? 420 : 160,
    });
    const openedMs = opened === '-' ? null : asOfMs - Number(opened) * DAY;
    const cameMs = Math.min((madeMs ?? asOfMs - 220 * DAY) + 20 * DAY, openedMs ?? asOfMs - 5 * DAY);
    add('tin-received', cameMs, { tinId, ml: Number(size) });
    if (openedMs === null) return;
    add('tin-opened', openedMs, { tinId });
    add('tin-weighed', asOfMs - 4 * DAY, { tinId, ml: Number(level), by: 'weighed' });
  });
  const tinFor = (productId: string, content: string, colour: string | null = null): string =>
    tins.find((t) => t.productId === productId && t.content === content && t.colour === colour)!.tinId;
  const tray = facts.findLast((f) => f.partId === 'van.battery-tray' && f.kind === 'coated')!;
  const trayMs = Date.parse(tray.endedAt ?? tray.happenedAt);
  add('mixed', trayMs - 1.1 * H, {
    mixId: 'mix-tray',
    sheetId: 'epoxy-primer.1',
    colour: null,
    aTinId: tinFor('epoxy-primer', 'paint'),
    bTinId: tinFor('epoxy-primer', 'hardener'),
    thinnerTinId: tinFor('epoxy-primer', 'thinner'),
    aMl: 120,
    bMl: 30,
    thinnerMl: 15,
    placeId: 'booth',
  });
  Object.assign(tray.body, { mixId: 'mix-tray', usedMl: 62, batch: 'P2417' });
  add('wasted', trayMs + 2 * H, { mixId: 'mix-tray', ml: 103, why: 'gone-off' });
  add('mixed', asOfMs - 0.7 * H, {
    mixId: 'mix-black',
    sheetId: 'gloss-2k.1',
    colour: 'chassis black',
    aTinId: tinFor('gloss-2k', 'paint', 'chassis black'),
    bTinId: tinFor('gloss-2k', 'hardener'),
    thinnerTinId: tinFor('gloss-2k', 'thinner'),
    aMl: 165,
    bMl: 55,
    thinnerMl: 22,
    placeId: 'booth',
  });
  add('wasted', asOfMs - 0.4 * H, { mixId: 'mix-black', ml: 42, why: 'in-the-gun' });
  return { tins, stockFacts };
}
