import type {
  RouteStep,
  BenchResponse,
  Fact,
  FactBodies,
  FactKind,
  Attendance,
  Face,
  GaugeInfo,
  Person,
  PlaceInfo,
  Probe,
  ProductSheet,
  Survey,
  Workshop,
} from '@calvetta/core';

import type { ErrorBody } from './errors.ts';

/** What the server and an offline page derive alike, and so is shaped in core. */
export type {
  AirPoint,
  BenchResponse,
  FaceView,
  FactView,
  Layer,
  MachineView,
  MachinesResponse,
  MeansInfo,
  Moment,
  PartCard,
  PartDetail,
  PlaceAirResponse,
  PlaceInfo,
  PlaceNowView,
  RouteStepView,
  StageWorking,
  TracePoint,
} from '@calvetta/core';

/** Shapes that cross the wire. Instants are epoch milliseconds in answers, ISO 8601 with offset in what is sent. */

export interface ShopInfo extends Workshop {
  /** Those put away among them say so, as everywhere. */
  readonly people: readonly Person[];
  readonly places: readonly PlaceInfo[];
  readonly probes: readonly Probe[];
  readonly gauges: readonly GaugeInfo[];
  readonly attendance: Attendance;
}

/** What became of a thing that was taken off the list: one that has a record is kept, out of sight. */
export interface Removed {
  readonly removed: 'deleted' | 'put-away';
  /** Of one that was put away. */
  readonly version?: number;
}

export interface SheetsResponse {
  readonly sheets: readonly ProductSheet[];
}

/** A survey kept under a name, to start the next part of the same kind from. */
export interface SurveyTemplate {
  readonly templateId: string;
  readonly name: string;
  readonly survey: Survey;
  /** The steps of an edited route that goes with it; null: none. */
  readonly steps: readonly RouteStep[] | null;
}
export interface TemplatesResponse {
  readonly templates: readonly SurveyTemplate[];
}

/** The Bench to a page that says what it has (`?since=`): what changed, a hundred rows at most. */
export interface BenchTick extends BenchResponse {
  readonly version: string;
  /** False: there is more; asked again with this version it comes. */
  readonly isWhole: boolean;
  /** Parts in motion, lost first; null: as before. */
  readonly order: readonly string[] | null;
}

/** Said over SSE: only what changed. */
export interface LiveMessage {
  readonly topic:
    | 'facts'
    | 'stock'
    | 'parts'
    | 'sheets'
    | 'readings'
    | 'forecast'
    | 'entities'
    | 'import'
    | 'plan'
    | 'door';
  readonly partIds?: readonly string[];
  readonly placeIds?: readonly string[];
  readonly jobId?: string;
  /** Sessions that are over, by the hash of their ids: what hangs on them is closed. */
  readonly ends?: readonly string[];
  /** Of the last ledger entry it tells of. */
  readonly seq?: number;
  /** Someone waits for it: what hangs on it is worked out before the next answer. */
  readonly isByHand?: boolean;
  /** Readings from long ago may be among them. */
  readonly isPast?: boolean;
}

/** A fact as a client sends it. */
export interface FactInputOf<K extends FactKind> {
  readonly factId: string;
  readonly kind: K;
  readonly partId: string;
  readonly face: Face | null;
  readonly happenedAt: string;
  readonly endedAt: string | null;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: FactBodies[K];
  readonly evidence: Readonly<Record<string, unknown>> | null;
}
/** What a client says happened to a part: each kind with its own body. */
export type FactInput = { readonly [K in FactKind]: FactInputOf<K> }[FactKind];

/** What became of facts that were sent: stored now or before. */
export interface FactsStored {
  readonly facts: readonly Fact[];
  /** Asked part by part (`each`): parts of which nothing was stored, and why. */
  readonly refused: readonly {
    readonly partId: string;
    readonly factIds: readonly string[];
    readonly error: ErrorBody;
  }[];
  /** Place of the last of them in the ledger; null when none is stored. A read that names it is answered no older. */
  readonly seq: number | null;
}
/** A request's header: the answer must hold every ledger entry up to this. */
export const SEQ_HEADER = 'x-calvetta-seq';

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
