import { isDeepStrictEqual } from 'node:util';
import { coatedFace, coatVerdict, originMs, shelfNow, type Fact } from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import { FACT_BODIES, problemsOf } from '@calvetta/contract/schemas';
import type { Db } from '../db/db.ts';
import { sqlState } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { write } from '../write.ts';
import { judgeRoute, storeSheets } from './routes.service.ts';
import {
  findCoatsOver,
  findFact,
  findMixed,
  findSuperseding,
  insertFact,
  missingReferences,
  productOf,
} from './facts.sql.ts';

/** A device's clock may run a little ahead of the server's. */
const CLOCK_SLACK_MS = 2 * 60_000;

export interface StoredFact {
  readonly fact: Fact;
  /** False when the same fact was already stored: the answer is the same. */
  readonly isNew: boolean;
}

/** Stores facts in one transaction, each once; announces what changed. */
export async function recordFacts(
  deps: Deps,
  workshopId: string,
  facts: readonly FactInput[],
): Promise<StoredFact[]> {
  for (const f of facts) checkShape(f, deps.nowMs());
  for (const f of facts) if (f.kind === 'coated' && f.supersedes === null) await judgeCoat(deps, f);
  for (const f of facts) if (f.kind === 'route-set') await judgeRoute(deps, f, facts);
  const partIds = [...new Set(facts.map((f) => f.partId))];
  let hasNewSheets = false;
  return write(
    deps,
    async (tx) => {
      const out: StoredFact[] = [];
      for (const f of facts)
        if (f.kind === 'route-set' && (await storeSheets(tx, workshopId, f))) hasNewSheets = true;
      for (const f of facts) out.push(await recordOne(tx, workshopId, f, new Date(deps.nowMs())));
      return out;
    },
    () => ({ topic: hasNewSheets ? 'entities' : 'facts', partIds }),
  );
}

/** The kind's own body, and times that are possible. */
export function checkShape(f: FactInput, nowMs: number): void {
  const schema = FACT_BODIES[f.kind as keyof typeof FACT_BODIES];
  const r = schema.validate(f.body, { abortEarly: false, convert: false });
  if (r.error) {
    const problems = problemsOf(r.error).map((p) => ({ ...p, field: `body.${p.field}` }));
    if (f.kind === 'coated' && problems.some((p) => p.field === 'body.sheetId'))
      throw new AppError('no-product', { problems });
    throw invalidInput(problems);
  }
  for (const field of ['happenedAt', 'endedAt'] as const) {
    const at = f[field];
    if (at !== null && Date.parse(at) > nowMs + CLOCK_SLACK_MS)
      throw new AppError('in-the-future', { field, got: at, now: new Date(nowMs).toISOString() });
  }
  if (f.endedAt !== null && Date.parse(f.endedAt) < Date.parse(f.happenedAt)) {
    throw invalidInput([
      { field: 'endedAt', code: 'before-start', got: f.endedAt, accepts: `not before ${f.happenedAt}` },
    ]);
  }
  if (f.kind === 'voided' && f.supersedes === null)
    throw invalidInput([
      { field: 'supersedes', code: 'any.required', got: null, accepts: 'the entry to void' },
    ]);
}

async function recordOne(tx: Db, workshopId: string, f: FactInput, recordedAt: Date): Promise<StoredFact> {
  const already = await findFact(tx, workshopId, f.factId);
  if (already) return sameOrConflict(already, f);
  const missing = await missingReferences(tx, workshopId, f);
  if (missing.length > 0) throw new AppError('unknown-reference', { fields: missing });
  await checkOrder(tx, workshopId, f);
  await checkMix(tx, workshopId, f);
  if (f.supersedes !== null) await checkCorrection(tx, workshopId, f);
  try {
    await tx.query('savepoint one_fact');
    if (!(await insertFact(tx, workshopId, f, recordedAt)))
      return sameOrConflict((await findFact(tx, workshopId, f.factId))!, f);
  } catch (error) {
    // Two tabs corrected the same entry at once: the unique constraint picks the winner, the loser sees both.
    if (sqlState(error) !== '23505') throw error;
    await tx.query('rollback to savepoint one_fact');
    throw await lostRace(tx, workshopId, f);
  }
  return { fact: (await findFact(tx, workshopId, f.factId))!, isNew: true };
}

