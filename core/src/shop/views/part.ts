import { wettingPointOf } from '../../air/dewPoint.ts';
import { airFiguresOf } from '../../air/gate.ts';
import { originMs } from '../../facts/envelope.ts';
import { type FactOf, standingFacts } from '../../facts/part.ts';
import { seenSinceStripped } from '../../facts/prep.ts';
import type { FaceResult } from '../../bench/part.ts';
import { gaugeTrust } from '../../film/gaugeTrust.ts';
import { filmMassKg } from '../../film/mass.ts';
import { surfaceAt } from '../../part/thermal/track.ts';
import { STAGES } from '../../products/sheet.ts';
import { traitsOf } from '../../products/traitsByBinder.ts';
import { nonConformancesOf } from '../nonConformances.ts';
import { routeSetOf } from '../route.ts';
import { newestSurvey } from '../survey.ts';
import { surfaceOf, type DerivedPart } from '../part.ts';
import { signOffsOf } from './signOffs.ts';
import { stepsNow } from '../stepsNow.ts';
import { mixCentsPerMl, stockNow, thinPctOf } from '../shelf.ts';
import type { Snapshot } from '../snapshot.ts';
import { cardOf } from './card.ts';
import { momentOf } from './moment.ts';
import type { FaceView, FactView, PartDetail, RouteStepView, StageWorking, TracePoint } from './partView.ts';

/** The trace shows at least this much of the past, and what is predicted. */
const PAST_MS = 48 * 3_600_000;
const AHEAD_MS = 72 * 3_600_000;
const TRACE_POINTS = 360;

function trace(snapshot: Snapshot, part: DerivedPart): TracePoint[] {
  const lastStart = part.state.lead.coats[part.state.lead.coats.length - 1]?.t0Ms ?? snapshot.nowMs;
  const fromMs = Math.min(
    snapshot.nowMs - PAST_MS,
    Math.max(lastStart - 3_600_000, snapshot.nowMs - 14 * 86_400_000),
  );
  const toMs = snapshot.nowMs + AHEAD_MS;
  const out: TracePoint[] = [];
  const track = surfaceOf(snapshot.shop, snapshot, part);
  for (let i = 0; i <= TRACE_POINTS; i++) {
    const atMs = fromMs + ((toMs - fromMs) * i) / TRACE_POINTS;
    const p = surfaceAt(track, atMs);
    if (p)
      out.push({
        atMs: Math.round(atMs),
        surfaceC: p.surfaceC,
        airC: p.airC,
        dewC: p.vapourHpa === null ? null : wettingPointOf(p.vapourHpa).tempC,
        source: p.source,
      });
  }
  return out;
}

function stages(face: FaceResult): StageWorking[] {
  const top = face.coats[face.coats.length - 1];
  if (!top) return [];
  return STAGES.flatMap((stage): StageWorking[] => {
    if (
      stage !== 'touch' &&
      stage !== 'minRecoat' &&
      stage !== 'handle' &&
      stage !== 'sand' &&
      stage !== 'service'
    )
      return [];
    return [{ stage, edge: top.edges[stage], times: top.sheet.stages[stage] ?? null }];
  });
}

function faceView(snapshot: Snapshot, face: FaceResult): FaceView {
  const { coats, cure, overcoat, rule, spans, suspect, key, untilTouch, headline, act, intervals, bare } =
    face;
  const top = coats[coats.length - 1];
  return {
    face: face.face,
    topSheetId: top?.sheet.sheetId ?? null,
    cure,
    overcoat,
    rule,
    suspect,
    key,
    untilTouch,
    headline,
    act,
    intervals,
    bare,
    isPrepared: face.isPrepared,
    spans: spans.filter((s) => s.fromMs < snapshot.nowMs + 30 * 86_400_000),
    gates: face.gate?.gates ?? [],
    gateStatus: face.gate?.status ?? null,
    stages: stages(face),
    slowBy: top?.slowBy ?? 1,
    speedBy: top ? (snapshot.speeds.get(top.sheet.productId)?.speedBy ?? 1) : 1,
  };
}

function routeViews(snapshot: Snapshot, part: DerivedPart): RouteStepView[] {
  return stepsNow(part).map(({ step, coatsDone, record }) => ({
    stepId: step.stepId,
    seq: step.seq,
    kind: step.kind,
    sheetId: step.sheetId,
    coats: step.coats,
    coatsDone,
    dftUm: step.dftUm,
    what: step.what ?? null,
    zoneId: step.zoneId ?? null,
    gate: step.gate ?? null,
    hours: step.hours ?? null,
    cautions: step.cautions ?? [],
    productName: step.sheetId === null ? null : (snapshot.shop.sheets.get(step.sheetId)?.name ?? null),
    record,
  }));
}

