import { originMs, type Content, type GaugeKind, type StockBodies, type StockFact } from '@calvetta/core';
import type { NewTinInput, StockFactInput, TinRow } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import type { Who } from '../door/who.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { checkEntry, recordEntry, type Checks, type Stored } from '../ledger/ledger.ts';
import { lockFor } from '../ledger/locks.ts';
import { findCoatsFrom, findEntry, lastSeq, productOf, type EntryInput } from '../ledger/ledger.sql.ts';
import { findSheet } from '../shop/shop.sql.ts';
import { write } from '../write.ts';
import { findTin, insertTin } from './shelf.sql.ts';

/** What happened to stock is about no part and has no length. */
export const stockEntryOf = (f: StockFactInput): EntryInput => ({
  ...f,
  partId: null,
  face: null,
  endedAt: null,
  evidence: null,
  body: f.body,
});

/** Stores stock facts in one transaction, each once. What was poured was poured: a tin that shows too little refuses nothing. */
export async function recordStock(
  deps: Deps,
  workshopId: string,
  who: Who,
  facts: readonly StockFactInput[],
): Promise<{ readonly facts: readonly StockFact[]; readonly seq: number | null; readonly isNew: boolean }> {
  const entries = facts.map((f) => checkEntry(stockEntryOf(f), deps.nowMs()));
  const recordedAt = new Date(deps.nowMs());
  return write(
    deps,
    async (tx) => {
      await lockFor(tx, workshopId, entries);
      const out: Stored<StockFact>[] = [];
      for (const e of entries)
        out.push((await recordEntry(tx, workshopId, e, recordedAt, STOCK_CHECKS, who)) as Stored<StockFact>);
      const stored = out.map((s) => s.fact);
      const seq = await lastSeq(
        tx,
        workshopId,
        stored.map((f) => f.factId),
      );
      return { facts: stored, seq, isNew: out.some((s) => s.isNew) };
    },
    ({ seq }) => ({ topic: 'stock', ...(seq === null ? {} : { seq }) }),
  );
}

/** Makers fill a little over the size on the label. */
const OVERFILL = 1.1;

/** A new tin and its delivery, both or neither. Sent again it is the same tin. */
export async function receiveTin(
  deps: Deps,
  workshopId: string,
  who: Who,
  sent: NewTinInput,
): Promise<TinRow> {
  const { tin, receivedMl, ...envelope } = sent;
  const delivery = stockEntryOf({
    ...envelope,
    kind: 'tin-received',
    supersedes: null,
    body: { tinId: tin.tinId, ml: receivedMl },
  });
  checkEntry(delivery, deps.nowMs());
  if (tin.madeOn !== null && Date.parse(tin.madeOn) > Date.parse(sent.happenedAt))
    throw invalidInput([
      { field: 'tin.madeOn', code: 'after-received', got: tin.madeOn, accepts: 'a day not after it came in' },
    ]);
  if (receivedMl > tin.sizeMl * OVERFILL)
    throw invalidInput([
      {
        field: 'receivedMl',
        code: 'more-than-holds',
        got: receivedMl,
        accepts: `at most what it holds, ${tin.sizeMl} mL`,
      },
    ]);
  const receive = async (tx: Db): Promise<TinRow> => {
    const known = await tx.query('select 1 from product where workshop_id = $1 and product_id = $2', [
      workshopId,
      tin.productId,
    ]);
    if (known.rows.length === 0) throw new AppError('unknown-reference', { fields: ['tin.productId'] });
    const isNew = await insertTin(tx, workshopId, tin);
    const stored = (await findTin(tx, workshopId, tin.tinId))!;
    if (!isNew && !(await findEntry(tx, workshopId, sent.factId)))
      throw new AppError('version-conflict', { stored, sent: tin });
    await recordEntry(tx, workshopId, delivery, new Date(deps.nowMs()), STOCK_CHECKS, who);
    return stored;
  };
  return write(deps, receive, { topic: 'stock' });
}

/** The body fits its kind: it was checked at the door. */
const mixedBody = (e: EntryInput): StockBodies['mixed'] => e.body as unknown as StockBodies['mixed'];

