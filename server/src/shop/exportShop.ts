import type { Fact, ShopState, StockFact } from '@calvetta/core';
import {
  SHOP_FORMAT,
  type ShopFact,
  type ShopFile,
  type ShopPart,
  type SurveyTemplate,
  type WrittenDown,
} from '@calvetta/contract';

/** What stood on the page when an entry was made, by its id. */
export type EvidenceOf = ReadonlyMap<string, Readonly<Record<string, unknown>>>;

const writtenDown = (f: Fact | StockFact, evidenceOf: EvidenceOf): WrittenDown => {
  const evidence = evidenceOf.get(f.factId);
  return {
    recordedAt: new Date(f.recordedAtMs).toISOString(),
    deviceId: f.deviceId,
    ...(evidence ? { evidence } : {}),
  };
};

function factOf(f: Fact, evidenceOf: EvidenceOf): ShopFact {
  const { factId, kind, partId, face, happenedAtMs, endedAtMs, personId, supersedes, body } = f;
  // A kind and its own body: the union of all kinds cannot say so.
  const same = { factId, kind, partId, face, personId, supersedes, body } as unknown as ShopFact;
  return {
    ...same,
    ...writtenDown(f, evidenceOf),
    happenedAt: new Date(happenedAtMs).toISOString(),
    endedAt: endedAtMs === null ? null : new Date(endedAtMs).toISOString(),
  };
}

const AWAY = { isAway: true } as const;
/** A thing without what only edits need. */
const thingOf = <T extends { readonly version: number; readonly isAway: boolean }>({
  version: _,
  isAway,
  ...thing
}: T) => ({ ...thing, ...(isAway ? AWAY : {}) });

function partOf(shop: ShopState, p: ShopState['parts'][number]): ShopPart {
  return {
    partId: p.partId,
    name: p.name,
    substrate: p.substrate,
    massKg: p.massKg,
    areaM2: p.areaM2,
    thicknessMm: p.thicknessMm,
    isBrightMetal: p.isBrightMetal,
    faces: p.faceCount,
    colourGroup: p.colourGroup,
    pairPartId: p.pairPartId,
    ...(p.comesFrom === null ? {} : { comesFrom: p.comesFrom }),
    ...(p.isAwayItself ? AWAY : {}),
    route: (shop.steps.get(p.partId) ?? []).map(({ stepId, kind, sheetId, coats, dftUm }) => ({
      stepId,
      kind,
      sheetId,
      coats,
      dftUm,
    })),
  };
}

/** The whole shop in the public format: what was exported can be imported again. Readings travel as CSV. */
export function exportShop(
  shop: ShopState,
  templates: readonly SurveyTemplate[],
  evidenceOf: EvidenceOf,
  nowMs: number,
): ShopFile {
  return {
    format: SHOP_FORMAT,
    asOf: new Date(nowMs).toISOString(),
    workshop: {
      workshopId: shop.workshop.workshopId,
      name: shop.workshop.name,
      zone: shop.workshop.zone,
      volumeSystem: shop.workshop.volumeSystem,
      currency: shop.workshop.currency,
      ...(shop.workshop.hourCents === null ? {} : { hourCents: shop.workshop.hourCents }),
      ...(shop.workshop.means.isDefault
        ? {}
        : { facilities: shop.workshop.means.facilities, schools: shop.workshop.means.schools }),
      ...(Object.values(shop.workshop.means.capacity).every((n) => n === null)
        ? {}
        : { capacity: shop.workshop.means.capacity }),
      ...(shop.workshop.means.putAway.length === 0 ? {} : { putAway: shop.workshop.means.putAway }),
    },
    attendance: shop.attendance.weekly.map((w) => ({
      weekday: w.weekday,
      from: w.from.slice(0, 5),
      to: w.to.slice(0, 5),
    })),
    ...(shop.attendance.exceptions.length === 0
      ? {}
      : {
          exceptions: shop.attendance.exceptions.map(({ day, from, to }) => ({
            day,
            from: from?.slice(0, 5) ?? null,
            to: to?.slice(0, 5) ?? null,
          })),
        }),
    people: shop.people.map(thingOf),
    places: shop.places.map(thingOf),
    probes: shop.probes.map(thingOf),
    sheets: [...shop.sheets.values()],
    machines: shop.machines.map((m) => ({
      ...thingOf(m),
      assemblies: shop.assemblies
        .filter((a) => a.machineId === m.machineId)
        .map(({ machineId: _, ...a }) => ({
          ...thingOf(a),
          parts: shop.parts.filter((p) => p.assemblyId === a.assemblyId).map((p) => partOf(shop, p)),
        })),
    })),
    facts: [...shop.facts.values()]
      .flat()
      .sort((a, b) => a.recordedAtMs - b.recordedAtMs || (a.supersedes === b.factId ? 1 : 0))
      .map((f) => factOf(f, evidenceOf)),
    tins: shop.tins.map(({ version: _v, madeMs, ...t }) => ({
      ...t,
      madeOn: madeMs === null ? null : new Date(madeMs).toISOString().slice(0, 10),
    })),
    packs: shop.packs,
    cups: shop.cups,
    ...(shop.gauges.length === 0 ? {} : { gauges: shop.gauges.map(thingOf) }),
    stockFacts: [...shop.stock]
      .sort((a, b) => a.recordedAtMs - b.recordedAtMs || (a.supersedes === b.factId ? 1 : 0))
      .map((f) => ({
        factId: f.factId,
        kind: f.kind,
        happenedAt: new Date(f.happenedAtMs).toISOString(),
        personId: f.personId,
        supersedes: f.supersedes,
        ...writtenDown(f, evidenceOf),
        body: { ...f.body },
      })),
    templates,
  };
}
