import { isDeepStrictEqual } from 'node:util';
import type { Content, StockBodies, StockFact } from '@calvetta/core';
import type { NewTinInput, StockFactInput, TinRow } from '@calvetta/contract';
import { problemsOf, STOCK_BODIES } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import { sqlState } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { write } from '../write.ts';
import { findStock, findStockSuperseding, findTin, insertStock, insertTin } from './shelf.sql.ts';

/** A device's clock may run a little ahead of the server's. */
const CLOCK_SLACK_MS = 2 * 60_000;

export interface StoredStock {
  readonly fact: StockFact;
  readonly isNew: boolean;
}

/** Stores stock facts in one transaction, each once. What was poured was poured: a tin that shows too little refuses nothing. */
export async function recordStock(
  deps: Deps,
  workshopId: string,
  facts: readonly StockFactInput[],
): Promise<StoredStock[]> {
  for (const f of facts) checkShape(f, deps.nowMs());
  return write(
    deps,
    async (tx) => {
      const out: StoredStock[] = [];
      for (const f of facts) out.push(await recordOne(tx, workshopId, f, new Date(deps.nowMs())));
      return out;
    },
    { topic: 'stock' },
  );
}

/** A new tin and its delivery, both or neither. Sent again it is the same tin. */
export async function receiveTin(deps: Deps, workshopId: string, sent: NewTinInput): Promise<TinRow> {
  const { tin, receivedMl, ...who } = sent;
  const delivery: StockFactInput = {
    ...who,
    kind: 'tin-received',
    supersedes: null,
    body: { tinId: tin.tinId, ml: receivedMl },
  };
  checkShape(delivery, deps.nowMs());
  if (tin.madeOn !== null && Date.parse(tin.madeOn) > Date.parse(sent.happenedAt))
    throw invalidInput([
      { field: 'tin.madeOn', code: 'after-received', got: tin.madeOn, accepts: 'a day not after it came in' },
    ]);
  const receive = async (tx: Db): Promise<TinRow> => {
    const known = await tx.query('select 1 from product where workshop_id = $1 and product_id = $2', [
      workshopId,
      tin.productId,
    ]);
    if (known.rows.length === 0) throw new AppError('unknown-reference', { fields: ['tin.productId'] });
    const isNew = await insertTin(tx, workshopId, tin);
    const stored = (await findTin(tx, workshopId, tin.tinId))!;
    if (!isNew && !(await findStock(tx, workshopId, sent.factId)))
      throw new AppError('version-conflict', { stored, sent: tin });
    await recordOne(tx, workshopId, delivery, new Date(deps.nowMs()));
    return stored;
  };
  return write(deps, receive, { topic: 'stock' });
}

/** The kind's own body, and a time that is possible. */
export function checkShape(f: StockFactInput, nowMs: number): void {
  const r = STOCK_BODIES[f.kind].validate(f.body, { abortEarly: false, convert: false });
  if (r.error) throw invalidInput(problemsOf(r.error).map((p) => ({ ...p, field: `body.${p.field}` })));
  if (Date.parse(f.happenedAt) > nowMs + CLOCK_SLACK_MS)
    throw new AppError('in-the-future', {
      field: 'happenedAt',
      got: f.happenedAt,
      now: new Date(nowMs).toISOString(),
    });
  if (f.kind === 'stock-voided' && f.supersedes === null)
    throw invalidInput([
      { field: 'supersedes', code: 'any.required', got: null, accepts: 'the entry to void' },
    ]);
}

async function recordOne(
  tx: Db,
  workshopId: string,
  f: StockFactInput,
  recordedAt: Date,
): Promise<StoredStock> {
  const already = await findStock(tx, workshopId, f.factId);
  if (already) return sameOrConflict(already, f);
  await checkReferences(tx, workshopId, f);
  if (f.supersedes !== null) await checkCorrection(tx, workshopId, f);
  try {
    await tx.query('savepoint one_stock');
    await insertStock(tx, workshopId, f, recordedAt);
  } catch (error) {
    if (sqlState(error) !== '23505') throw error;
    await tx.query('rollback to savepoint one_stock');
    if (f.supersedes !== null) throw await lostRace(tx, workshopId, f);
    throw new AppError('fact-conflict', { sent: f, taken: (f.body as { mixId?: string }).mixId ?? null });
  }
  return { fact: (await findStock(tx, workshopId, f.factId))!, isNew: true };
}

