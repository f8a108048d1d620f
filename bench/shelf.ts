import highsLoader from 'highs';
import { cheapestCover, chooseLeftover, seededRandom, type LeftoverItem, type Offer } from '@calvetta/core';
import { bestMs, type Line } from './print.ts';

const WAITING = 2000;
const LEFT_ML = 900;
const LEFT_MIN = 180;
const PARTS = 400;
const PRODUCTS = 40;

/** What a leftover can still paint among 2 000 waiting parts, against the same 0/1 programme in highs. */
async function benchLeftover(): Promise<Line[]> {
  const random = seededRandom(31);
  const items: LeftoverItem[] = Array.from({ length: WAITING }, (_, i) => ({
    id: `p${i}`,
    needMl: 5 + random() * 250,
    minutes: 10 + random() * 40,
    shutMs: random() < 0.2 ? null : Math.floor(random() * 72) * 3_600_000,
  }));
  const sum = (of: (x: LeftoverItem) => number): string =>
    items.map((x, i) => `${Math.ceil(of(x))} x${i}`).join(' + ');
  const lp = `Maximize\n obj: ${sum((x) => x.needMl)}\nSubject To\n ml: ${sum((x) => x.needMl)} <= ${LEFT_ML}\n min: ${sum((x) => x.minutes)} <= ${LEFT_MIN}\nBinary\n ${items.map((_, i) => `x${i}`).join(' ')}\nEnd`;
  const highs = await highsLoader();
  let theirs = 0;
  const highsMs = bestMs(3, () => {
    theirs = Math.round(highs.solve(lp, { mip_rel_gap: 0 }).ObjectiveValue);
  });
  let ours = 0;
  const oursMs = bestMs(10, () => {
    ours = chooseLeftover(items, LEFT_ML, LEFT_MIN).usedMl;
  });
  return [
    { what: `baseline: highs, ${WAITING} parts`, value: `${highsMs.toFixed(1)} ms, ${theirs} mL used` },
    {
      what: 'ours',
      value: `${oursMs.toFixed(1)} ms, ${ours} mL used, ${(highsMs / oursMs).toFixed(1)} × faster (aim ≥ 10)`,
    },
  ];
}

/** The cheapest packs for what 400 parts need of 40 products, against one integer programme for all of it in highs. */
async function benchShopping(): Promise<Line[]> {
  const random = seededRandom(32);
  const needs = Array.from({ length: PRODUCTS }, () => 0);
  for (let i = 0; i < PARTS; i++) needs[i % PRODUCTS]! += Math.ceil(30 + random() * 700);
  const offers = needs.map((_, p): Offer[] =>
    [250, 500, 1000, 2500, 4000].map((ml, k) => ({
      offerId: `p${p}k${k}`,
      ml,
      cents: Math.round(ml * (3 + random() * 4)),
      atMost: null,
    })),
  );
  const all = offers.flat();
  const lp = `Minimize\n obj: ${all.map((o) => `${o.cents} ${o.offerId}`).join(' + ')}\nSubject To\n${needs
    .map((need, p) => ` n${p}: ${offers[p]!.map((o) => `${o.ml} ${o.offerId}`).join(' + ')} >= ${need}`)
    .join('\n')}\nGeneral\n ${all.map((o) => o.offerId).join(' ')}\nEnd`;
  const highs = await highsLoader();
  let theirs = 0;
  const highsMs = bestMs(3, () => {
    theirs = Math.round(highs.solve(lp, { mip_rel_gap: 0 }).ObjectiveValue);
  });
  let ours = 0;
  const oursMs = bestMs(20, () => {
    ours = needs.reduce((s, need, p) => s + cheapestCover(need, offers[p]!)!.cents, 0);
  });
  return [
    {
      what: `baseline: highs, ${PARTS} parts, ${PRODUCTS} products`,
      value: `${highsMs.toFixed(1)} ms, ${theirs} cents`,
    },
    {
      what: 'ours',
      value: `${oursMs.toFixed(2)} ms, ${ours} cents, ${(highsMs / oursMs).toFixed(1)} × faster (aim ≥ 10)`,
    },
  ];
}

export const benchShelf = async (): Promise<Line[]> => [
  ...(await benchLeftover()),
  ...(await benchShopping()),
];
