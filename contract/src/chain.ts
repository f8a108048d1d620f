import type { MonthOfAir } from '@calvetta/core';
import type { KnownHow } from './door.ts';

/** What was measured of a place's own air over the months; nothing indoors. */
export interface PlaceClimate {
  readonly isOutdoors: boolean;
  readonly months: readonly MonthOfAir[];
}

/** The newest link of a workshop's chain: what somebody writes down to be able to see later that nothing before it was changed. */
export interface ChainHead {
  /** How many links there are. */
  readonly seq: number;
  /** 64 hex digits. */
  readonly hash: string;
}

/** An end of the chain with the shop's signature: Ed25519 over the lines `calvetta-head/1`, chain, seq, hash and time in UTC. */
export interface SignedHead extends ChainHead {
  readonly chain: string;
  readonly atMs: number;
  /** 64 hex digits: the key by which it is checked. */
  readonly publicKey: string;
  /** 128 hex digits. */
  readonly signature: string;
}

/** All that is stored of an entry: who and when, with what on the page, its link, and what became of it. */
export interface EntryWhole {
  readonly factId: string;
  readonly kind: string;
  readonly personId: string;
  /** Whoever was signed in; null: nobody. */
  readonly enteredBy: string | null;
  /** How it is known that the person did it; null: it came in before that was asked, or in a file. */
  readonly how: KnownHow | null;
  readonly deviceId: string;
  readonly happenedAtMs: number;
  readonly recordedAtMs: number;
  /** What stood on the page when it was entered. */
  readonly evidence: Readonly<Record<string, unknown>> | null;
  /** Its place in the chain and its hash. */
  readonly linkSeq: number | null;
  readonly linkHash: string | null;
  /** It was there before the chain was. */
  readonly isAdopted: boolean;
  readonly corrects: string | null;
  readonly correctedBy: string | null;
}

export interface ChainFault {
  /** Place of the link; 0: a row that has none. */
  readonly seq: number;
  readonly kind: 'fact' | 'sheet' | 'picture' | 'event' | 'reading_seal' | 'person' | 'account';
  readonly id: string;
  readonly what:
    | 'text-changed'
    | 'link-broken'
    | 'links-missing'
    | 'row-changed'
    | 'row-missing'
    | 'row-unchained'
    | 'readings-changed';
}

export interface ChainVerdict {
  readonly head: ChainHead;
  readonly links: number;
  /** Readings that came in before that are sealed, hour by hour; null: none is sealed yet. */
  readonly sealedToMs: number | null;
  /** Heads that the server kept outside the database. */
  readonly kept: number;
  /** Those of them that the chain does not hold; `isRestored`: since a backup of before was put back. */
  readonly lost: readonly (ChainHead & { readonly atMs: number; readonly isRestored: boolean })[];
  /** No fault, and the head that was named is there, and those that were kept. */
  readonly isWhole: boolean;
  /** At most fifty, in the order of the chain. */
  readonly faults: readonly ChainFault[];
  /** Where the head that was named stands; `missing`: nowhere; null: none was named. */
  readonly known: number | 'missing' | null;
}
