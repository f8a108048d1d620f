import { type Gate, type GateStatus, airFiguresOf } from '../../air/gate.ts';
import type { Span } from '../../base/time.ts';
import type { NextAct } from '../../bench/act.ts';
import type { SurfaceBasis, UntilTouch } from '../../bench/air.ts';
import { type BareState, plannedFor } from '../../bench/face.ts';
import type { Face } from '../../facts/part.ts';
import type { CureState } from '../../bench/film.ts';
import type { Headline } from '../../bench/headline.ts';
import type { FaceResult, PartState } from '../../bench/part.ts';
import type { Suspicion } from '../../cure/suspect.ts';
import type { Edge, RibbonSpan } from '../../cure/windows.ts';
import type { Substrate } from '../../part/substrate.ts';
import { profileUmOf } from '../profile.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';
import { AHEAD_MS, PAST_MS } from './moment.ts';

/** A layer of a section drawing. */
export interface Layer {
  readonly name: string;
  readonly colour: string;
  /** As measured where it was, else as logged or planned. */
  readonly dftUm: number;
  readonly thinnestUm: number | null;
  readonly isMeasured: boolean;
  readonly isPlanned: boolean;
}

/** What a Bench row, a part's head and a machine's tree all show. */
export interface PartCard {
  readonly partId: string;
  readonly name: string;
  readonly machineId: string;
  readonly machineName: string;
  readonly assemblyId: string;
  readonly assemblyName: string;
  readonly placeId: string | null;
  readonly substrate: Substrate;
  readonly areaM2: number | null;
  readonly colourGroup: string | null;
  readonly headline: Headline;
  readonly face: Face;
  readonly faceCount: number;
  /** It, its assembly or its machine was put away. */
  readonly isAway: boolean;
  /** The state that an edit of the part must name. */
  readonly version: number;
  readonly act: NextAct;
  readonly cure: CureState | null;
  readonly spans: readonly RibbonSpan[];
  readonly opens: Edge | null;
  readonly shuts: Edge | null;
  readonly fit: readonly Span[];
  readonly layers: readonly Layer[];
  readonly specifiedUm: number;
  /** Depth of the blasted or cast profile under the film, µm: drawn, not measured. */
  readonly profileUm: number;
  readonly lastCoat: {
    readonly name: string;
    readonly coatNo: number;
    readonly ofCoats: number;
    readonly t0Ms: number;
  } | null;
  readonly next: {
    readonly name: string;
    readonly sheetId: string;
    readonly stepId: string;
    readonly dftUm: number;
    readonly coatNo: number;
    readonly ofCoats: number;
  } | null;
  readonly surfaceC: number | null;
  readonly surfaceBasis: SurfaceBasis;
  /** Why its surface is not known though the air may be: nobody said where it stands, or how heavy and large it is. */
  readonly lacks: 'place' | 'size' | null;
  readonly marginK: number | null;
  readonly gate: { readonly status: GateStatus; readonly deciding: Gate | null } | null;
  readonly untilTouch: UntilTouch | null;
  readonly bare: Pick<BareState, 'prep' | 'sinceMs' | 'edge' | 'isOut' | 'remedy'> | null;
  readonly suspect: Suspicion | null;
  readonly leadMinutes: number;
  readonly lostAtMs: number | null;
  readonly isLossUnknown: boolean;
  readonly cautions: readonly string[];
}

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

function lacksOf(part: DerivedPart): PartCard['lacks'] {
  if (part.state.conditions.surfaceC !== null) return null;
  if (part.placeId === null) return 'place';
  return part.lag === null ? 'size' : null;
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
    assemblyId: row.assemblyId,
    assemblyName: row.assemblyName,
    placeId: part.placeId,
    substrate: row.substrate,
    areaM2: row.areaM2,
    colourGroup: row.colourGroup,
    headline: state.headline,
    face: face.face,
    faceCount: row.faceCount,
    isAway: row.isAway,
    version: row.version,
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
    lacks: lacksOf(part),
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
