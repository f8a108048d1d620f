import type { FactBodies, FactKind, RouteStep, WorkOp } from '@calvetta/core';
import type { ShopFact } from '@calvetta/contract';

/** Adds an entry to the scenario, so many hours before its moment; comes back with its id. */
export type Add = <K extends FactKind>(
  partId: string,
  kind: K,
  hoursAgo: number,
  body: FactBodies[K],
  face: null,
  minutes: number,
  personId: string,
) => string;

/** Who works at what, and how long the works really takes against what its routes reckon: stripping drags, coating goes well. */
const WORK: readonly {
  readonly on: WorkOp;
  readonly after: FactKind;
  readonly kinds: readonly string[];
  readonly pace: number;
  readonly hands: readonly string[];
}[] = [
  { on: 'strip', after: 'stripped', kinds: ['strip'], pace: 1.35, hands: ['tom', 'joss', 'ravi'] },
  {
    on: 'prepare',
    after: 'coated',
    kinds: ['mask', 'abrade', 'pretreat', 'unmask'],
    pace: 1.15,
    hands: ['nell', 'ruth'],
  },
  {
    on: 'coat',
    after: 'coated',
    kinds: ['stripe', 'etch', 'prime', 'intermediate', 'topcoat'],
    pace: 0.9,
    hands: ['ines', 'ruth'],
  },
];

/** Hours of six volunteers on parts that have come so far, and what was bought. */
export function demoHours(
  add: Add,
  facts: readonly ShopFact[],
  routes: ReadonlyMap<string, readonly RouteStep[]>,
  agoOf: (f: ShopFact) => number,
): void {
  let n = 0;
  for (const [partId, steps] of routes) {
    const own = facts.filter((f) => f.partId === partId);
    for (const { on, after, kinds, pace, hands } of WORK) {
      const acts = own.filter((f) => f.kind === after);
      const asked = steps.filter((s) => kinds.includes(s.kind));
      const hours = asked.reduce((sum, s) => sum + s.hours, 0);
      // Every fifth time nobody wrote it down.
      if (acts.length === 0 || hours === 0 || (n += 1) % 5 === 0) continue;
      const coats = asked.reduce((sum, s) => sum + s.coats, 0);
      const share = on === 'coat' && coats > 0 ? Math.min(1, acts.length / coats) : 1;
      const wobble = 0.75 + ((partId.length * 13 + n * 29) % 50) / 100;
      const minutes = Math.max(10, Math.round(hours * 60 * share * pace * wobble));
      const who = hands[n % hands.length]!;
      add(partId, 'worked', agoOf(acts[acts.length - 1]!), { on, minutes }, null, 0, who);
    }
  }
  add(
    'quarry.cab-roof',
    'reminder-set',
    120,
    { text: 'given five years: new sheet or let in patches along the gutter', onDay: '2031-03-01' },
    null,
    0,
    'ruth',
  );
  for (const [partId, hoursAgo, on, cents, note] of [
    ['quarry.main-frame-left', 150, 'contractor', 38_000, 'blasting at the yard, both frames'],
    ['quarry.saddle-tank', 90, 'consumables', 4_250, 'discs and masking'],
    ['saltern.rudder', 60, 'consumables', 2_780, 'masking and tack cloths'],
    ['fenland.seat-pan', 200, 'bought-part', 6_400, 'cork bushes'],
    ['van.chassis-rail-right', 70, 'contractor', 21_000, 'blasting of the rails'],
  ] as const)
    add(partId, 'spent', hoursAgo, { on, cents, note }, null, 0, 'ines');
}
