import type {
  Seen,
  StepGate,
  AirSource,
  BareState,
  CureState,
  Edge,
  Face,
  Fact,
  FaceState,
  Gate,
  GateStatus,
  Headline,
  Key,
  LaidInterval,
  NextAct,
  ProductSheet,
  ReadingTrust,
  RibbonSpan,
  Span,
  StageTimes,
  Substrate,
  SurfaceBasis,
  ShopMeans,
  SurfaceSource,
  Survey,
  Suspicion,
  UntilTouch,
  VolumeSystem,
  WindowRule,
  Exposure,
} from '@calvetta/core';

import type { ErrorBody } from './errors.ts';
import type { MixView } from './shelf.ts';

/** Shapes that cross the wire. Instants are epoch milliseconds in answers, ISO 8601 with offset in what is sent. */

export interface ShopInfo {
  readonly workshopId: string;
  readonly name: string;
  readonly zone: string;
  readonly volumeSystem: VolumeSystem;
  readonly people: readonly { readonly personId: string; readonly name: string }[];
  readonly places: readonly PlaceInfo[];
  readonly means: MeansInfo;
}

/** What the shop has and its house practice, with the version an edit must name. */
export interface MeansInfo extends ShopMeans {
  readonly version: number;
  /** Nobody has said yet: these are the defaults. */
  readonly isDefault: boolean;
}

export interface PlaceInfo {
  readonly placeId: string;
  readonly name: string;
  readonly exposure: Exposure;
  readonly altitudeM: number;
  readonly setpointC: number | null;
  readonly version: number;
}

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
  readonly assemblyName: string;
  readonly placeId: string | null;
  readonly substrate: Substrate;
  readonly areaM2: number | null;
  readonly colourGroup: string | null;
  readonly headline: Headline;
  readonly face: Face;
  readonly faceCount: number;
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

export interface PlaceNowView {
  readonly placeId: string;
  readonly name: string;
  readonly exposure: Exposure;
  readonly trust: ReadingTrust;
  readonly atMs: number | null;
  readonly airC: number | null;
  readonly rhPct: number | null;
  readonly dewPointC: number | null;
  readonly wettingKind: 'dew' | 'frost' | null;
  /** Temperature, K, the place's own surface stands above the wetting point; null without one. */
  readonly absoluteGM3: number | null;
}

/** The shop's moment: what every screen shares. */
export interface Moment {
  readonly nowMs: number;
  readonly zone: string;
  readonly horizonMs: number;
  readonly forecastEndMs: number;
  readonly nights: readonly Span[];
  readonly sessions: readonly Span[];
  readonly places: readonly PlaceNowView[];
}

export interface BenchResponse extends Moment {
  /** Cups that hold something. */
  readonly mixes: readonly MixView[];
  readonly rows: readonly PartCard[];
  readonly partCount: number;
}

export interface MachineView {
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  readonly assemblies: readonly {
    readonly assemblyId: string;
    readonly name: string;
    readonly parts: readonly PartCard[];
  }[];
  /** Share of the route's film area that is on, by area, 0…1. */
  readonly progressByArea: number;
  /** Hours of coating on and in all, by the sheets' minutes per m². */
  readonly hoursDone: number;
  readonly hoursAll: number;
  readonly areaM2: number;
}
export interface MachinesResponse extends Moment {
  readonly machines: readonly MachineView[];
}

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
  'face' | 'cure' | 'overcoat' | 'rule' | 'spans' | 'suspect' | 'key' | 'untilTouch'
> {
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

export interface PartDetail extends Moment {
  readonly card: PartCard;
  readonly version: number;
  readonly massKg: number | null;
  readonly thicknessMm: number | null;
  readonly colourGroup: string | null;
  readonly pairPartId: string | null;
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
}

/** A fact with what became of it: history keeps corrected and voided ones. */
export type FactView = Fact & {
  readonly isStanding: boolean;
  readonly productName: string | null;
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

export interface AirPoint {
  readonly atMs: number;
  readonly airC: number;
  readonly rhPct: number | null;
  readonly dewC: number | null;
  readonly source: AirSource;
}

export interface PlaceAirResponse extends Moment {
  readonly place: PlaceInfo;
  readonly points: readonly AirPoint[];
  /** Spans in which a part at air temperature keeps 3 K above the dew point. */
  readonly fit: readonly Span[];
  readonly parts: readonly {
    readonly partId: string;
    readonly name: string;
    readonly surfaceC: number;
    readonly basis: SurfaceBasis;
    readonly marginK: number | null;
    readonly headline: Headline;
    readonly tauS: number | null;
  }[];
  readonly probes: readonly {
    readonly probeId: string;
    readonly name: string;
    readonly trust: ReadingTrust;
    readonly lastMs: number | null;
    readonly isSimulated: boolean;
    readonly partId: string | null;
  }[];
  readonly fitToOutdoor: {
    readonly tauS: number;
    readonly offsetK: number;
    readonly vapourOffsetHpa: number;
    readonly rmsK: number;
    readonly n: number;
  } | null;
}

export interface SheetsResponse {
  readonly sheets: readonly ProductSheet[];
}

/** A survey kept under a name, to start the next part of the same kind from. */
export interface SurveyTemplate {
  readonly templateId: string;
  readonly name: string;
  readonly survey: Survey;
}
export interface TemplatesResponse {
  readonly templates: readonly SurveyTemplate[];
}

/** Said over SSE: only what changed. */
export interface LiveMessage {
  readonly topic: 'facts' | 'readings' | 'forecast' | 'entities' | 'import';
  readonly partIds?: readonly string[];
  readonly placeIds?: readonly string[];
  readonly jobId?: string;
}

/** A fact as a client sends it. */
export interface FactInput {
  readonly factId: string;
  readonly kind: string;
  readonly partId: string;
  readonly face: Face | null;
  readonly happenedAt: string;
  readonly endedAt: string | null;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: Record<string, unknown>;
  readonly evidence: Record<string, unknown> | null;
}

export interface ReadingInput {
  readonly at: string;
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC?: number | null;
}

export interface ImportProblem {
  readonly line: number;
  readonly field: string;
  readonly code: string;
  readonly got: string;
  readonly accepts: string;
}
export interface ImportJob {
  readonly jobId: string;
  readonly kind: string;
  readonly state: 'running' | 'done' | 'failed';
  readonly rowsRead: number;
  readonly rowsStored: number;
  readonly rowsKnown: number;
  readonly rowsRefused: number;
  readonly bytesRead: number;
  readonly bytesTotal: number | null;
  readonly problems: readonly ImportProblem[];
  readonly error: ErrorBody | null;
}
