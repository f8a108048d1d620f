import type { Gate, GateStatus } from '../../air/gate.ts';
import type { ReadingTrust } from '../../air/reading.ts';
import type { NextAct } from '../../bench/act.ts';
import type { SurfaceBasis } from '../../bench/air.ts';
import type { BareState, FaceState } from '../../bench/face.ts';
import type { Fact, FactBodies, FactKind } from '../../facts/part.ts';
import type { StockKind } from '../../facts/stock.ts';
import type { GaugeTrust } from '../../film/gaugeTrust.ts';
import type { NonConformance } from '../nonConformances.ts';
import type { SignState } from '../../ledger/signOff.ts';
import type { Headline } from '../../bench/headline.ts';
import type { Key } from '../../cure/keyed.ts';
import type { Edge, LaidInterval, WindowRule } from '../../cure/windows.ts';
import type { Survey } from '../../part/survey.ts';
import type { SurfaceSource } from '../../part/thermal/track.ts';
import type { StageTimes } from '../../products/curve.ts';
import type { StepGate } from '../../route/route.ts';
import type { Seen } from '../../route/surface/seen.ts';
import type { StepRecord } from '../stepRecords.ts';
import type { PartCard } from './card.ts';
import type { Moment } from './moment.ts';

export interface TracePoint {
  readonly atMs: number;
  readonly surfaceC: number;
  readonly airC: number;
  readonly dewC: number | null;
  readonly source: SurfaceSource;
}

export interface StageWorking {
  readonly stage: string;
  readonly edge: Edge;
  readonly times: StageTimes | null;
}

/** One face with the working that "Why?" opens. */
export interface FaceView extends Pick<
  FaceState,
  'face' | 'cure' | 'overcoat' | 'rule' | 'spans' | 'suspect' | 'key' | 'untilTouch' | 'isPrepared'
> {
  /** The coat on top; null: none. */
  readonly topSheetId: string | null;
  readonly headline: Headline;
  readonly act: NextAct;
  readonly intervals: readonly LaidInterval[];
  readonly gates: readonly Gate[];
  readonly gateStatus: GateStatus | null;
  readonly bare: BareState | null;
  readonly key: Key | null;
  readonly rule: WindowRule | null;
  readonly stages: readonly StageWorking[];
  readonly slowBy: number;
  readonly speedBy: number;
}

export interface RouteStepView {
  readonly stepId: string;
  readonly seq: number;
  readonly kind: string;
  readonly sheetId: string | null;
  readonly productName: string | null;
  readonly coats: number;
  readonly coatsDone: number;
  readonly dftUm: number | null;
  readonly what: string | null;
  readonly zoneId: string | null;
  readonly gate: StepGate | null;
  readonly hours: number | null;
  readonly cautions: readonly string[];
  /** What is recorded of a step that is no coat; null: it is one. */
  readonly record: StepRecord | null;
}

/** A fact with what became of it: history keeps corrected and voided ones. */
export type FactView = Fact & {
  readonly isStanding: boolean;
  readonly productName: string | null;
  /** Where it was moved to, by name. */
  readonly placeName: string | null;
  /** Of readings that name their gauge: its name, and whether it could be relied on then. */
  readonly gauge: (GaugeTrust & { readonly name: string }) | null;
  /** Of a coat that names its mix: what follows from it. */
  readonly mix: {
    readonly batch: string | null;
    readonly hardenerBatch: string | null;
    readonly thinPct: number;
    /** How old the mix was when the coat was finished. */
    readonly ageMinutes: number;
    /** By the prices on the tins; null when one is missing. */
    readonly cents: number | null;
  } | null;
};

/** A sign-off, and what it is worth now. */
export interface SignOffView {
  readonly factId: string;
  readonly atMs: number;
  readonly personId: string;
  readonly personName: string | null;
  readonly body: FactBodies['signed-off'];
  readonly state: SignState['state'];
  /** What ended it; null while it stands. */
  readonly endedBy: { readonly factId: string; readonly kind: FactKind | StockKind } | null;
}

export interface PartDetail extends Moment {
  readonly card: PartCard;
  readonly version: number;
  readonly massKg: number | null;
  readonly thicknessMm: number | null;
  readonly colourGroup: string | null;
  readonly pairPartId: string | null;
  /** Original, made new, off another machine; null: nobody has said. */
  readonly comesFrom: string | null;
  /** Polished metal that is kept bright. */
  readonly isBrightMetal: boolean;
  /** Paint on it by what its mixes cost, cents; null when nothing is known. */
  readonly paintCents: number | null;
  /** Mass of the film that is on; null without an area. */
  readonly paintKg: number | null;
  readonly faces: readonly FaceView[];
  readonly route: readonly RouteStepView[];
  /** Where the route comes from; null: typed in with the part. */
  readonly routeSet: {
    readonly factId: string;
    readonly origin: 'advised' | 'edited' | 'overridden';
    readonly reason: string | null;
  } | null;
  /** What was seen of the bare metal since it was stripped; null: not looked at. */
  readonly seen: Seen | null;
  /** The newest survey, or null. */
  readonly survey: Survey | null;
  readonly facts: readonly FactView[];
  /** Newest first. */
  readonly signOffs: readonly SignOffView[];
  /** What does not conform, and what allows it to stay. */
  readonly nonConformances: readonly NonConformance[];
  readonly trace: readonly TracePoint[];
  readonly lag: {
    readonly tauS: number;
    readonly biot: number;
    readonly by: string;
    readonly isLump: boolean;
    readonly fittedRmsK: number | null;
    readonly n: number | null;
  } | null;
  readonly conditions: {
    readonly airC: number | null;
    readonly rhPct: number | null;
    readonly surfaceC: number | null;
    /** Spread of a lagged surface, K; null for a measured one. */
    readonly surfaceSpreadK: number | null;
    readonly dewPointC: number | null;
    readonly atMs: number | null;
    readonly trust: ReadingTrust;
    readonly placeName: string | null;
    readonly basis: SurfaceBasis;
  };
}
