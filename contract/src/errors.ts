import type { Role } from './door.ts';
import type { CoatRefusal, HoldWhy, OpenQuestion, Reason } from '@calvetta/core';

export const ERROR_CODES = [
  'invalid-input',
  'not-found',
  'version-conflict',
  'fact-conflict',
  'superseded-already',
  'in-the-future',
  'before-covered',
  'no-product',
  'coat-refused',
  'route-refused',
  'route-unsafe',
  'unknown-reference',
  'contradicts-later',
  'closed-already',
  'finding-holds',
  'bad-token',
  'rate-limited',
  'too-large',
  'misdirected',
  'foreign-page',
  'content-type',
  'no-owner',
  'sign-in',
  'bad-phrase',
  'bad-invite',
  'too-many-tries',
  'not-allowed',
  'last-owner',
  'signed-changed',
  'own-work',
  'comes-in',
  'busy',
  'working-out',
  'database-away',
  'import-unreadable',
  'internal',
] as const;
export type ErrorCode = (typeof ERROR_CODES)[number];

/** One field's problem inside `invalid-input`. */
export interface FieldProblem {
  readonly field: string;
  readonly code: string;
  readonly got: unknown;
  readonly accepts: string;
}

/** Something of that kind is not here; `id` where it was asked for by one. */
interface NotFound {
  readonly what:
    | 'workshop'
    | 'entry'
    | 'demo'
    | 'person'
    | 'assembly'
    | 'machine'
    | 'part'
    | 'place'
    | 'sheet'
    | 'tin'
    | 'pack'
    | 'cup'
    | 'mix'
    | 'template'
    | 'import'
    | 'probe'
    | 'plan'
    | 'picture'
    | 'gauge'
    | 'account'
    | 'tablet'
    | 'route';
  readonly id?: string;
  readonly path?: string;
}
/** What stands here and what was sent, so that a person can keep one or join them. */
interface BothVersions {
  readonly stored?: unknown;
  readonly sent?: unknown;
  readonly what?: 'workshop';
  readonly id?: string;
  /** The id that another entry has taken. */
  readonly taken?: unknown;
}
interface NotYet {
  readonly field: string;
  readonly got: string;
  readonly now: string;
}
/** What the rules have against a route. */
interface RouteRefusal {
  readonly refusals: readonly Reason[];
  readonly open: readonly OpenQuestion[];
}
type Nothing = Readonly<Record<string, never>>;

/** What each refusal says beside its code. */
export interface ErrorData {
  'invalid-input': { readonly problems: readonly FieldProblem[] };
  'not-found': NotFound;
  'version-conflict': BothVersions;
  'fact-conflict': BothVersions;
  'superseded-already': BothVersions;
  'closed-already': BothVersions;
  'finding-holds': { readonly holds: HoldWhy };
  'in-the-future': NotYet;
  'before-covered': { readonly field: string; readonly got: string; readonly covered: string };
  'no-product': { readonly problems: readonly FieldProblem[] };
  'coat-refused': CoatRefusal;
  'route-refused': RouteRefusal;
  'route-unsafe': RouteRefusal;
  'unknown-reference': { readonly fields: readonly string[]; readonly families?: readonly string[] };
  'contradicts-later': { readonly later: readonly unknown[] };
  'bad-token': { readonly probeId: string };
  'rate-limited': { readonly probeId: string; readonly perSecond: number };
  'too-large': { readonly maxBytes?: number };
  misdirected: { readonly host: string };
  /** Where it came from, or the header it did not bring. */
  'foreign-page': { readonly origin?: string; readonly header?: string };
  'content-type': { readonly got: string; readonly accepts: readonly string[] };
  'no-owner': Nothing;
  'sign-in': Nothing;
  'bad-phrase': Nothing;
  'bad-invite': Nothing;
  'too-many-tries': { readonly waitS: number };
  /** What whoever asked is, and what it takes. */
  'not-allowed': {
    readonly role: Role;
    readonly least: Role | 'self' | 'tablet' | 'inspector' | 'signer' | 'own-entry';
  };
  'last-owner': Nothing;
  /** What came, went or was corrected between the page and the signature, by part. */
  'signed-changed': {
    readonly parts: readonly { readonly partId: string; readonly factIds: readonly string[] }[];
  };
  /** Parts that whoever wanted to sign has worked on. */
  'comes-in': { readonly personId: string };
  'own-work': { readonly partIds: readonly string[] };
  busy: Nothing;
  /** How many parts of a large shop are worked out, after a start. */
  'working-out': { readonly done: number; readonly of: number };
  'database-away': Nothing;
  'import-unreadable': { readonly needs: readonly string[] };
  internal: Nothing;
}

/** The one error body: what is wrong by code, with its data, and what would be accepted. */
export type ErrorBody = {
  [C in ErrorCode]: { readonly code: C; readonly details: ErrorData[C]; readonly remedy: string };
}[ErrorCode];