function factViews(snapshot: Snapshot, part: DerivedPart): FactView[] {
  const standing = new Set(standingFacts(part.facts).map((f) => f.factId));
  return [...part.facts]
    .sort((a, b) => b.happenedAtMs - a.happenedAtMs || b.recordedAtMs - a.recordedAtMs)
    .map((f) => ({
      ...f,
      isStanding: standing.has(f.factId),
      productName: f.kind === 'coated' ? (snapshot.shop.sheets.get(f.body.sheetId)?.name ?? null) : null,
      placeName:
        f.kind === 'moved'
          ? (snapshot.shop.places.find((p) => p.placeId === f.body.placeId)?.name ?? null)
          : null,
      gauge: f.kind === 'film-read' ? gaugeOf(snapshot, f) : null,
      mix: f.kind === 'coated' ? coatMix(snapshot, f) : null,
    }));
}

/** What it was read with, and what that gauge's checks say of it; null where nobody noted one. */
function gaugeOf(snapshot: Snapshot, f: FactOf<'film-read'>): FactView['gauge'] {
  const { gaugeId } = f.body;
  if (gaugeId === undefined) return null;
  const { gauges, stock } = snapshot.shop;
  const name = gauges.find((g) => g.gaugeId === gaugeId)?.name ?? gaugeId;
  return { name, ...gaugeTrust(stock, gaugeId, originMs(f)) };
}

/** Batch, thinner, age and money of a coat, from the mix it names. */
function coatMix(snapshot: Snapshot, f: FactOf<'coated'>): FactView['mix'] {
  const { mixId, usedMl } = f.body;
  const state = mixId === undefined ? undefined : stockNow(snapshot).ledger.mixes.get(mixId);
  if (!state) return null;
  const batchOf = (tinId: string | null): string | null =>
    snapshot.shop.tins.find((t) => t.tinId === tinId)?.batch ?? null;
  const cents = mixCentsPerMl(snapshot, state);
  return {
    batch: batchOf(state.fact.body.aTinId),
    hardenerBatch: batchOf(state.fact.body.bTinId),
    thinPct: thinPctOf(state),
    ageMinutes: (originMs(f) - state.fact.happenedAtMs) / 60_000,
    cents: cents === null || usedMl === undefined ? null : cents * usedMl,
  };
}

/** Money of the standing coats that name their mix; null when none has a price. */
function paintCents(views: readonly FactView[]): number | null {
  const known = views.flatMap((f) => (f.isStanding && f.mix?.cents != null ? [f.mix.cents] : []));
  return known.length === 0 ? null : known.reduce((s, c) => s + c, 0);
}

/** Mass of the film that is on, kg, measured where it was; null without an area. */
function paintKg(part: DerivedPart): number | null {
  const { areaM2, faceCount } = part.row;
  if (areaM2 === null) return null;
  return part.state.faces.reduce(
    (sum, face) =>
      face.coats.reduce((s, c) => {
        const kg = filmMassKg(areaM2 / faceCount, c.measuredUm ?? c.dftUm, traitsOf(c.sheet).dryDensityKgL);
        return s + (kg.ok ? kg.value : 0);
      }, sum),
    0,
  );
}

function routeSetView(part: DerivedPart): PartDetail['routeSet'] {
  const set = routeSetOf(standingFacts(part.facts));
  return set && { factId: set.factId, origin: set.body.origin, reason: set.body.reason ?? null };
}

/** Everything a part's page and its Why? panel show. */
export function partDetail(snapshot: Snapshot, part: DerivedPart): PartDetail {
  const { row, state } = part;
  const place = snapshot.shop.places.find((p) => p.placeId === part.placeId);
  const now = place && snapshot.air.get(place.placeId)?.now;
  const figures = airFiguresOf(state.conditions);
  const facts = factViews(snapshot, part);
  return {
    ...momentOf(snapshot),
    card: cardOf(snapshot, part),
    version: row.version,
    massKg: row.massKg,
    thicknessMm: row.thicknessMm,
    colourGroup: row.colourGroup,
    pairPartId: row.pairPartId,
    comesFrom: row.comesFrom,
    isBrightMetal: row.isBrightMetal,
    paintCents: paintCents(facts),
    paintKg: paintKg(part),
    faces: state.faces.map((f) => faceView(snapshot, f)),
    route: routeViews(snapshot, part),
    routeSet: routeSetView(part),
    survey: newestSurvey(part),
    seen: seenSinceStripped(standingFacts(part.facts)),
    facts,
    signOffs: signOffsOf(snapshot, part),
    nonConformances: nonConformancesOf(snapshot, part),
    trace: trace(snapshot, part),
    lag: part.lag && {
      tauS: part.lagFit?.tauS ?? part.lag.tauS,
      biot: part.lag.biot,
      by: part.lagFit ? 'own-readings' : part.lag.by,
      isLump: part.lag.isLump,
      fittedRmsK: part.lagFit?.rmsK ?? null,
      n: part.lagFit?.n ?? null,
    },
    conditions: {
      airC: state.conditions.airC,
      rhPct: state.conditions.rhPct,
      surfaceC: state.conditions.surfaceC,
      surfaceSpreadK: state.conditions.surfaceSpreadK ?? null,
      dewPointC: figures.wettingC,
      atMs: now?.atMs ?? null,
      trust: now?.trust ?? 'none',
      placeName: place?.name ?? null,
      basis: state.conditions.basis,
    },
  };
}
