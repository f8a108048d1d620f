import { canonicalJson } from '../base/canonical.ts';
import { originMs } from '../facts/envelope.ts';
import { ofKind, standingFacts, type Fact, type FactKind, type FactOf } from '../facts/part.ts';
import { checksOf, gaugeTrust } from '../film/gaugeTrust.ts';
import type { StockFact } from '../facts/stock.ts';

/**
 * What each kind of entry is to a sign-off. `work` changes what was signed: later work supersedes it. `record` is signed, and a new
 * one later takes nothing away; corrected, or written down late, it makes the sign-off invalid as work does. `beside` is not signed.
 */
export type ToSigning = 'work' | 'record' | 'beside';
export const TO_SIGNING: Readonly<Record<FactKind, ToSigning>> = {
  stripped: 'work',
  pretreated: 'work',
  degreased: 'work',
  wiped: 'work',
  abraded: 'work',
  'cut-through': 'work',
  contaminated: 'work',
  wetted: 'work',
  coated: 'work',
  turned: 'beside',
  baked: 'work',
  tested: 'record',
  moved: 'beside',
  sent: 'beside',
  'came-back': 'beside',
  'film-read': 'record',
  'surface-read': 'record',
  inspected: 'record',
  'gate-accepted': 'record',
  surveyed: 'record',
  'route-set': 'record',
  'step-done': 'work',
  found: 'record',
  pictured: 'beside',
  'rust-measured': 'record',
  'finding-answered': 'record',
  'remedy-set': 'record',
  'finding-closed': 'record',
  'pits-measured': 'record',
  'repair-chosen': 'record',
  'level-set': 'record',
  levelled: 'work',
  'card-tested': 'record',
  'adhesion-tried': 'record',
  worked: 'beside',
  spent: 'beside',
  cared: 'beside',
  'reminder-set': 'beside',
  'reminder-done': 'beside',
  'sample-kept': 'beside',
  conceded: 'record',
  noted: 'beside',
  'signed-off': 'beside',
  voided: 'beside',
};

/** The entries to be signed as they stand, with those of the cups and tins that coats came from. */
export function toSign(
  facts: readonly Fact[],
  stock: readonly StockFact[],
): { readonly facts: readonly Fact[]; readonly stock: readonly StockFact[] } {
  const signed = standingFacts(facts).filter((f) => TO_SIGNING[f.kind] !== 'beside');
  const gone = new Set(stock.map((s) => s.supersedes));
  const mixIds = new Set(ofKind(signed, 'coated').map((f) => f.body.mixId));
  const mixes = stock.filter((s) => s.kind === 'mixed' && !gone.has(s.factId) && mixIds.has(s.body.mixId));
  const tins = new Set(mixes.flatMap((s) => (s.kind === 'mixed' ? [s.body.aTinId, s.body.bTinId] : [])));
  const received = stock.filter(
    (s) => s.kind === 'tin-received' && !gone.has(s.factId) && tins.has(s.body.tinId),
  );
  return { facts: [...signed].sort(byId), stock: [...mixes, ...received].sort(byId) };
}
const byId = (a: { readonly factId: string }, b: { readonly factId: string }): number =>
  a.factId < b.factId ? -1 : 1;

/** The text whose SHA-256 is signed: every entry on a line of its own, in one form only. Whoever has an export can make it again. */
export const signedText = (of: {
  readonly facts: readonly Fact[];
  readonly stock: readonly StockFact[];
}): string =>
  [...of.facts, ...of.stock]
    .map((e) =>
      canonicalJson({
        id: e.factId,
        kind: e.kind,
        part: 'partId' in e ? e.partId : null,
        face: 'face' in e ? e.face : null,
        at: new Date(e.happenedAtMs).toISOString(),
        ended: 'endedAtMs' in e && e.endedAtMs !== null ? new Date(e.endedAtMs).toISOString() : null,
        by: e.personId,
        body: e.body,
      }),
    )
    .join('\n');

type End = { readonly state: SignState['state']; readonly by: string; readonly recordedAtMs: number };
/** What became of a sign-off, and by which entry. */
export interface SignState {
  readonly state: 'standing' | 'superseded' | 'invalidated' | 'withdrawn';
  /** What ended it; null while it stands. */
  readonly by: string | null;
}

/**
 * What a sign-off is worth now. Withdrawn: taken back by its signer. Invalidated: what was signed was corrected since, or something of
 * before was written down afterwards. Superseded: work went on. Whichever was written down first counts.
 */
export function signState(
  sign: FactOf<'signed-off'>,
  facts: readonly Fact[],
  stock: readonly StockFact[],
): SignState {
  const signed = new Set([...sign.body.facts, ...sign.body.stock]);
  const signedMs = sign.happenedAtMs;
  const gone = new Set(facts.map((f) => f.supersedes));
  const ends = [
    ...facts.flatMap((f): End[] => {
      const at = { by: f.factId, recordedAtMs: f.recordedAtMs };
      if (f.supersedes === sign.factId) return [{ ...at, state: 'withdrawn' }];
      if (f.supersedes !== null && signed.has(f.supersedes)) return [{ ...at, state: 'invalidated' }];
      const to = TO_SIGNING[f.kind];
      // One that was taken back or corrected again ends nothing itself.
      if (to === 'beside' || signed.has(f.factId) || gone.has(f.factId)) return [];
      // Everything of before that stood was signed: what was not, came later.
      if (originMs(f) <= signedMs) return [{ ...at, state: 'invalidated' }];
      return to === 'work' ? [{ ...at, state: 'superseded' }] : [];
    }),
    ...stock.flatMap((s): End[] =>
      s.supersedes !== null && signed.has(s.supersedes)
        ? [{ by: s.factId, recordedAtMs: s.recordedAtMs, state: 'invalidated' }]
        : [],
    ),
    ...gaugesInDoubt(sign, facts, stock),
  ].sort((a, b) => a.recordedAtMs - b.recordedAtMs);
  const first = ends[0];
  return first ? { state: first.state, by: first.by } : { state: 'standing', by: null };
}

/** Gauges that failed a check since: what was signed of their readings is in doubt. */
function gaugesInDoubt(
  sign: FactOf<'signed-off'>,
  facts: readonly Fact[],
  stock: readonly StockFact[],
): End[] {
  const signed = new Set(sign.body.facts);
  return ofKind(facts, 'film-read').flatMap((f): End[] => {
    const { gaugeId } = f.body;
    if (gaugeId === undefined || !signed.has(f.factId)) return [];
    const trust = gaugeTrust(stock, gaugeId, originMs(f));
    const check = checksOf(stock, gaugeId).find((c) => c.happenedAtMs === trust.checkMs);
    // In doubt already when it was signed: that stood on the page.
    if (trust.state !== 'doubt' || !check || check.recordedAtMs <= sign.recordedAtMs) return [];
    return [{ by: check.factId, recordedAtMs: check.recordedAtMs, state: 'invalidated' }];
  });
}

/** Whose own work it is: whoever did any of it signs for none of it. */
export const workedOn = (facts: readonly Fact[], personId: string): boolean =>
  standingFacts(facts).some(
    (f) => f.personId === personId && (TO_SIGNING[f.kind] === 'work' || f.kind === 'worked'),
  );