function sameOrConflict(stored: Fact, f: FactInput): StoredFact {
  const same =
    stored.kind === f.kind &&
    stored.partId === f.partId &&
    stored.face === f.face &&
    stored.happenedAtMs === Date.parse(f.happenedAt) &&
    stored.endedAtMs === (f.endedAt === null ? null : Date.parse(f.endedAt)) &&
    stored.supersedes === f.supersedes &&
    isDeepStrictEqual(stored.body, f.body);
  if (!same) throw new AppError('fact-conflict', { stored, sent: f });
  return { fact: stored, isNew: false };
}

async function checkCorrection(tx: Db, workshopId: string, f: FactInput): Promise<void> {
  const original = await findFact(tx, workshopId, f.supersedes!);
  if (original?.partId !== f.partId) throw new AppError('unknown-reference', { fields: ['supersedes'] });
  if (f.kind !== 'voided' && f.kind !== original.kind) {
    throw invalidInput([
      { field: 'kind', code: 'any.only', got: f.kind, accepts: `${original.kind} or voided` },
    ]);
  }
  if (await findSuperseding(tx, workshopId, f.supersedes!)) throw await lostRace(tx, workshopId, f);
  const over = original.kind === 'coated' ? await findCoatsOver(tx, workshopId, original.factId) : [];
  if (f.kind === 'voided' && over.length > 0) throw new AppError('contradicts-later', { later: over });
}

async function lostRace(tx: Db, workshopId: string, f: FactInput): Promise<AppError> {
  return new AppError('superseded-already', {
    stored: await findSuperseding(tx, workshopId, f.supersedes!),
    sent: f,
  });
}

/** A coat says which coat it covers, and cannot be earlier. */
async function checkOrder(tx: Db, workshopId: string, f: FactInput): Promise<void> {
  const over = f.body['over'];
  if (f.kind !== 'coated' || typeof over !== 'string') return;
  const covered = await findFact(tx, workshopId, over);
  if (!covered || covered.partId !== f.partId)
    throw new AppError('unknown-reference', { fields: ['body.over'] });
  if (Date.parse(f.happenedAt) < originMs(covered))
    throw new AppError('before-covered', {
      field: 'happenedAt',
      got: f.happenedAt,
      covered: new Date(originMs(covered)).toISOString(),
    });
}

/** A coat cannot be older than the mix it came from, nor of another product. */
async function checkMix(tx: Db, workshopId: string, f: FactInput): Promise<void> {
  const mixId = f.body['mixId'];
  if (f.kind !== 'coated' || typeof mixId !== 'string') return;
  const mixed = await findMixed(tx, workshopId, mixId);
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
async function judgeCoat(deps: Deps, f: FactInput): Promise<void> {
  if (typeof f.body['reason'] === 'string') return;
  const atMs = Math.min(Date.parse(f.happenedAt), deps.nowMs());
  const part = await deps.model.partAt(f.partId, atMs);
  const sheet = part && (await deps.model.shop())?.sheets.get(String(f.body['sheetId']));
  if (!part || !sheet) return;
  const mixId = f.body['mixId'];
  const snapshot = typeof mixId === 'string' ? await deps.model.snapshot() : null;
  const mix = snapshot && shelfNow(snapshot).mixes.find((m) => m.state.fact.body.mixId === mixId);
  for (const face of part.state.faces.filter((x) => f.face === null || x.face === f.face)) {
    // The same entry sent again after a lost answer: its own coat must not refuse it.
    if (face.coats.some((c) => c.factId === f.factId)) continue;
    const refusal = coatVerdict(coatedFace(face), sheet, mix?.clock ?? null, Date.parse(f.happenedAt));
    if (refusal) throw new AppError('coat-refused', { ...refusal });
  }
}