function sameOrConflict(stored: StockFact, f: StockFactInput): StoredStock {
  const same =
    stored.kind === f.kind &&
    stored.happenedAtMs === Date.parse(f.happenedAt) &&
    stored.supersedes === f.supersedes &&
    isDeepStrictEqual(stored.body, f.body);
  if (!same) throw new AppError('fact-conflict', { stored, sent: f });
  return { fact: stored, isNew: false };
}

async function checkCorrection(tx: Db, workshopId: string, f: StockFactInput): Promise<void> {
  const original = await findStock(tx, workshopId, f.supersedes!);
  if (!original) throw new AppError('unknown-reference', { fields: ['supersedes'] });
  if (f.kind !== 'stock-voided' && f.kind !== original.kind)
    throw invalidInput([
      { field: 'kind', code: 'any.only', got: f.kind, accepts: `${original.kind} or stock-voided` },
    ]);
  if (await findStockSuperseding(tx, workshopId, f.supersedes!)) throw await lostRace(tx, workshopId, f);
  if (original.kind !== 'mixed') return;
  // A mix that coats were laid from did happen: its amounts may be corrected, not its being.
  const { rows } = await tx.query<{ fact_id: string; is_before: boolean }>(
    `select fact_id, coalesce(ended_at, happened_at) < $3 as is_before from fact f where workshop_id = $1 and kind = 'coated' and body ->> 'mixId' = $2
     and not exists (select 1 from fact s where s.workshop_id = f.workshop_id and s.supersedes = f.fact_id)`,
    [workshopId, original.body.mixId, f.happenedAt],
  );
  const isSame = f.kind === 'mixed' && (f.body as StockBodies['mixed']).mixId === original.body.mixId;
  // Nor can it be made later than a coat that came from it.
  const against = isSame ? rows.filter((r) => r.is_before) : rows;
  if (against.length > 0) throw new AppError('contradicts-later', { later: against.map((r) => r.fact_id) });
}

async function lostRace(tx: Db, workshopId: string, f: StockFactInput): Promise<AppError> {
  return new AppError('superseded-already', {
    stored: await findStockSuperseding(tx, workshopId, f.supersedes!),
    sent: f,
  });
}

/** People, tins, sheets, places and mixes that a fact names; each tin of the content and product it is used for. */
async function checkReferences(tx: Db, workshopId: string, f: StockFactInput): Promise<void> {
  const missing: string[] = [];
  const has = async (sql: string, id: string): Promise<boolean> =>
    (await tx.query(sql, [workshopId, id])).rows.length > 0;
  if (!(await has('select 1 from person where workshop_id = $1 and person_id = $2', f.personId)))
    missing.push('personId');
  const body = f.body as Partial<StockBodies['mixed'] & StockBodies['wasted']>;
  if (body.tinId !== undefined) {
    const tin = await findTin(tx, workshopId, body.tinId);
    if (!tin) missing.push('body.tinId');
    else if (f.kind === 'tin-opened') checkOpened(tin, f.happenedAt);
  }
  if (f.kind === 'mixed')
    missing.push(...(await missingOfMix(tx, workshopId, f.body as StockBodies['mixed'])));
  if (f.kind === 'wasted' && body.mixId !== undefined) {
    const sql = `select 1 from stock_fact where workshop_id = $1 and kind = 'mixed' and body ->> 'mixId' = $2`;
    if (!(await has(sql, body.mixId))) missing.push('body.mixId');
  }
  if (missing.length > 0) throw new AppError('unknown-reference', { fields: missing });
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

async function missingOfMix(tx: Db, workshopId: string, m: StockBodies['mixed']): Promise<string[]> {
  const sheet = await tx.query<{ product_id: string }>(
    'select product_id from sheet where workshop_id = $1 and sheet_id = $2',
    [workshopId, m.sheetId],
  );
  const missing = sheet.rows[0] ? [] : ['body.sheetId'];
  if (m.placeId !== null) {
    const place = await tx.query('select 1 from place where workshop_id = $1 and place_id = $2', [
      workshopId,
      m.placeId,
    ]);
    if (place.rows.length === 0) missing.push('body.placeId');
  }
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
    if (!tin) missing.push(`body.${field}`);
    else if (tin.content !== content || tin.productId !== sheet.rows[0]?.product_id)
      throw invalidInput([
        {
          field: `body.${field}`,
          code: 'other-tin',
          got: `${tin.content} of ${tin.productId}`,
          accepts: `a tin of ${content} of ${sheet.rows[0]?.product_id ?? 'this product'}`,
        },
      ]);
  }
  return missing;
}
