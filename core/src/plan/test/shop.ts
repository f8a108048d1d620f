import { vapourHpa } from '../../air/humidity.ts';
import { seededRandom, type Random } from '../../base/random.ts';
import { DAY_MS, HOUR_MS } from '../../base/time.ts';
import type { BareLimit } from '../../cure/bare.ts';
import { NO_CAPACITY, type Capacity } from '../../part/shopMeans.ts';
import { growingTrack, type AirStretch, type SurfaceStretch } from '../../part/thermal/track.ts';
import type { ProductSheet } from '../../products/sheet.ts';
import { sessionsAhead } from '../../shop/calendar.ts';
import { sheet } from '../../test/build.ts';
import { plainAsk } from '../ask.ts';
import { unnamed } from '../hands.ts';
import type {
  Hand,
  PlanAsk,
  PlanCoat,
  PlanOp,
  PlanPart,
  PlanProblem,
  PlanSession,
  Under,
} from '../problem.ts';
import { work } from '../steps.ts';
import { GUN_HOLDS, heldBy } from '../things.ts';
import { planAir, usualOf } from '../usual.ts';

/** Builders for tests only: shops small enough to be reckoned by hand, and random ones. */
export const ZONE = 'Europe/London';
const STEP_MS = HOUR_MS / 2;
const PAST_MS = 29 * DAY_MS;

export const ASK: PlanAsk = plainAsk([], { weeks: 4 });

/** Air by a function of time: measured until now, forecast for three days, then as it usually is. */
export function air(
  nowMs: number,
  endMs: number,
  at: (ms: number) => { readonly airC: number; readonly rhPct: number },
): { readonly track: readonly AirStretch[]; readonly forecastEndMs: number } {
  const forecastEndMs = nowMs + 3 * DAY_MS;
  const stretches: AirStretch[] = [];
  for (let ms = nowMs - PAST_MS; ms < forecastEndMs; ms += STEP_MS) {
    const [a, b] = [at(ms), at(ms + STEP_MS)];
    stretches.push({
      fromMs: ms,
      toMs: ms + STEP_MS,
      fromC: a.airC,
      toC: b.airC,
      fromVapourHpa: vapourHpa(a.airC, a.rhPct),
      toVapourHpa: vapourHpa(b.airC, b.rhPct),
      source: ms < nowMs ? 'measured' : 'forecast',
    });
  }
  const usual = usualOf(stretches, ZONE, nowMs);
  return { track: planAir(stretches, usual, ZONE, forecastEndMs, endMs), forecastEndMs };
}

export const surface = (track: readonly AirStretch[], endMs: number, tauS = 600): readonly SurfaceStretch[] =>
  growingTrack({ air: track, tauS, own: [], fromMs: track[0]!.fromMs, toMs: endMs });

export const op = (partId: string, no: number, over: Partial<PlanOp> = {}): PlanOp => ({
  ...work(partId, `s${no}`, 'degrease'),
  handsMin: 30,
  ...over,
});

export function coatOp(
  partId: string,
  no: number,
  on: readonly Under[],
  over: { readonly sheet?: ProductSheet; readonly handsMin?: number; readonly coat?: Partial<PlanCoat> } = {},
): PlanOp {
  const s = over.sheet ?? sheet();
  return op(partId, no, {
    kind: 'prime',
    handsMin: over.handsMin ?? 20,
    coat: {
      sheet: s,
      dftUm: s.dftUm,
      tool: 'gun',
      colour: null,
      areaM2: 1,
      no: 1,
      of: 1,
      mixedMl: 100,
      on,
      speedBy: 1,
      ...over.coat,
    },
  });
}

export function part(partId: string, track: readonly SurfaceStretch[], ops: readonly PlanOp[]): PlanPart {
  return {
    partId,
    name: partId,
    machineId: 'm',
    placeId: 'booth',
    substrate: 'steel-plate',
    isOutdoors: false,
    warmsMs: 0,
    surface: { track, days: track, warm: null },
    carry: null,
    notBeforeMs: null,
    backMs: null,
    dueMs: null,
    films: [],
    bare: null,
    ops,
  };
}

export function problem(
  nowMs: number,
  parts: readonly PlanPart[],
  sessions: readonly PlanSession[],
  over: Partial<PlanProblem> = {},
): PlanProblem {
  const ask = over.ask ?? ASK;
  return {
    zone: ZONE,
    nowMs,
    endMs: nowMs + ask.weeks * 7 * DAY_MS,
    forecastEndMs: nowMs + 3 * DAY_MS,
    sessions,
    airs: {},
    capacity: NO_CAPACITY,
    parts,
    asks: [],
    kept: [],
    usualDays: { booth: 28 },
    machines: [{ machineId: 'm', name: 'm', dueMs: null, weight: 1 }],
    ...over,
    ask,
  };
}

const LIMITS: readonly BareLimit[] = [
  { kind: 'by-humidity', capHours: 4 },
  { kind: 'hours', hours: 8 },
  { kind: 'none' },
];

