import { createHash } from 'node:crypto';
import { Router } from 'express';
import {
  findingsOf,
  isOpenFinding,
  ofKind,
  signedText,
  standingFacts,
  toSign,
  workedOn,
  type Fact,
  type StockFact,
} from '@calvetta/core';
import type { ErrorData, ToSign } from '@calvetta/contract';
import { signOffInput, withdrawInput, type SignOffInput } from '@calvetta/contract/schemas';
import { accountOf } from '../door/accounts.sql.ts';
import { isPhrase } from '../door/phrases.ts';
import { maybeWho, needPerson, whoOf, type Who } from '../door/who.ts';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop, needSnapshot } from '../shop/needShop.ts';
import { write } from '../write.ts';
import { signedHead } from './keepHeads.ts';
import { checkEntry, recordEntry } from './ledger.ts';
import { findEntry, lastSeq, listFacts, listStock, type EntryInput } from './ledger.sql.ts';
import { lockFor } from './locks.ts';

export function signOffRoutes(deps: Deps): Router {
  const router = Router();
  /** What a signature would stand for, of one part or of every part of a machine that is in use. */
  router.get('/to-sign', async (req, res) => {
    const { shop, parts } = await needSnapshot(deps);
    const { part: partId, machine: machineId } = req.query;
    if ((typeof partId === 'string') === (typeof machineId === 'string'))
      throw invalidInput([
        { field: 'part', code: 'any.only', got: null, accepts: 'a part, or a machine: one of them' },
      ]);
    const meant = [...parts.values()].filter(
      ({ row }) => row.partId === partId || (row.machineId === machineId && !row.isAway),
    );
    if (meant.length === 0)
      throw new AppError('not-found', { what: typeof partId === 'string' ? 'part' : 'machine' });
    const personId = maybeWho(req)?.personId ?? null;
    res.json(meant.map((p): ToSign => toSignView(p.row, p.facts, shop.stock, personId)));
  });

  router.post('/sign-offs', async (req, res) => {
    const sent = valid(signOffInput, req.body);
    const who = whoOf(req);
    if (who.isOpen) throw new AppError('no-owner', {});
    needPerson(who, 'inspector');
    const { workshopId } = (await needShop(deps)).workshop;
    await checkPhrase(deps, workshopId, who, sent.phrase, req.ip ?? '');
    const done = await sign(deps, workshopId, { ...who, how: 'phrase' }, sent);
    await signedHead(deps, workshopId, true);
    res.status(201).json(done);
  });
  router.post('/sign-offs/:factId/withdrawal', async (req, res) => {
    const { factId, reason, deviceId } = valid(withdrawInput, req.body);
    const who = whoOf(req);
    if (who.isOpen) throw new AppError('no-owner', {});
    const { workshopId } = (await needShop(deps)).workshop;
    const signed = UUID.test(req.params.factId)
      ? await findEntry(deps.db, workshopId, req.params.factId)
      : null;
    if (signed?.kind !== 'signed-off')
      throw new AppError('not-found', { what: 'entry', id: req.params.factId });
    const { partId } = signed;
    const at = new Date(deps.nowMs());
    const entry = { ...entryOf(who, { factId, partId, deviceId }, at, { reason }), kind: 'voided' as const };
    const store = async (tx: Db) => {
      const taking = checkEntry({ ...entry, supersedes: signed.factId }, deps.nowMs());
      await lockFor(tx, workshopId, [taking]);
      // Whoever only looks otherwise may still take back what is theirs.
      const asHand = { ...who, role: who.role === 'viewer' ? ('hand' as const) : who.role };
      const { fact } = await recordEntry(tx, workshopId, taking, at, {}, asHand);
      return { fact, seq: await lastSeq(tx, workshopId, [fact.factId]) };
    };
    const done = await write(deps, store, ({ seq }) => ({
      topic: 'facts',
      partIds: [partId],
      ...(seq === null ? {} : { seq }),
    }));
    res.status(201).json(done);
  });
  return router;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
type Covered = ReturnType<typeof toSign>;
const idsOf = (covered: Covered): string[] =>
  [...covered.facts, ...covered.stock].map((e) => e.factId).sort();

function toSignView(
  row: { readonly partId: string; readonly name: string },
  facts: readonly Fact[],
  stock: readonly StockFact[],
  personId: string | null,
): ToSign {
  const covered = toSign(facts, stock);
  const standing = standingFacts(facts);
  return {
    partId: row.partId,
    name: row.name,
    facts: covered.facts.map((f) => f.factId),
    stock: covered.stock.map((f) => f.factId),
    sha256: sha256(signedText(covered)),
    openFindings: findingsOf(standing).filter(isOpenFinding).length,
    coats: ofKind(standing, 'coated').length,
    lastAtMs: standing.at(-1)?.happenedAtMs ?? null,
    isOwnWork: personId !== null && workedOn(facts, personId),
  };
}

/** The phrase, asked for this one act; wrong ones count as at the door. */
async function checkPhrase(
  deps: Deps,
  workshopId: string,
  who: Who,
  phrase: string,
  address: string,
): Promise<void> {
  const { tries } = deps.door;
  await tries.before(who.personId!, address);
  const account = await accountOf(deps.db, workshopId, who.personId!);
  if (!(await isPhrase(account?.phraseHash ?? null, phrase))) {
    tries.missed(who.personId!, address);
    throw new AppError('bad-phrase', {});
  }
  tries.passed(who.personId!, address);
}

/** An entry of the inspector's own, about a whole part. */
const entryOf = (
  who: Who,
  of: { readonly factId: string; readonly partId: string; readonly deviceId: string },
  at: Date,
  body: object,
): EntryInput => ({
  factId: of.factId,
  kind: 'signed-off',
  partId: of.partId,
  face: null,
  happenedAt: at.toISOString(),
  endedAt: null,
  personId: who.personId!,
  deviceId: of.deviceId,
  supersedes: null,
  body: body as EntryInput['body'],
  evidence: null,
});

/** Every part in one act, all or nothing, each against what stands once it is held. */
async function sign(
  deps: Deps,
  workshopId: string,
  who: Who,
  sent: SignOffInput,
): Promise<{ readonly facts: readonly Fact[]; readonly seq: number | null }> {
  const { parts, deviceId, scope, words, standard, registration, workOrder, approvedData } = sent;
  const given = { standard, registration, workOrder, approvedData };
  const said = {
    scope,
    words,
    ...Object.fromEntries(Object.entries(given).filter(([, text]) => text !== undefined)),
  };
  const at = new Date(deps.nowMs());
  const entry = (p: SignOffInput['parts'][number], body: object): EntryInput =>
    entryOf(who, { ...p, deviceId }, at, body);
  const store = async (tx: Db) => {
    const held = parts.map((p) => entry(p, {}));
    await lockFor(tx, workshopId, held);
    const all = await listFacts(
      tx,
      workshopId,
      parts.map((p) => p.partId),
    );
    const stock = await listStock(tx, workshopId);
    const out: Fact[] = [];
    const changed: ErrorData['signed-changed']['parts'][number][] = [];
    const own: string[] = [];
    for (const p of parts) {
      const again = await findEntry(tx, workshopId, p.factId);
      if (again) {
        out.push(again as Fact);
        continue;
      }
      const facts = all.filter((f) => f.partId === p.partId);
      const covered = toSign(facts, stock);
      const [now, shown] = [idsOf(covered), [...p.facts, ...p.stock].sort()];
      const differ = [...now.filter((id) => !shown.includes(id)), ...shown.filter((id) => !now.includes(id))];
      if (differ.length > 0) changed.push({ partId: p.partId, factIds: differ.slice(0, 50) });
      if (workedOn(facts, who.personId!)) own.push(p.partId);
      const body = {
        ...said,
        facts: p.facts,
        stock: p.stock,
        sha256: sha256(signedText(covered)),
        openFindings: findingsOf(standingFacts(facts)).filter(isOpenFinding).length,
      };
      const e = checkEntry(entry(p, body), deps.nowMs());
      if (changed.length > 0 || own.length > 0) continue;
      out.push((await recordEntry(tx, workshopId, e, at, {}, who)).fact as Fact);
    }
    if (own.length > 0) throw new AppError('own-work', { partIds: own });
    if (changed.length > 0) throw new AppError('signed-changed', { parts: changed });
    return {
      facts: out,
      seq: await lastSeq(
        tx,
        workshopId,
        out.map((f) => f.factId),
      ),
    };
  };
  return write(deps, store, ({ seq }) => ({
    topic: 'facts',
    partIds: parts.map((p) => p.partId),
    ...(seq === null ? {} : { seq }),
  }));
}
