import type { ShopStockFact } from '@calvetta/contract';
import type { Induction, StockBodies, StockKind } from '@calvetta/core';
import type { Add } from './hours.ts';

export const GAUGES = [
  { gaugeId: 'red-gauge', name: 'Red gauge', kind: 'film' as const },
  { gaugeId: 'bench-scale', name: 'Bench scale', kind: 'scale' as const },
];

/** Numbers in the works' own register, and where a part comes from that is not the machine's own. */
export const ACCESSIONS: Readonly<Record<string, string>> = { quarry: 'SW 1987/4', saltern: 'SW 2019/11' };
export const COMES_FROM: Readonly<Record<string, string>> = {
  'saltern.wing-float-spare': 'off a sister machine, broken up; came in a trade',
  'quarry.chimney': 'made new to the drawing; the old one is kept',
};

/** Three who spray and blast, long since shown how; a young one, and one whose turn it is again. */
const SHOWN: readonly (readonly [who: string, to: Induction, until?: string])[] = [
  ...['ines', 'ruth', 'tom', 'fay'].flatMap((who) =>
    (['spray', 'air-fed', 'blast'] as const).map((to) => [who, to] as const),
  ),
  ['nell', 'lift'],
  ['ravi', 'spray', '2025-10-01'],
  ['joss', 'spray'],
];

/** What keeps a shop honest beside its coats: who was shown what, gauges and scales tried, papers, and a word for the next session. */
export function demoKeeping(asOfMs: number, nextId: () => string): ShopStockFact[] {
  const at = <K extends StockKind>(kind: K, hoursAgo: number, body: StockBodies[K], personId = 'nell') => ({
    factId: nextId(),
    kind,
    happenedAt: new Date(asOfMs - hoursAgo * 3_600_000).toISOString(),
    personId,
    supersedes: null,
    body,
  });
  // A month ago and this week: they pass.
  const foils = (i: number): StockBodies['gauge-checked'] => ({
    gaugeId: 'red-gauge',
    foils: [0, 51, 124, 248].map((foilUm, k) => ({
      foilUm,
      readUm: foilUm + [0.5, -0.6, 1.2, 2][k]! * (1 + i),
    })),
    tolUm: 2,
    tolPct: 3,
  });
  const masses = (i: number): StockBodies['scale-checked'] => ({
    gaugeId: 'bench-scale',
    masses: [0, 100, 500, 2000].map((massG, k) => ({ massG, readG: massG + [0, 0.2, 0.4, 3][k]! * (1 + i) })),
    tolG: 1,
    tolPct: 0.5,
  });
  return [
    ...[720, 30].map((hoursAgo, i) => at('gauge-checked', hoursAgo, foils(i))),
    ...[720, 30].map((hoursAgo, i) => at('scale-checked', hoursAgo, masses(i))),
    ...SHOWN.map(([whoId, to, until]) =>
      at('inducted', 26_000, { whoId, to, ...(until === undefined ? {} : { until }) }, 'ines'),
    ),
    at('batch-certified', 900, { tinId: 'tin-01', certificate: '2417-A, with the delivery' }),
    at('batch-certified', 300, {
      tinId: 'tin-15',
      certificate: '8890-R, kept sample tried again',
      goodUntil: '2026-09-30',
    }),
    at(
      'handed-over',
      46,
      {
        text: 'Side rods hang in the booth: leave the heat at 18. Bonnet is degreased, not wiped. Rag bin wants emptying.',
      },
      'ruth',
    ),
    // The list of six weeks: Ines hardly misses an evening, Ruth every third.
    ...Array.from({ length: 18 }, (_, k) => 56 * (k + 1)).flatMap((hoursAgo, k) => [
      at('came', hoursAgo, { whoId: 'ines' }, 'ines'),
      ...(k % 3 === 1 ? [] : [at('came', hoursAgo, { whoId: 'ruth' }, 'ruth')]),
    ]),
    at('came', 0.6, { whoId: 'ines' }, 'ines'),
    at('came', 0.4, { whoId: 'ruth' }, 'ruth'),
  ];
}

/** What was put by of a float that was signed for. */
export function demoSamples(add: Add): void {
  add(
    'saltern.wing-float-spare',
    'sample-kept',
    17_190,
    {
      what: 'witness-panel',
      where: 'drawer 3 of the plan chest, panel 12',
      note: 'sprayed beside the float',
    },
    null,
    0,
    'ruth',
  );
}
