import type { BarePrep } from '../cure/bare.ts';
import type { FilmReadBody } from '../film/judgeFilm.ts';
import type { Survey } from '../part/survey.ts';
import type { RouteStep } from '../route/route.ts';
import type { Seen } from '../route/surface/walk.ts';

export const FACES = ['A', 'B'] as const;
export type Face = (typeof FACES)[number];

export const STRIP_METHODS = [
  'blast',
  'bead',
  'wire-wheel',
  'disc',
  'scraper',
  'chemical',
  'bath',
  'electrolysis',
] as const;
export type StripMethod = (typeof STRIP_METHODS)[number];
export const PRETREATMENTS = ['phosphate', 'conversion'] as const;
export const TESTS = ['tack', 'thumb-twist', 'thumbnail'] as const;
export type TestKind = (typeof TESTS)[number];
export const CONTAMINANTS = ['bare-hand', 'oil', 'dust', 'wax', 'other'] as const;

/** The kind says it all. */
type NoBody = Readonly<Record<string, never>>;

/** What each kind of fact says beyond who, when and where. Stored once, never changed. */
export interface FactBodies {
  stripped: { readonly method: StripMethod };
  pretreated: { readonly method: (typeof PRETREATMENTS)[number]; readonly limitHours?: number };
  degreased: NoBody;
  wiped: NoBody;
  abraded: { readonly how: 'dry' | 'wet'; readonly gritP?: number };
  'cut-through': NoBody;
  contaminated: { readonly by: (typeof CONTAMINANTS)[number] };
  wetted: { readonly by: 'rain' | 'dew' | 'wash' | 'other' };
  coated: {
    readonly sheetId: string;
    readonly dftUm: number;
    readonly batch?: string;
    readonly thinnerPct?: number;
    readonly tool?: 'brush' | 'roller' | 'gun' | 'aerosol';
    /** The coat this one covers: it cannot be earlier than that. */
    readonly over?: string;
    readonly reason?: string;
    /** The mix it came from and how much of that went through the tool, mL: its batch, thinner and age follow. */
    readonly mixId?: string;
    readonly usedMl?: number;
  };
  turned: { readonly faceUp: Face };
  baked: { readonly tempC: number; readonly minutes: number };
  tested: { readonly test: TestKind; readonly reached: boolean };
  moved: { readonly placeId: string };
  'surface-read': { readonly surfaceC: number };
  'film-read': FilmReadBody;
  /** What the eye saw of the bare metal. It takes the place of what the acts should have done. */
  inspected: { readonly seen: Seen };
  'gate-accepted': { readonly gate: string; readonly reason: string };
  /** What was found of the part, whole: a later survey takes its place. */
  surveyed: { readonly survey: Survey };
  /** The route chosen, whole. `reason` where it was set against a rule. */
  'route-set': {
    readonly routeId: string;
    readonly origin: 'advised' | 'edited' | 'overridden';
    readonly steps: readonly RouteStep[];
    readonly reason?: string;
  };
  noted: { readonly text: string };
  voided: { readonly reason?: string };
}
export type FactKind = keyof FactBodies;

export interface FactOf<K extends FactKind> {
  readonly factId: string;
  readonly kind: K;
  readonly partId: string;
  /** Null: the whole part. */
  readonly face: Face | null;
  readonly happenedAtMs: number;
  /** End of the act (of the last wet pass, for a coat); null when it has no length. */
  readonly endedAtMs: number | null;
  readonly recordedAtMs: number;
  readonly personId: string;
  readonly deviceId: string;
  /** The fact this one corrects or voids. */
  readonly supersedes: string | null;
  readonly body: FactBodies[K];
}
export type Fact = { [K in FactKind]: FactOf<K> }[FactKind];

/** Origin of a fact's clock: the end of the act. */
export function originMs(fact: Fact): number {
  return fact.endedAtMs ?? fact.happenedAtMs;
}

/** Facts that stand: not superseded, not voiding; ordered by when they happened, then recorded, then id. */
export function standingFacts(facts: readonly Fact[]): Fact[] {
  const gone = new Set(facts.map((f) => f.supersedes).filter((id) => id !== null));
  return facts
    .filter((f) => !gone.has(f.factId) && f.kind !== 'voided')
    .sort(
      (a, b) =>
        originMs(a) - originMs(b) || a.recordedAtMs - b.recordedAtMs || (a.factId < b.factId ? -1 : 1),
    );
}

export function isKind<K extends FactKind>(fact: Fact, kind: K): fact is Extract<Fact, { kind: K }> {
  return fact.kind === kind;
}

/** The standing facts of one kind, in order. */
export function ofKind<K extends FactKind>(facts: readonly Fact[], kind: K): Extract<Fact, { kind: K }>[] {
  return facts.filter((f): f is Extract<Fact, { kind: K }> => f.kind === kind);
}

/** The last standing fact of one kind, at or after an instant. */
export function lastOf<K extends FactKind>(
  facts: readonly Fact[],
  kind: K,
  sinceMs = -Infinity,
): Extract<Fact, { kind: K }> | null {
  const found = ofKind(facts, kind);
  const last = found[found.length - 1];
  return last && originMs(last) >= sinceMs ? last : null;
}

/** How a stripping or pretreating act leaves the metal. */
export function prepOf(fact: Fact): { readonly prep: BarePrep; readonly limitHours: number | null } | null {
  switch (fact.kind) {
    case 'stripped':
      return { prep: stripPrep(fact.body.method), limitHours: null };
    case 'pretreated':
      return fact.body.method === 'phosphate'
        ? { prep: 'phosphated', limitHours: null }
        : { prep: 'conversion-coated', limitHours: fact.body.limitHours ?? null };
    case 'cut-through':
      return { prep: 'abraded', limitHours: null };
    default:
      return null;
  }
}

function stripPrep(method: StripMethod): BarePrep {
  if (method === 'blast' || method === 'bead') return 'blasted';
  return method === 'chemical' || method === 'bath' || method === 'electrolysis'
    ? 'chemically-stripped'
    : 'abraded';
}

/** What the eye saw of the bare metal since it was last stripped; null: it has not been looked at. */
export function seenSinceStripped(standing: readonly Fact[]): Seen | null {
  const stripped = standing.findLastIndex((f) => f.kind === 'stripped');
  const looks = ofKind(standing.slice(stripped + 1), 'inspected');
  return looks[looks.length - 1]?.body.seen ?? null;
}
