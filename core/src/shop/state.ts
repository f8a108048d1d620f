import type { Fact } from '../facts/part.ts';
import type { CupShape } from '../mix/cup.ts';
import type { Exposure } from '../part/thermal/lag.ts';
import type { Capacity, ShopMeans } from '../part/shopMeans.ts';
import type { Substrate } from '../part/substrate.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import type { StepGate } from '../route/route.ts';
import type { StockFact } from '../facts/stock.ts';
import type { Content, Tin } from '../shelf/tins.ts';
import type { VolumeSystem } from '../units/quantity.ts';
import type { Comes } from '../people/attendance.ts';
import type { GaugeKind } from '../film/gaugeTrust.ts';
import type { Attendance } from './calendar.ts';

/** What the shop has and its house practice, with the version an edit must name. */
export interface MeansInfo extends ShopMeans {
  /** How much its things hold at once. */
  readonly capacity: Capacity;
  readonly putAway: readonly string[];
  readonly version: number;
  /** Nobody has said yet: these are the defaults. */
  readonly isDefault: boolean;
}

export interface Workshop {
  readonly workshopId: string;
  readonly name: string;
  readonly zone: string;
  readonly volumeSystem: VolumeSystem;
  /** Of every price, ISO 4217. */
  readonly currency: string;
  /** What an hour of hands counts as, in its smallest coin; null: nobody has said. */
  readonly hourCents: number | null;
  /** The demo that ships with the program, to look round in; it can be removed. */
  readonly isDemo: boolean;
  readonly means: MeansInfo;
  readonly version: number;
}

/** What can be put away: it keeps its record and is not offered any more. */
interface CanBeAway {
  readonly isAway: boolean;
  /** The state that an edit must name. */
  readonly version: number;
}

export interface Person extends CanBeAway {
  readonly personId: string;
  readonly name: string;
  /** Has agreed to stand on paper by name. */
  readonly isNamed: boolean;
  /** Under age until that day, `2031-03-05`; null: of age. */
  readonly minorUntil: string | null;
  /** When they come, of the days on which the shop meets; null: nobody has said. */
  readonly comes: Comes | null;
}

export interface PlaceInfo extends CanBeAway {
  readonly placeId: string;
  readonly name: string;
  readonly exposure: Exposure;
  readonly altitudeM: number;
  readonly setpointC: number | null;
  /** The place whose air it shares: dust and spray of one are in the other. Null: it has air of its own. */
  readonly airOfId: string | null;
}

/** What films are read with, or paint is weighed on: it has a name of its own, and checks. */
export interface GaugeInfo extends CanBeAway {
  readonly gaugeId: string;
  readonly name: string;
  readonly kind: GaugeKind;
}

export interface Probe extends CanBeAway {
  readonly probeId: string;
  readonly placeId: string;
  readonly partId: string | null;
  readonly name: string;
  readonly isSimulated: boolean;
}

export interface MachineRow extends CanBeAway {
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  /** Its number in a collection's own register; null: none. */
  readonly accession: string | null;
}
export interface AssemblyRow extends CanBeAway {
  readonly assemblyId: string;
  readonly machineId: string;
  readonly name: string;
}

export interface PartRow extends CanBeAway {
  readonly partId: string;
  readonly name: string;
  readonly assemblyId: string;
  readonly assemblyName: string;
  readonly machineId: string;
  readonly substrate: Substrate;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly isBrightMetal: boolean;
  readonly faceCount: 1 | 2;
  readonly colourGroup: string | null;
  readonly pairPartId: string | null;
  /** Original, made new, off another machine: in the shop's own words; null: nobody has said. */
  readonly comesFrom: string | null;
  /** Itself, and not only because its assembly or machine is. */
  readonly isAwayItself: boolean;
}

/** A step of a part's route as the clocks and lists read it. */
export interface RouteStepRow {
  readonly partId: string;
  readonly seq: number;
  readonly stepId: string;
  readonly kind: string;
  readonly sheetId: string | null;
  readonly coats: number;
  readonly dftUm: number | null;
  /** What exactly, hours and cautions: an advised route says them, a typed one does not. */
  readonly what?: string | null;
  readonly zoneId?: string;
  readonly gate?: StepGate;
  readonly hours?: number;
  /** Hours that pass after it without anyone working. */
  readonly waitHours?: number;
  readonly tool?: Tool;
  readonly cautions?: readonly string[];
}

/** A tin as stored: what is printed on it, its empty weight, and the version an edit must name. */
export interface TinRow extends Tin {
  readonly tareG: number | null;
  readonly version: number;
}
export interface Pack {
  readonly packId: string;
  readonly productId: string;
  readonly content: Content;
  readonly sizeMl: number;
  readonly priceCents: number;
}
export interface CupView extends CupShape {
  readonly cupId: string;
  readonly name: string;
}

/** Everything of a workshop but its time series, as stored: plain JSON, the same on the server and in a page. */
export interface ShopRecord {
  readonly workshop: Workshop;
  readonly attendance: Attendance;
  readonly people: readonly Person[];
  readonly places: readonly PlaceInfo[];
  readonly probes: readonly Probe[];
  readonly sheets: readonly ProductSheet[];
  readonly machines: readonly MachineRow[];
  readonly assemblies: readonly AssemblyRow[];
  readonly parts: readonly PartRow[];
  readonly steps: readonly RouteStepRow[];
  readonly facts: readonly Fact[];
  readonly tins: readonly TinRow[];
  readonly packs: readonly Pack[];
  readonly cups: readonly CupView[];
  readonly gauges: readonly GaugeInfo[];
  readonly stock: readonly StockFact[];
}

/** The same, found by id and by part. */
export interface ShopState extends Omit<ShopRecord, 'sheets' | 'steps' | 'facts'> {
  readonly sheets: ReadonlyMap<string, ProductSheet>;
  readonly steps: ReadonlyMap<string, readonly RouteStepRow[]>;
  readonly facts: ReadonlyMap<string, readonly Fact[]>;
}

export const shopStateOf = (record: ShopRecord): ShopState => ({
  ...record,
  sheets: sheetsById(record.sheets),
  steps: groupBy(record.steps, (s) => s.partId),
  facts: groupBy(record.facts, (f) => f.partId),
});

export const sheetsById = (sheets: readonly ProductSheet[]): Map<string, ProductSheet> =>
  new Map(sheets.map((s) => [s.sheetId, s]));

/** The state as it can be sent. */
export const shopRecordOf = (state: ShopState): ShopRecord => ({
  ...state,
  sheets: [...state.sheets.values()],
  steps: [...state.steps.values()].flat(),
  facts: [...state.facts.values()].flat(),
});

/** Items by a key, in their order. */
export function groupBy<T>(items: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const out = new Map<string, T[]>();
  for (const item of items) {
    const list = out.get(key(item));
    if (list) list.push(item);
    else out.set(key(item), [item]);
  }
  return out;
}
