import { isoDay, localDay } from '../../base/zone.ts';
import { ofKind, standingFacts } from '../../facts/part.ts';
import { SPENT_ON, WORK_OPS, type SpentOn, type WorkOp } from '../../ledger/kinds.ts';
import { hoursLeft, type HoursLeft } from '../../ledger/rates.ts';
import {
  hoursOf,
  isStepDone,
  jobsOf,
  opOf,
  paceOf,
  shapeOf,
  workedOf,
  type Job,
  type RateView,
} from '../pace.ts';
import type { DerivedPart } from '../part.ts';
import { mixCentsPerMl, stockNow } from '../shelf.ts';
import { tradeChecks, type TradeCheck } from '../tradeChecks.ts';
import { partsInUse, type Snapshot } from '../snapshot.ts';
import { stepsNow } from '../stepsNow.ts';

export interface MachineHours {
  readonly machineId: string;
  readonly name: string;
  readonly workedH: number;
  /** Those hours at what an hour counts as here; null: nobody has said. */
  readonly workedCents: number | null;
  /** By this shop's own pace, of what the routes have still to be done. */
  readonly left: HoursLeft;
  readonly paintCents: number;
  /** Coats whose paint is not in that: they name no cup, or a tin of it has no price. */
  readonly coatsNotPriced: number;
  readonly spentCents: Readonly<Record<SpentOn, number>>;
  readonly areaM2: number;
}
export interface PersonHours {
  readonly personId: string;
  readonly name: string;
  readonly hours: number;
}
export interface HoursView {
  readonly nowMs: number;
  readonly zone: string;
  readonly currency: string;
  readonly machines: readonly MachineHours[];
  readonly people: readonly PersonHours[];
  readonly rates: readonly RateView[];
  /** Newest first. */
  readonly jobs: readonly Job[];
  /** The trade's own figures beside jobs of the same kind here. */
  readonly trade: readonly TradeCheck[];
  /** Hours by month, `2026-03`, oldest first; months in between in which nobody logged any are among them. */
  readonly months: readonly {
    readonly month: string;
    readonly hours: number;
    readonly byOp: Readonly<Record<WorkOp, number>>;
  }[];
}

/** Hours of hands that the routes of some parts still ask, step by step, at this shop's own pace. */
function leftOf(parts: readonly DerivedPart[], rates: readonly RateView[]): HoursLeft {
  const medians = parts.flatMap((part) => {
    const shape = shapeOf(part);
    return stepsNow(part).flatMap((s): number[] => {
      const on = opOf(s.step.kind);
      if (on === null || s.step.hours === undefined || s.step.hours <= 0 || isStepDone(s)) return [];
      const factor = rates.find((r) => r.on === on && r.shape === shape)?.factor ?? 1;
      // Of a step of several coats those that are on are done.
      const share = s.step.sheetId === null ? 1 : 1 - s.coatsDone / s.step.coats;
      return [s.step.hours * factor * share];
    });
  });
  return hoursLeft(medians);
}

/** What the paint that is on record for a part cost: what left the cup for each coat, by the prices on the tins; without one it counts nothing. */
function paintOf(
  snapshot: Snapshot,
  parts: readonly DerivedPart[],
): Pick<MachineHours, 'paintCents' | 'coatsNotPriced'> {
  const { mixes } = stockNow(snapshot).ledger;
  let [cents, notPriced] = [0, 0];
  for (const part of parts)
    for (const { body } of ofKind(standingFacts(part.facts), 'coated')) {
      const mix = body.mixId === undefined ? undefined : mixes.get(body.mixId);
      const perMl = mix ? mixCentsPerMl(snapshot, mix) : null;
      if (perMl === null || body.usedMl === undefined) notPriced += 1;
      else cents += perMl * body.usedMl;
    }
  return { paintCents: Math.round(cents), coatsNotPriced: notPriced };
}

const spentOn = (parts: readonly DerivedPart[]): Record<SpentOn, number> => {
  const out = Object.fromEntries(SPENT_ON.map((s) => [s, 0])) as Record<SpentOn, number>;
  for (const p of parts)
    for (const f of ofKind(standingFacts(p.facts), 'spent')) out[f.body.on] += f.body.cents;
  return out;
};

/** Every month from the first of some to the last. */
export function monthsBetween(some: readonly string[]): readonly string[] {
  const [first, last] = [[...some].sort()[0], [...some].sort().at(-1)];
  const out: string[] = [];
  for (let m = first; m !== undefined && last !== undefined && m <= last; m = monthAfter(m)) out.push(m);
  return out;
}
function monthAfter(month: string): string {
  const [year, no] = month.split('-').map(Number) as [number, number];
  return no === 12 ? `${year + 1}-01` : `${year}-${String(no + 1).padStart(2, '0')}`;
}

const noHours = (): Record<WorkOp, number> =>
  Object.fromEntries(WORK_OPS.map((o) => [o, 0])) as Record<WorkOp, number>;

/** Hours, pace and money of the shop, from what was logged. Pure. */
export function hoursView(snapshot: Snapshot): HoursView {
  const { shop } = snapshot;
  const { hourCents } = shop.workshop;
  const all = [...snapshot.parts.values()];
  const worked = all.flatMap(workedOf).sort((a, b) => b.happenedAtMs - a.happenedAtMs);
  const jobs = all.flatMap(jobsOf);
  const rates = paceOf(snapshot);
  const inUse = partsInUse(snapshot);
  const months = new Map<string, Record<WorkOp, number>>();
  for (const f of worked) {
    const m = isoDay(localDay(shop.workshop.zone, f.happenedAtMs)).slice(0, 7);
    const byOp = months.get(m) ?? noHours();
    byOp[f.body.on] += f.body.minutes / 60;
    months.set(m, byOp);
  }
  const newest = new Map(worked.map((f) => [f.partId, f.happenedAtMs] as const).reverse());
  const machines = shop.machines.map((m): MachineHours => {
    const parts = inUse.filter((p) => p.row.machineId === m.machineId);
    const own = jobs.filter((j) => j.machineId === m.machineId);
    const workedH = own.reduce((s, j) => s + j.workedH, 0);
    return {
      machineId: m.machineId,
      name: m.name,
      workedH,
      workedCents: hourCents === null ? null : Math.round(workedH * hourCents),
      left: leftOf(parts, rates),
      ...paintOf(snapshot, parts),
      spentCents: spentOn(parts),
      areaM2: parts.reduce((s, p) => s + (p.row.areaM2 ?? 0), 0),
    };
  });
  return {
    nowMs: snapshot.nowMs,
    zone: shop.workshop.zone,
    currency: shop.workshop.currency,
    machines,
    trade: tradeChecks(
      inUse,
      machines.map((m) => ({ machineId: m.machineId, name: m.name, workedH: m.workedH, leftH: m.left.p50 })),
    ),
    people: shop.people.flatMap((p): PersonHours[] => {
      const hours = hoursOf(worked.filter((f) => f.personId === p.personId));
      return hours > 0 ? [{ personId: p.personId, name: p.name, hours }] : [];
    }),
    rates,
    jobs: jobs.sort((a, b) => (newest.get(b.partId) ?? 0) - (newest.get(a.partId) ?? 0)),
    months: monthsBetween([...months.keys()]).map((month) => {
      const byOp = months.get(month) ?? noHours();
      return { month, byOp, hours: Object.values(byOp).reduce((s, x) => s + x, 0) };
    }),
  };
}
