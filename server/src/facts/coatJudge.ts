import {
  coatedFace,
  coatTakes,
  coatVerdict,
  handsTrouble,
  isFinal,
  mayAt,
  mixById,
  originMs,
  standingFacts,
  TOOLS,
  type Fact,
  type HandsTrouble,
  type ProductSheet,
  type ShopState,
} from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import type { KindChecks } from '../ledger/ledger.ts';
import { findEntry, listFacts, type EntryInput } from '../ledger/ledger.sql.ts';

/** What the verdict reads of a coat: where it is corrected in nothing of this, it was judged already. */
const JUDGED_BY = ['sheetId', 'mixId'] as const;

/**
 * Refuses a coat that the verdict forbids unless a reason goes into the ledger with it. Unknown asks for a reason too. Judged inside
 * the transaction by the part's facts as they stand there: what the same batch said before it, and what another tablet has stored.
 */
export async function coatJudge(
  deps: Deps,
  facts: readonly FactInput[],
): Promise<NonNullable<KindChecks['check']>> {
  const coats = facts.filter((f) => f.kind === 'coated');
  // Worked out before the transaction, so that it holds no rows while it waits for another connection.
  const then = coats.length > 0 ? await deps.model.partsThen() : null;
  const snapshot = coats.some((c) => c.body.mixId !== undefined) ? await deps.model.snapshot() : null;
  return async (tx, workshopId, e) => {
    const { sheetId, mixId, reason } = e.body;
    if (await isJudged(tx, workshopId, e)) return;
    const happenedMs = Date.parse(e.happenedAt);
    const stored = await listFacts(tx, workshopId, [e.partId!]);
    const sheet = then?.shop.sheets.get(String(sheetId));
    const before = without(stored, e.supersedes);
    const part = then?.partAt(e.partId!, before, Math.min(happenedMs, deps.nowMs()));
    // Another process has just made it, and this one has not heard: asked again in a moment it can be judged.
    if (!part || !sheet) throw new AppError('busy', {});
    const mix = snapshot && typeof mixId === 'string' ? mixById(snapshot, mixId) : null;
    const hands = reason === undefined && then ? handsOf(then.shop, sheet, e) : null;
    if (hands) throw new AppError('coat-refused', { ...hands });
    for (const face of part.state.faces.filter((x) => e.face === null || x.face === e.face)) {
      const dftUm = typeof e.body.dftUm === 'number' ? e.body.dftUm : null;
      const refusal = coatVerdict(coatedFace(face), sheet, mix?.clock ?? null, happenedMs, dftUm);
      if (refusal && (reason === undefined || isFinal(refusal)))
        throw new AppError('coat-refused', { ...refusal });
    }
  };
}

/** Whoever laid it may not do so alone, by the inductions on record at that time. */
function handsOf(shop: ShopState, sheet: ProductSheet, e: EntryInput): HandsTrouble | null {
  const person = shop.people.find((p) => p.personId === e.personId);
  const tool = TOOLS.find((t) => t === e.body['tool']);
  if (!person || !tool) return null;
  const atMs = Date.parse(e.endedAt ?? e.happenedAt);
  return handsTrouble(e.personId, coatTakes(sheet, tool), (to) => mayAt({ shop }, person, to, atMs));
}

/** The facts that stand, but the one that is being corrected. */
const without = (facts: readonly Fact[], factId: string | null): Fact[] =>
  standingFacts(facts).filter((f) => f.factId !== factId);

/** A correction of film, amount or batch leaves the coat where, when and of what it was. */
async function isJudged(tx: Db, workshopId: string, e: EntryInput): Promise<boolean> {
  const original = e.supersedes === null ? null : await findEntry(tx, workshopId, e.supersedes);
  if (original?.kind !== 'coated') return false;
  const body: Readonly<Record<string, unknown>> = { ...original.body };
  return (
    original.face === e.face &&
    originMs(original) === Date.parse(e.endedAt ?? e.happenedAt) &&
    original.happenedAtMs === Date.parse(e.happenedAt) &&
    JUDGED_BY.every((field) => body[field] === e.body[field])
  );
}
