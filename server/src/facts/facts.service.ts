import { originMs, type Fact } from '@calvetta/core';
import type { FactInput, FactsStored } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import type { Who } from '../door/who.ts';
import { AppError, errorBody, invalidInput } from '../http/errors.ts';
import { lockFor } from '../ledger/locks.ts';
import { checkEntry, recordEntry, type Checks, type KindChecks } from '../ledger/ledger.ts';
import {
  findCoatsOver,
  findEntry,
  findMixed,
  findStanding,
  lastSeq,
  productOf,
  type EntryInput,
} from '../ledger/ledger.sql.ts';
import { write } from '../write.ts';
import { coatJudge } from './coatJudge.ts';
import { findingChecks } from './findingChecks.ts';
import { wetFilmJudge } from './wetFilmJudge.ts';
import { judgeRoute, storeSheets } from './routes.service.ts';

export const entryOf = (f: FactInput): EntryInput => ({ ...f, body: { ...f.body } });

export interface Recorded extends FactsStored {
  /** False when every one of them was stored before. */
  readonly isNew: boolean;
}

/**
 * Stores facts in one transaction, each once; announces what changed. All or nothing; with `each`, all or nothing for each part,
 * and what was refused is named with its reason.
 */
export async function recordFacts(
  deps: Deps,
  workshopId: string,
  who: Who,
  facts: readonly FactInput[],
  each = false,
): Promise<Recorded> {
  const refused: RefusedPart[] = [];
  const groups: Group[] = [];
  // A signature has a door of its own, where the phrase is asked.
  if (facts.some((f) => f.kind === 'signed-off'))
    throw new AppError('not-allowed', { role: who.role, least: 'inspector' });
  for (const batch of each ? byPart(facts) : [facts])
    try {
      const entries = batch.map((f) => checkEntry(entryOf(f), deps.nowMs()));
      for (const f of batch) if (f.kind === 'route-set') await judgeRoute(deps, f, batch);
      groups.push({ batch, entries });
    } catch (error) {
      refused.push(refusedPart(each, batch, error));
    }
  const checks = partChecks(await coatJudge(deps, facts), await wetFilmJudge(deps, facts), deps.nowMs);
  let hasNewSheets = false;
  const store = async (tx: Db, { batch, entries }: Group): Promise<readonly Done[]> => {
    for (const f of batch)
      if (f.kind === 'route-set' && (await storeSheets(tx, workshopId, f))) hasNewSheets = true;
    const recordedAt = new Date(deps.nowMs());
    const out: Done[] = [];
    for (const e of entries)
      out.push((await recordEntry(tx, workshopId, e, recordedAt, checks, who)) as Done);
    return out;
  };
  return write(
    deps,
    async (tx) => {
      const done: Done[] = [];
      await lockFor(
        tx,
        workshopId,
        groups.flatMap((g) => g.entries),
      );
      for (const group of groups)
        try {
          if (each) await tx.query('savepoint one_part');
          done.push(...(await store(tx, group)));
        } catch (error) {
          refused.push(refusedPart(each, group.batch, error));
          await tx.query('rollback to savepoint one_part');
        }
      const stored = done.map((d) => d.fact);
      const seq = await lastSeq(
        tx,
        workshopId,
        stored.map((f) => f.factId),
      );
      return { facts: stored, refused, seq, isNew: done.some((d) => d.isNew) };
    },
    ({ facts: stored, seq }) =>
      seq === null
        ? null
        : {
            topic: hasNewSheets ? 'sheets' : 'facts',
            partIds: [...new Set(stored.map((f) => f.partId))],
            seq,
          },
  );
}

type Done = { readonly fact: Fact; readonly isNew: boolean };
type RefusedPart = FactsStored['refused'][number];
interface Group {
  readonly batch: readonly FactInput[];
  readonly entries: readonly EntryInput[];
}

/** Facts by part, in the order in which the parts come first. */
function byPart(facts: readonly FactInput[]): FactInput[][] {
  const groups = new Map<string, FactInput[]>();
  for (const f of facts) groups.set(f.partId, [...(groups.get(f.partId) ?? []), f]);
  return [...groups.values()];
}

/** Only a clear no of ours is a part's own; anything else ends the whole. */
function refusedPart(each: boolean, batch: readonly FactInput[], error: unknown): RefusedPart {
  if (!each || !(error instanceof AppError) || error.code === 'busy') throw error;
  return { partId: batch[0]!.partId, factIds: batch.map((f) => f.factId), error: errorBody(error) };
}

type Judge = NonNullable<KindChecks['check']>;
const partChecks = (judge: Judge, wetFilm: Judge, nowMs: () => number): Checks => ({
  ...findingChecks(nowMs),
  'film-read': { check: wetFilm },
  coated: {
    async check(tx, workshopId, e) {
      await checkOrder(tx, workshopId, e);
      await checkMix(tx, workshopId, e);
      await judge(tx, workshopId, e);
    },
    async checkCorrection(tx, workshopId, e, original) {
      // Taken back, nothing may cover it; corrected, it may not become later than what covers it.
      const over = await findCoatsOver(tx, workshopId, original.factId);
      const later = over.filter((c) => e.kind === 'voided' || originMs(c) < Date.parse(e.happenedAt));
      if (later.length > 0) throw new AppError('contradicts-later', { later });
    },
  },
});

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
