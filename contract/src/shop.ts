import type {
  Capacity,
  Comes,
  Exposure,
  Facility,
  FactKind,
  GaugeKind,
  ProductSheet,
  Schools,
  StockKind,
  Substrate,
  VolumeSystem,
} from '@calvetta/core';
import type { FactInputOf, SurveyTemplate } from './api.ts';
import type { CupView, NewTin, Pack } from './shelf.ts';

/** The public file format of a whole shop, `calvetta-shop/2`. What a backup, a move or the demo is written in. */
export const SHOP_FORMAT = 'calvetta-shop/2';
/** Written before; read and brought up to date. */
export const OLDER_SHOP_FORMATS = ['calvetta-shop/1'] as const;

export interface ShopFile {
  readonly format: typeof SHOP_FORMAT | (typeof OLDER_SHOP_FORMATS)[number];
  /** The moment the file describes; importing with `?shift=now` moves every instant by now − asOf. */
  readonly asOf: string;
  readonly workshop: {
    readonly workshopId: string;
    readonly name: string;
    readonly zone: string;
    readonly volumeSystem: VolumeSystem;
    /** ISO 4217; absent: EUR. */
    readonly currency?: string;
    /** What an hour of hands counts as, in the smallest coin; absent: nothing. */
    readonly hourCents?: number;
    /** What the shop has and its house practice; absent: not said. */
    readonly facilities?: readonly Facility[];
    readonly schools?: Schools;
    /** How much its things hold at once; absent: not said. */
    readonly capacity?: Capacity;
    /** Products it does not use any more; absent: none. */
    readonly putAway?: readonly string[];
  };
  readonly attendance: readonly { readonly weekday: number; readonly from: string; readonly to: string }[];
  /** Days that are otherwise; null: nobody comes. */
  readonly exceptions?: readonly {
    readonly day: string;
    readonly from: string | null;
    readonly to: string | null;
  }[];
  readonly people: readonly ({
    readonly personId: string;
    readonly name: string;
    readonly isNamed?: boolean;
    /** Under age until that day; absent: of age. */
    readonly minorUntil?: string | null;
    readonly comes?: Comes | null;
  } & PutAway)[];
  readonly places: readonly ({
    readonly placeId: string;
    readonly name: string;
    readonly exposure: Exposure;
    readonly altitudeM: number;
    readonly setpointC: number | null;
    /** The place whose air it shares; absent: air of its own. */
    readonly airOfId?: string | null;
  } & PutAway)[];
  readonly probes: readonly ({
    readonly probeId: string;
    readonly placeId: string;
    readonly partId: string | null;
    readonly name: string;
    readonly isSimulated: boolean;
    /** Only to bring a probe along with the token it has; a file that was exported has none, and a new one is made in Air. */
    readonly token?: string;
  } & PutAway)[];
  readonly sheets: readonly ProductSheet[];
  readonly machines: readonly ShopMachine[];
  readonly facts: readonly ShopFact[];
  /** The shelf; files from before there was one have none of these. */
  readonly tins?: readonly NewTin[];
  readonly packs?: readonly Pack[];
  readonly cups?: readonly CupView[];
  readonly gauges?: readonly ({
    readonly gaugeId: string;
    readonly name: string;
    /** Absent: of films. */
    readonly kind?: GaugeKind;
  } & PutAway)[];
  readonly stockFacts?: readonly ShopStockFact[];
  readonly templates?: readonly SurveyTemplate[];
}

/** When an entry was written down, on what, and what stood on the page; a file made by hand has none of it. */
export interface WrittenDown {
  readonly recordedAt?: string;
  readonly deviceId?: string;
  readonly evidence?: Readonly<Record<string, unknown>>;
}

export interface ShopStockFact extends WrittenDown {
  readonly factId: string;
  readonly kind: StockKind;
  readonly happenedAt: string;
  readonly personId: string;
  readonly supersedes: string | null;
  readonly body: Record<string, unknown>;
}

/** It keeps its record and is not offered any more. */
export interface PutAway {
  readonly isAway?: true;
}

export interface ShopMachine extends PutAway {
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  readonly accession?: string | null;
  readonly assemblies: readonly ({
    readonly assemblyId: string;
    readonly name: string;
    readonly parts: readonly ShopPart[];
  } & PutAway)[];
}

export interface ShopPart extends PutAway {
  readonly partId: string;
  readonly name: string;
  readonly substrate: Substrate;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly isBrightMetal: boolean;
  readonly faces: 1 | 2;
  readonly colourGroup: string | null;
  readonly pairPartId: string | null;
  readonly comesFrom?: string;
  readonly route: readonly {
    readonly stepId: string;
    readonly kind: string;
    readonly sheetId: string | null;
    readonly coats: number;
    readonly dftUm: number | null;
  }[];
}

export type ShopFact = {
  readonly [K in FactKind]: Omit<FactInputOf<K>, 'deviceId' | 'evidence'> & WrittenDown;
}[FactKind];
