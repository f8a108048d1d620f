import { DAY_MS, HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { endOfDay, startOfDay } from '../base/zone.ts';
import { sliceAir, type AirStretch } from '../part/thermal/track.ts';
import { cameBook } from '../people/absence.ts';
import { CONTRACTOR_WAIT_H } from '../route/hours.ts';
import { placeAir, type AirData } from '../shop/air.ts';
import { nightsBetween, sessionsAhead } from '../shop/calendar.ts';
import { surfaceOf, type DerivedPart, type SurfaceFrame } from '../shop/part.ts';
import { partsInUse, type Snapshot } from '../shop/snapshot.ts';
import type { ShopState } from '../shop/state.ts';
import { upToGrid } from './grid.ts';
import { unnamed, whoComes } from './hands.ts';
import { leaned } from './leans.ts';
import { operationsOf, type Chain } from './operations.ts';
import { withProduct } from './otherProduct.ts';
import type {
  KeptProduct,
  PlanAsk,
  PlanAsks,
  PlanOp,
  PlanPart,
  PlanProblem,
  PlanSession,
  PlanSurface,
} from './problem.ts';
import { TRIP_FROM_HOURS } from './steps.ts';
import { planAir, usualOf, USUAL_DAYS } from './usual.ts';

/** What is left of a session must be worth coming for. */
const LEAST_SESSION_MS = 30 * MINUTE_MS;

/** Air of a place that is kept warm for a while: no colder than that, as damp as it was. */
function heated(air: readonly AirStretch[], heat: readonly PlanAsk['heat'][number][]): readonly AirStretch[] {
  let out = air;
  for (const { fromMs, toMs, airC } of heat)
    out = out.flatMap((s) => {
      const a = Math.max(s.fromMs, fromMs);
      const b = Math.min(s.toMs, toMs);
      if (b <= a) return [s];
      const warm = sliceAir(s, a, b);
      return [
        ...(a > s.fromMs ? [sliceAir(s, s.fromMs, a)] : []),
        { ...warm, fromC: Math.max(warm.fromC, airC), toC: Math.max(warm.toC, airC) },
        ...(b < s.toMs ? [sliceAir(s, b, s.toMs)] : []),
      ];
    });
  return out;
}

/** A name for the air of each place that shares any: places that lead to one another share one, in whatever direction it was said. */
function airsOf(places: ShopState['places']): Readonly<Record<string, string>> {
  const air = new Map(places.map((p) => [p.placeId, p.placeId] as const));
  for (const { placeId, airOfId } of places) {
    if (airOfId === null) continue;
    const [from, to] = [air.get(placeId)!, air.get(airOfId) ?? airOfId];
    for (const [id, of] of air) if (of === from) air.set(id, to);
  }
  return Object.fromEntries(air);
}

/** When people come: as the shop's calendar has it without what is lost, and what is only supposed where nobody comes anyhow. */
function sessionsOf(snapshot: Snapshot, ask: PlanAsk): PlanSession[] {
  const { shop, nowMs } = snapshot;
  const { zone } = shop.workshop;
  const days = ask.weeks * 7;
  const book = cameBook(shop.stock, zone, nowMs);
  const own = sessionsAhead(shop.attendance, zone, nowMs, days)
    .filter((s) => !ask.lost.includes(s.fromMs))
    .map((s) => ({ ...s, who: whoComes(snapshot, ask, book, s.fromMs) }));
  const added = (ask.added ?? [])
    .filter((a) => a.toMs > nowMs && !own.some((o) => a.fromMs < o.toMs && o.fromMs < a.toMs))
    .map((a) => ({ fromMs: a.fromMs, toMs: a.toMs, who: unnamed(a.people, a.painters) }));
  return [...own, ...added]
    .sort((a, b) => a.fromMs - b.fromMs)
    .map((s) => ({ ...s, fromMs: upToGrid(Math.max(s.fromMs, nowMs)), people: s.who.length }))
    .filter((s) => s.people > 0 && s.toMs - s.fromMs >= LEAST_SESSION_MS && s.fromMs < nowMs + days * DAY_MS);
}

/**
 * All that a plan is made from: the machines asked for, part by part, with the sessions, the air and the surfaces as far as the plan
 * looks. What cannot be planned is among `asks`, with what keeps it out. `sigmas`: as the air may turn out, against what is expected of it. Pure.
 */
export function planProblem(
  snapshot: Snapshot,
  data: AirData,
  ask: PlanAsk,
  sigmas: number | null = null,
): PlanProblem {
  const { shop, nowMs } = snapshot;
  const { zone } = shop.workshop;
  const endMs = nowMs + ask.weeks * 7 * DAY_MS;
  const sinceMs = nowMs - (USUAL_DAYS + 1) * DAY_MS;
  const fromMs = Math.min(sinceMs, snapshot.fromMs);
  const none = { past: [], thinned: [], recent: [] };
  const usualDays: Record<string, number> = {};
  const warmAir = new Map<string, { readonly track: readonly AirStretch[] }>();
  const air = new Map(
    shop.places.map((p) => {
      const { track } = placeAir(p, data.places[p.placeId] ?? none, data.outdoor, fromMs, nowMs, endMs);
      const usual = usualOf(track, zone, nowMs);
      usualDays[p.placeId] = usual?.days ?? 0;
      const expected = planAir(track, usual, zone, Math.max(nowMs, data.forecastEndMs), endMs);
      const known =
        sigmas === null ? expected : leaned(expected, sigmas, nowMs, Math.max(nowMs, data.forecastEndMs));
      const heat = ask.heat.filter((h) => h.placeId === p.placeId);
      // What the days of the last weeks would have been, had the heat been on: past the forecast they stand for the days to come.
      const always = heat.map((h) => ({ ...h, fromMs: fromMs - DAY_MS, toMs: endMs }));
      warmAir.set(p.placeId, { track: heat.length === 0 ? known : heated(known, always) });
      return [p.placeId, { track: heated(known, heat) }] as const;
    }),
  );
  const nights = nightsBetween(zone, fromMs, endMs);
  const forecastEndMs = Math.max(nowMs, data.forecastEndMs);
  const shared = { nights, nowMs, fromMs, horizonMs: endMs };
  const frame = { ...shared, air, forecastEndMs, tracks: new Map() };
  const warmFrame = { ...shared, air: warmAir, tracks: new Map() };
  const wanted = partsInUse(snapshot).filter((p) =>
    ask.machines.some((m) => m.machineId === p.row.machineId),
  );
  const asks: PlanAsks[] = [];
  const kept: KeptProduct[] = [];
  const parts = wanted.flatMap((own): PlanPart[] => {
    const changed = ask.product ? withProduct(snapshot, own, ask.product) : { part: own, kept: null };
    const { part } = changed;
    if (changed.kept) kept.push(changed.kept);
    const chain = operationsOf(snapshot, part, ask);
    const ops = broughtBackLate(chain.ops, ask.lateDays ?? 0);
    asks.push(...chain.asks);
    const ground = { shop, frame, warmFrame, ask, sinceMs };
    return ops.length === 0 ? [] : [partOf(ground, part, { ...chain, ops }, ask.coatPlaceId)];
  });
  const ops = new Set(parts.flatMap((p) => p.ops.map((o) => o.opId)));
  return {
    // What was pinned and is done since, or of a machine that is not asked for any more, holds nothing.
    ask: { ...ask, pins: ask.pins.filter((p) => ops.has(p.opId)) },
    zone,
    nowMs,
    endMs,
    forecastEndMs,
    sessions: sessionsOf(snapshot, ask),
    airs: airsOf(shop.places),
    capacity: shop.workshop.means.capacity,
    parts,
    asks,
    kept,
    usualDays,
    machines: ask.machines.map((m) => ({
      machineId: m.machineId,
      name: shop.machines.find((x) => x.machineId === m.machineId)?.name ?? m.machineId,
      dueMs: m.dueDay === null ? null : endOfDay(zone, m.dueDay),
      weight: m.weight,
    })),
  };
}

/** The same work when whoever has a part brings it back so many days later than likely. */
const broughtBackLate = (ops: readonly PlanOp[], days: number): readonly PlanOp[] =>
  ops.map((o) => (o.waitHours > TRIP_FROM_HOURS ? { ...o, waitHours: o.waitHours + 24 * days } : o));

/** Metal carried in from the cold is let stand for two of its time constants before it is coated, half a day at most. */
const WARM_UP_TAUS = 2;
const MOST_WARM_UP_MS = DAY_MS / 2;

interface Ground {
  readonly shop: ShopState;
  readonly frame: SurfaceFrame & { readonly forecastEndMs: number };
  readonly warmFrame: SurfaceFrame;
  readonly ask: PlanAsk;
  readonly sinceMs: number;
}

/** A part's days in a place with the heat on, where it is to be on. */
function warmOf(
  { shop, warmFrame, ask, sinceMs }: Ground,
  part: DerivedPart,
  placeId: string | null,
  isCarried: boolean,
): PlanSurface['warm'] {
  const spans = ask.heat.filter((h) => h.placeId === placeId);
  if (spans.length === 0) return null;
  const to = isCarried ? { placeId: placeId!, atMs: sinceMs } : null;
  return { spans, days: surfaceOf(shop, warmFrame, part, sinceMs, to) };
}

/** When a part that was sent away is looked for: the day it was promised, else as long after as routes reckon a trip. Null: it is here. */
function sentUntil(part: DerivedPart, zone: string, lateDays: number): number | null {
  const { sent } = part.state.lead;
  if (!sent) return null;
  const dueMs =
    sent.backDay === null ? sent.sinceMs + CONTRACTOR_WAIT_H * HOUR_MS : startOfDay(zone, sent.backDay);
  return dueMs + lateDays * DAY_MS;
}

function partOf(
  ground: Ground,
  part: DerivedPart,
  { ops, films, bare }: Pick<Chain, 'ops' | 'films' | 'bare'>,
  coatPlaceId: string | null,
): PlanPart {
  const { shop, frame, ask, sinceMs } = ground;
  const { zone } = shop.workshop;
  const own = ask.parts?.find((p) => p.partId === part.row.partId);
  const isOutdoors = (placeId: string | null): boolean =>
    shop.places.find((p) => p.placeId === placeId)?.exposure === 'outdoors';
  const track = surfaceOf(shop, frame, part, sinceMs);
  const isCarried = ops.some((o) => o.kind === 'carry');
  const days = isCarried
    ? surfaceOf(shop, frame, part, sinceMs, { placeId: coatPlaceId!, atMs: sinceMs })
    : track;
  const warm = isCarried ? warmOf(ground, part, coatPlaceId, true) : null;
  const moved = new Map<number, PlanSurface>();
  return {
    partId: part.row.partId,
    name: part.row.name,
    machineId: part.row.machineId,
    placeId: part.placeId!,
    substrate: part.row.substrate,
    isOutdoors: isOutdoors(part.placeId),
    warmsMs: Math.min(MOST_WARM_UP_MS, WARM_UP_TAUS * 1000 * (part.lagFit?.tauS ?? part.lag?.tauS ?? 0)),
    surface: { track, days: track, warm: warmOf(ground, part, part.placeId, false) },
    carry: isCarried
      ? {
          placeId: coatPlaceId!,
          isOutdoors: isOutdoors(coatPlaceId),
          surfaceFrom: (atMs) => {
            // Past the forecast one evening is like another: what has no film on it yet is taken as if it had stood there.
            if (films.length === 0 && atMs >= frame.forecastEndMs) return { track: days, days, warm };
            let surface = moved.get(atMs);
            if (!surface) {
              const to = { placeId: coatPlaceId!, atMs };
              moved.set(atMs, (surface = { track: surfaceOf(shop, frame, part, sinceMs, to), days, warm }));
            }
            return surface;
          },
        }
      : null,
    notBeforeMs: own?.fromDay == null ? null : startOfDay(zone, own.fromDay),
    backMs: sentUntil(part, zone, ask.lateDays ?? 0),
    dueMs: own?.byDay == null ? null : endOfDay(zone, own.byDay),
    films,
    bare,
    ops,
  };
}
