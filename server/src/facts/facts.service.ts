import { coatedFace, coatVerdict, originMs, shelfNow, type Fact } from '@calvetta/core';
import type { FactInput, FactInputOf } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { lockFor } from '../ledger/locks.ts';
import { checkEntry, recordEntry, type Checks, type Stored } from '../ledger/ledger.ts';
import {
  findCoatsOver,
  findEntry,
  findMixed,
  productOf,
  type EntryInput,
  findStanding,
} from '../ledger/ledger.sql.ts';
import { write } from '../write.ts';
import { judgeRoute, storeSheets } from './routes.service.ts';

export const entryOf = (f: FactInput): EntryInput => ({ ...f, body: { ...f.body } });

/** Stores facts in one transaction, each once; announces what changed. */
export async function recordFacts(
  deps: Deps,
  workshopId: string,
  facts: readonly FactInput[],
): Promise<Stored<Fact>[]> {
  const entries = facts.map((f) => checkEntry(entryOf(f), deps.nowMs()));
  for (const f of facts) if (f.kind === 'coated' && f.supersedes === null) await judgeCoat(deps, f);
  for (const f of facts) if (f.kind === 'route-set') await judgeRoute(deps, f, facts);
  const partIds = [...new Set(facts.map((f) => f.partId))];
  let hasNewSheets = false;
  return write(
    deps,
    async (tx) => {
      const out: Stored<Fact>[] = [];
      for (const f of facts)
        if (f.kind === 'route-set' && (await storeSheets(tx, workshopId, f))) hasNewSheets = true;
      const recordedAt = new Date(deps.nowMs());
      await lockFor(tx, workshopId, entries);
      for (const e of entries)
        out.push((await recordEntry(tx, workshopId, e, recordedAt, PART_CHECKS)) as Stored<Fact>);
      return out;
    },
    () => ({ topic: hasNewSheets ? 'entities' : 'facts', partIds }),
  );
}

const PART_CHECKS: Checks = {
  coated: {
    async check(tx, workshopId, e) {
      await checkOrder(tx, workshopId, e);
      await checkMix(tx, workshopId, e);
    },
    async checkCorrection(tx, workshopId, e, original) {
      // Taken back, nothing may cover it; corrected, it may not become later than what covers it.
      const over = await findCoatsOver(tx, workshopId, original.factId);
      const later = over.filter((c) => e.kind === 'voided' || originMs(c) < Date.parse(e.happenedAt));
      if (later.length > 0) throw new AppError('contradicts-later', { later });
    },
  },
};

/** A coat says which coat it covers, and cannot be earlier. */
async function checkOrder(tx: Db, workshopId: string, f: EntryInput): Promise<void> {
  const over = f.body['over'];
  if (typeof over !== 'string') return;
  const named = await findEntry(tx, workshopId, over);
  const covered = named && (await findStanding(tx, workshopId, named));
  const isHere = named !== null && 'partId' in named && named.partId === f.partId;
  // A coat that was taken back covers nothing; one that was corrected counts as it stands now.
  if (!isHere || !covered || (covered.kind === 'voided' && f.supersedes === null))
    throw new AppError('unknown-reference', { fields: ['body.over'] });
  if (Date.parse(f.happenedAt) < originMs(covered))
    throw new AppError('before-covered', {
      field: 'happenedAt',
      got: f.happenedAt,
      covered: new Date(originMs(covered)).toISOString(),
    });
}

/** A coat cannot be older than the mix it came from, nor of another product. */
async function checkMix(tx: Db, workshopId: string, f: EntryInput): Promise<void> {
  const mixId = f.body['mixId'];
  if (typeof mixId !== 'string') return;
  const mixed = await findMixed(tx, workshopId, mixId);
  // It was there once and has been taken back since.
  if (mixed === null) throw new AppError('unknown-reference', { fields: ['body.mixId'] });
  const product = await productOf(tx, workshopId, String(f.body['sheetId']));
  if (product !== mixed.productId)
    throw invalidInput([
      {
        field: 'body.mixId',
        code: 'other-product',
        got: mixed.productId,
        accepts: `a mix of ${product ?? 'this product'}`,
      },
    ]);
  if (Date.parse(f.endedAt ?? f.happenedAt) >= mixed.atMs) return;
  throw invalidInput([
    {
      field: 'happenedAt',
      code: 'before-mixed',
      got: f.happenedAt,
      accepts: `not before it was mixed, ${new Date(mixed.atMs).toISOString()}`,
    },
  ]);
}

/** Refuses a coat that the verdict forbids unless a reason goes into the ledger with it. Unknown asks for a reason too. */
async function judgeCoat(deps: Deps, f: FactInputOf<'coated'>): Promise<void> {
  if (f.body.reason !== undefined) return;
  const atMs = Math.min(Date.parse(f.happenedAt), deps.nowMs());
  const part = await deps.model.partAt(f.partId, atMs);
  const sheet = part && (await deps.model.shop())?.sheets.get(f.body.sheetId);
  if (!part || !sheet) return;
  const { mixId } = f.body;
  const snapshot = mixId !== undefined ? await deps.model.snapshot() : null;
  const mix = snapshot && shelfNow(snapshot).mixes.find((m) => m.state.fact.body.mixId === mixId);
  for (const face of part.state.faces.filter((x) => f.face === null || x.face === f.face)) {
    // The same entry sent again after a lost answer: its own coat must not refuse it.
    if (face.coats.some((c) => c.factId === f.factId)) continue;
    const refusal = coatVerdict(coatedFace(face), sheet, mix?.clock ?? null, Date.parse(f.happenedAt));
    if (refusal) throw new AppError('coat-refused', { ...refusal });
  }
}