const STOCK_CHECKS: Checks = {
  'tin-opened': {
    async check(tx, workshopId, e) {
      const tin = await findTin(tx, workshopId, String(e.body['tinId']));
      if (tin) checkOpened(tin, e.happenedAt);
    },
  },
  'gauge-checked': { check: (tx, workshopId, e) => checkKind(tx, workshopId, e, 'film') },
  'scale-checked': { check: (tx, workshopId, e) => checkKind(tx, workshopId, e, 'scale') },
  'batch-certified': {
    async check(tx, workshopId, e) {
      const tin = await findTin(tx, workshopId, String(e.body['tinId']));
      if (tin?.batch === null)
        throw invalidInput([
          {
            field: 'body.tinId',
            code: 'no-batch',
            got: tin.tinId,
            accepts: 'a tin whose batch is known: write the batch on the tin first',
          },
        ]);
    },
  },
  mixed: {
    check: (tx, workshopId, e) => checkPoured(tx, workshopId, mixedBody(e)),
    /** A mix that coats were laid from did happen: its amounts may be corrected, not its being, nor made later than them. */
    async checkCorrection(tx, workshopId, e, original) {
      if (original.kind !== 'mixed') return;
      const { mixId } = original.body;
      const coats = await findCoatsFrom(tx, workshopId, mixId);
      const isSame = e.kind === 'mixed' && mixedBody(e).mixId === mixId;
      const against = coats.filter((c) => !isSame || originMs(c) < Date.parse(e.happenedAt));
      if (against.length > 0)
        throw new AppError('contradicts-later', { later: against.map((c) => c.factId) });
    },
  },
};

/** A film gauge is tried on foils, a scale with masses. */
async function checkKind(tx: Db, workshopId: string, e: EntryInput, kind: GaugeKind): Promise<void> {
  const { rows } = await tx.query<{ kind: GaugeKind }>(
    'select kind from gauge where workshop_id = $1 and gauge_id = $2',
    [workshopId, e.body['gaugeId']],
  );
  if (!rows[0] || rows[0].kind === kind) return;
  const accepts =
    kind === 'film'
      ? 'a gauge of films: a scale is tried with masses'
      : 'a scale: a gauge of films is tried on foils';
  throw invalidInput([{ field: 'body.gaugeId', code: 'other-gauge', got: e.body['gaugeId'], accepts }]);
}

function checkOpened(tin: TinRow, happenedAt: string): void {
  if (tin.madeMs === null || Date.parse(happenedAt) >= tin.madeMs) return;
  throw invalidInput([
    {
      field: 'happenedAt',
      code: 'opened-before-made',
      got: happenedAt,
      accepts: `not before it was made, ${new Date(tin.madeMs).toISOString().slice(0, 10)}`,
    },
  ]);
}

/** Each tin of the content and product it is poured for. */
async function checkPoured(tx: Db, workshopId: string, m: StockBodies['mixed']): Promise<void> {
  const product = await productOf(tx, workshopId, m.sheetId);
  const sheet = await findSheet(tx, workshopId, m.sheetId);
  if (sheet?.packs === 2 && m.bMl === 0)
    throw invalidInput([
      {
        field: 'body.bMl',
        code: 'needs-hardener',
        got: 0,
        accepts: `the hardener that went in: ${sheet.name} is a two-pack and does not cure without`,
      },
    ]);
  if (sheet?.packs === 1 && (m.bMl > 0 || m.bTinId !== null))
    throw invalidInput([
      {
        field: 'body.bMl',
        code: 'no-hardener',
        got: m.bMl,
        accepts: `none: ${sheet.name} is a one-pack, and hardener in it spoils it`,
      },
    ]);
  const wanted: readonly (readonly [string, string | null, Content, number])[] = [
    ['aTinId', m.aTinId, 'paint', m.aMl],
    ['bTinId', m.bTinId, 'hardener', m.bMl],
    ['thinnerTinId', m.thinnerTinId, 'thinner', m.thinnerMl],
  ];
  for (const [field, tinId, content, ml] of wanted) {
    if (tinId === null) {
      if (ml > 0 && content !== 'thinner')
        throw invalidInput([
          { field: `body.${field}`, code: 'any.required', got: null, accepts: 'the tin it was poured from' },
        ]);
      continue;
    }
    const tin = await findTin(tx, workshopId, tinId);
    if (tin?.content !== content || tin.productId !== product)
      throw invalidInput([
        {
          field: `body.${field}`,
          code: 'other-tin',
          got: `${tin?.content ?? 'nothing'} of ${tin?.productId ?? 'nothing'}`,
          accepts: `a tin of ${content} of ${product ?? 'this product'}`,
        },
      ]);
  }
}