/** A random shop: weather with days and fronts, evenings and Saturdays, parts of every sort. The same seed, the same shop. */
export function randomShop(seed: number, nowMs: number): PlanProblem {
  const random = seededRandom(seed);
  const weeks = 3 + Math.floor(random() * 5);
  const endMs = nowMs + weeks * 7 * DAY_MS;
  const mean = 9 + 12 * random();
  const swing = 5 * random();
  const damp = 45 + 35 * random();
  const weather = air(nowMs, endMs, (ms) => ({
    airC: mean + swing * Math.sin((ms / DAY_MS) * 2 * Math.PI) + 2 * Math.sin((ms / DAY_MS) * 0.9),
    rhPct: Math.min(97, damp + 12 * Math.sin((ms / DAY_MS) * 0.7)),
  }));
  const tracks = [300, 3000, 12_000].map((tauS) => surface(weather.track, endMs, tauS));
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const weekly = [2, 4, 6].map((weekday) => ({
    weekday,
    from: weekday === 6 ? '09:30' : '18:30',
    to: weekday === 6 ? '16:30' : '21:30',
  }));
  const people = 1 + Math.floor(random() * 3);
  const painters = 1 + Math.floor(random() * 2);
  // Half of the shops ask who comes, each session others: some spray, some blast, some neither.
  const asks = random() < 0.5;
  const sessions = sessionsAhead({ weekly, exceptions: [] }, ZONE, nowMs, weeks * 7)
    .filter((s) => s.fromMs > nowMs)
    .map((s) => ({ ...s, people, who: asks ? handsAt(random, people) : unnamed(people, painters) }));
  const parts = Array.from({ length: 2 + Math.floor(random() * 9) }, (_, i) =>
    randomPart(`p${i}`, pick(tracks), random, pick),
  );
  const ask: PlanAsk = {
    ...ASK,
    weeks,
    people,
    painters,
    roomM2: random() < 0.5 ? 6 : null,
    seed,
  };
  // Half of the shops have little of everything.
  const capacity: Capacity =
    random() < 0.5 ? NO_CAPACITY : { ...NO_CAPACITY, bathKg: 30, airTools: 1, hoists: 1, ovenM2: 2 };
  return problem(nowMs, parts, sessions, { ask, endMs, capacity, forecastEndMs: weather.forecastEndMs });
}

const handsAt = (random: Random, people: number): Hand[] =>
  Array.from({ length: people }, () => {
    const sprays = random() < 0.7;
    return { name: null, sprays, isMasked: sprays && random() < 0.7, blasts: random() < 0.6 };
  });

function randomPart(
  partId: string,
  track: readonly SurfaceStretch[],
  random: Random,
  pick: <T>(list: readonly T[]) => T,
): PlanPart {
  const minutes = (): number => 5 + Math.floor(random() * 110);
  const primer = sheet({ sheetId: 'epoxy.1' });
  const poison = sheet({
    sheetId: 'gloss.1',
    productId: 'gloss',
    binder: 'urethane-2k',
    role: 'finish',
    cautions: ['isocyanate'],
  });
  const ops: PlanOp[] = [
    op(partId, 1, { handsMin: minutes(), isSplittable: true, usesSolvent: random() < 0.5 }),
  ];
  const what = pick(['grit-blast', 'disc', 'chelating-bath', 'bead-blast']);
  if (random() < 0.7)
    ops.push(
      op(partId, 2, {
        kind: 'strip',
        what,
        isHot: what === 'disc',
        handsMin: minutes(),
        bares: pick(LIMITS),
        makesDust: random() < 0.6,
        waitHours: what === 'chelating-bath' || random() < 0.1 ? 18 : 0,
        holds: heldBy({ kind: 'strip', what }, { massKg: 8 + 16 * random(), areaM2: 1 }),
      }),
      op(partId, 3, { kind: 'wash', handsMin: 10 }),
    );
  const turns = random() < 0.3;
  let under: Under = { kind: 'bare' };
  for (let no = 4; no < 5 + Math.floor(random() * 3); no++) {
    // Every second part that lies is too heavy for one.
    if (turns && no > 4) ops.push(turnOp(partId, no, random() < 0.5));
    const coat: PlanOp = coatOp(partId, no, [under], {
      sheet: no > 4 && random() < 0.6 ? poison : primer,
      handsMin: 10 + Math.floor(random() * 50),
      coat: { areaM2: 0.3 + 4 * random(), colour: random() < 0.3 ? 'red' : null },
    });
    ops.push({ ...coat, holds: GUN_HOLDS });
    under = { kind: 'op', opId: coat.opId };
  }
  if (random() < 0.3) ops.push(bakeOp(partId, 1 + random()));
  if (random() < 0.3)
    ops.push(op(partId, 10, { kind: 'preserve', needs: 'handle', handsMin: minutes(), oils: true }));
  if (random() < 0.4) ops.push(op(partId, 9, { kind: 'reassemble', needs: 'handle', handsMin: minutes() }));
  return part(partId, track, ops);
}

const turnOp = (partId: string, no: number, isHeavy: boolean): PlanOp =>
  op(partId, no, {
    opId: `${partId}/turn${no}`,
    kind: 'turn',
    needs: 'handle',
    handsMin: isHeavy ? 30 : 15,
    mostPeople: isHeavy ? 2 : 1,
    leastPeople: isHeavy ? 2 : 1,
    holds: isHeavy ? [{ thing: 'hoist', amount: 1, until: 'end' }] : [],
  });
const bakeOp = (partId: string, areaM2: number): PlanOp =>
  op(partId, 8, {
    kind: 'bake',
    needs: 'touch',
    waitHours: 4,
    holds: heldBy({ kind: 'bake', what: null }, { massKg: null, areaM2 }),
  });
