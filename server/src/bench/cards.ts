import { airFiguresOf, plannedFor, type FaceResult, type PartState } from '@calvetta/core';
import type { Layer, Moment, PartCard, PlaceNowView } from '@calvetta/contract';
import type { DerivedPart, Snapshot } from './derive.ts';
import { profileUmOf } from './profile.ts';

/** Ribbons are cut to this much of the past; the page shows less. */
const PAST_MS = 36 * 3_600_000;
const AHEAD_MS = 21 * 24 * 3_600_000;

function layersOf(part: DerivedPart, face: FaceResult): Layer[] {
  const on = face.coats.map((c) => ({
    name: c.sheet.name,
    colour: c.sheet.bandColour,
    dftUm: c.measuredUm ?? c.dftUm,
    thinnestUm: c.thinnestUm,
    isMeasured: c.measuredUm !== null,
    isPlanned: false,
  }));
  const planned = plannedFor(part.planned, face.face)
    .slice(face.coats.length)
    .map((p) => ({
      name: p.sheet.name,
      colour: p.sheet.bandColour,
      dftUm: p.dftUm,
      thinnestUm: null,
      isMeasured: false,
      isPlanned: true,
    }));
  return [...on, ...planned];
}

function marginOf(state: PartState): number | null {
  return airFiguresOf(state.conditions).marginK;
}

/** A part as every list shows it. */
export function cardOf(snapshot: Snapshot, part: DerivedPart): PartCard {
  const { row, state } = part;
  const face = state.lead;
  const machine = snapshot.shop.machines.find((m) => m.machineId === row.machineId);
  const last = face.coats[face.coats.length - 1];
  const ownPlan = plannedFor(part.planned, face.face);
  const lastPlan = ownPlan[face.coats.length - 1];
  const fromMs = snapshot.nowMs - PAST_MS;
  const toMs = snapshot.nowMs + AHEAD_MS;
  const interval =
    face.intervals.find((i) => i.to === null || i.to.worstMs === null || i.to.worstMs > snapshot.nowMs) ??
    face.intervals[face.intervals.length - 1];
  return {
    partId: row.partId,
    name: row.name,
    machineId: row.machineId,
    machineName: machine?.name ?? '',
    assemblyName: row.assemblyName,
    placeId: part.placeId,
    substrate: row.substrate,
    areaM2: row.areaM2,
    colourGroup: row.colourGroup,
    headline: state.headline,
    face: face.face,
    faceCount: row.faceCount,
    act: face.act,
    cure: face.cure,
    spans: face.spans
      .filter((s) => s.toMs > fromMs && s.fromMs < toMs)
      .map((s) => ({ ...s, fromMs: Math.max(s.fromMs, fromMs), toMs: Math.min(s.toMs, toMs) })),
    opens: interval?.from ?? null,
    shuts: interval?.to ?? face.bare?.edge ?? null,
    fit: state.fit,
    layers: layersOf(part, face),
    specifiedUm: ownPlan.reduce((sum, p) => sum + p.dftUm, 0),
    profileUm: profileUmOf(part.facts, part.row.substrate),
    lastCoat: last
      ? {
          name: last.sheet.name,
          coatNo: lastPlan?.coatNo ?? face.coats.length,
          ofCoats: lastPlan?.ofCoats ?? face.coats.length,
          t0Ms: last.t0Ms,
        }
      : null,
    next: face.next
      ? {
          name: face.next.sheet.name,
          sheetId: face.next.sheet.sheetId,
          stepId: face.next.stepId,
          dftUm: face.next.dftUm,
          coatNo: face.next.coatNo,
          ofCoats: face.next.ofCoats,
        }
      : null,
    surfaceC: state.conditions.surfaceC,
    surfaceBasis: state.conditions.basis,
    marginK: marginOf(state),
    gate: face.gate ? { status: face.gate.status, deciding: face.gate.deciding } : null,
    untilTouch: face.untilTouch,
    bare: face.bare && {
      prep: face.bare.prep,
      sinceMs: face.bare.sinceMs,
      edge: face.bare.edge,
      isOut: face.bare.isOut,
      remedy: face.bare.remedy,
    },
    suspect: face.suspect,
    leadMinutes: face.leadMinutes,
    lostAtMs: state.lostAtMs,
    isLossUnknown: state.isLossUnknown,
    cautions: face.next?.sheet.cautions ?? [],
  };
}

export function placeViews(snapshot: Snapshot): PlaceNowView[] {
  return snapshot.shop.places.map((p) => {
    const now = snapshot.air.get(p.placeId)?.now ?? {
      trust: 'none' as const,
      atMs: null,
      airC: null,
      rhPct: null,
    };
    const figures = airFiguresOf({ airC: now.airC, rhPct: now.rhPct, surfaceC: null });
    return {
      placeId: p.placeId,
      name: p.name,
      exposure: p.exposure,
      ...now,
      dewPointC: figures.wettingC,
      wettingKind: figures.wettingKind,
      absoluteGM3: figures.absoluteGM3,
    };
  });
}

/** What every answer about parts carries: the moment and the places. */
export function momentOf(snapshot: Snapshot): Moment {
  const { nowMs, horizonMs, forecastEndMs, nights, sessions, shop } = snapshot;
  return {
    nowMs,
    horizonMs,
    forecastEndMs,
    nights: nights.filter((n) => n.toMs > nowMs - PAST_MS),
    sessions,
    zone: shop.workshop.zone,
    places: placeViews(snapshot),
  };
}
