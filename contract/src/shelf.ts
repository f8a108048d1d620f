import type {
  Account,
  Batch,
  Content,
  CupShape,
  Edge,
  Expiry,
  GroupCheck,
  HardenerTrouble,
  ShoppingLine,
  StockBodies,
  StockConflict,
  StockFact,
  StockKind,
  StockLine,
  Tin,
} from '@calvetta/core';

/** A tin as stored: what is printed on it, its empty weight, and the version an edit must name. */
export interface TinRow extends Tin {
  readonly tareG: number | null;
  readonly version: number;
}
export interface TinView extends TinRow {
  readonly productName: string;
  readonly levelMl: number;
  readonly openedMs: number | null;
  readonly expiry: Expiry;
  readonly asksWeighing: boolean;
  readonly isBinned: boolean;
  readonly isExpired: boolean;
  /** Where it stands among what to take first; 0 is next. Null: not to be used. */
  readonly turn: number | null;
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

/** A cup of mixed paint: what is in it, since when, and until when. */
export interface MixView {
  readonly mixId: string;
  readonly factId: string;
  readonly sheetId: string;
  readonly productId: string;
  readonly productName: string;
  readonly colour: string | null;
  readonly batch: string | null;
  readonly placeId: string | null;
  readonly personId: string;
  readonly mixedMs: number;
  readonly amounts: Pick<Batch, 'aMl' | 'bMl' | 'thinnerMl'>;
  readonly thinPct: number;
  readonly totalMl: number;
  readonly leftMl: number;
  readonly usable: Edge;
  /** Null: a one-pack does not go off in the cup. */
  readonly gone: Edge | null;
  readonly uses: readonly {
    readonly factId: string;
    readonly partId: string | null;
    readonly partName: string | null;
    readonly ml: number;
  }[];
}

export interface ShelfResponse {
  readonly nowMs: number;
  readonly tins: readonly TinView[];
  readonly mixes: readonly MixView[];
  readonly packs: readonly Pack[];
  readonly cups: readonly CupView[];
  readonly accounts: Readonly<Record<Content, Account>>;
  readonly conflicts: readonly (StockConflict & { readonly about: string })[];
  /** What the routes still ask for, against what is there. */
  readonly lines: readonly (StockLine & { readonly productName: string })[];
  readonly groups: readonly (GroupCheck & { readonly productName: string })[];
  readonly hardeners: readonly (HardenerTrouble & { readonly productName: string })[];
  /** Colour groups on which two batches have met already. */
  readonly mixedGroups: readonly {
    readonly colourGroup: string;
    readonly productId: string;
    readonly productName: string;
    readonly batches: readonly { readonly batch: string; readonly partNames: readonly string[] }[];
  }[];
  /** What happened last to the stock and stands, oldest first. */
  readonly facts: readonly StockFact[];
}

export interface ShoppingResponse {
  readonly scope: string;
  readonly lines: readonly (ShoppingLine & { readonly productName: string })[];
  readonly cents: number;
}

/** A waiting part that a leftover could go on. */
export interface LeftoverView {
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly face: 'A' | 'B';
  readonly needMl: number;
  readonly minutes: number;
  readonly shutMs: number | null;
  readonly sheetId: string;
  readonly dftUm: number;
  readonly isChosen: boolean;
}
export interface LeftoverResponse {
  readonly mixId: string;
  readonly leftMl: number;
  readonly minutesLeft: number | null;
  readonly usedMl: number;
  readonly minutes: number;
  readonly parts: readonly LeftoverView[];
  /** Why the others of this product do not take it. */
  readonly passed: readonly { readonly partName: string; readonly why: LeftoverWhy }[];
}
export type LeftoverWhy =
  'other-colour' | 'no-colour' | 'air' | 'not-open' | 'no-area' | 'too-much' | 'shuts-first';

/** What a client sends about stock. */
export interface StockFactInput<K extends StockKind = StockKind> {
  readonly factId: string;
  readonly kind: K;
  readonly happenedAt: string;
  readonly personId: string;
  readonly deviceId: string;
  readonly supersedes: string | null;
  readonly body: StockBodies[K];
}
export type NewTin = Omit<TinRow, 'version' | 'madeMs'> & {
  /** Day it was made, `2025-06-01`; null when it is not printed. */
  readonly madeOn: string | null;
};
export interface NewTinInput {
  readonly tin: NewTin;
  /** What came in it, mL: usually its size. */
  readonly receivedMl: number;
  readonly factId: string;
  readonly happenedAt: string;
  readonly personId: string;
  readonly deviceId: string;
}
