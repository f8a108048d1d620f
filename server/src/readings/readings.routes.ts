import { Router } from 'express';
import { DAY_MS } from '@calvetta/core';
import { handReadingInput, readingsInput } from '@calvetta/contract/schemas';
import type { ReadingInput } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { write } from '../write.ts';
import { needShop } from '../shop/needShop.ts';
import { createRateLimiter } from './rateLimit.ts';
import { findProbe, setToken, insertReadings, type ReadingRow } from './readings.sql.ts';
import { isToken, newToken, sha256 } from './tokens.ts';

const FUTURE_SLACK_MS = 2 * 60_000;

function checkTimes(readings: readonly ReadingInput[], nowMs: number): void {
  const late = readings.findIndex((r) => Date.parse(r.at) > nowMs + FUTURE_SLACK_MS);
  if (late >= 0)
    throw new AppError('in-the-future', {
      field: `readings.${late}.at`,
      got: readings[late]!.at,
      now: new Date(nowMs).toISOString(),
    });
}

export function toRow(r: ReadingInput, probeId: string, placeId: string, byHand: boolean): ReadingRow {
  return {
    probeId,
    placeId,
    atMs: Date.parse(r.at),
    airC: r.airC,
    rhPct: r.rhPct,
    surfaceC: r.surfaceC ?? null,
    byHand,
  };
}

/** What was read before today is kept as it was (`model/airCache.ts`): one that comes so late is said to have. */
const isOld = (r: ReadingRow, nowMs: number): boolean => r.atMs < nowMs - DAY_MS;

export function readingsRoutes(deps: Deps): Router {
  const router = Router();
  const limiter = createRateLimiter(30, 5);

  /** What a real probe posts: `Authorization: Bearer <token>` and a batch of readings. */
  router.post('/readings', async (req, res) => {
    const probeId = typeof req.query['probe'] === 'string' ? req.query['probe'] : '';
    const { workshopId } = (await needShop(deps)).workshop;
    const probe = await findProbe(deps.db, workshopId, probeId);
    const token = /^Bearer (.+)$/.exec(req.get('authorization') ?? '')?.[1] ?? '';
    // The token first: a stranger neither silences a probe by using up its turns nor fills the memory with names.
    if (!probe || !isToken(probe.tokenSha256, token)) throw new AppError('bad-token', { probeId });
    if (!limiter.take(probeId, deps.nowMs())) throw new AppError('rate-limited', { probeId, perSecond: 5 });
    const { readings } = valid(readingsInput, req.body);
    checkTimes(readings, deps.nowMs());
    const rows = readings.map((r) => toRow(r, probe.probeId, probe.placeId, false));
    const stored = await write(
      deps,
      (tx) => insertReadings(tx, workshopId, rows),
      (n) =>
        n > 0
          ? { topic: 'readings', placeIds: [probe.placeId], isPast: rows.some((r) => isOld(r, deps.nowMs())) }
          : null,
    );
    res.status(stored > 0 ? 201 : 200).json({ stored, known: rows.length - stored });
  });

  /** A new token for a probe, shown this once: the one before is worth nothing any more. */
  router.post('/probes/:probeId/token', async (req, res) => {
    const { workshopId } = (await needShop(deps)).workshop;
    const { probeId } = req.params;
    const token = newToken();
    if (!(await setToken(deps.db, workshopId, probeId, sha256(token))))
      throw new AppError('not-found', { what: 'probe', id: probeId });
    res.set('Cache-Control', 'no-store').status(201).json({ probeId, token });
  });

  /** A person's hygrometer, typed in for a place. */
  router.post('/places/:placeId/readings', async (req, res) => {
    const shop = await needShop(deps);
    const place = shop.places.find((p) => p.placeId === req.params.placeId);
    if (!place) throw new AppError('not-found', { what: 'place', id: req.params.placeId });
    const reading = valid(handReadingInput, { ...(req.body as object), placeId: place.placeId });
    if (Date.parse(reading.at) > deps.nowMs() + FUTURE_SLACK_MS)
      throw new AppError('in-the-future', {
        field: 'at',
        got: reading.at,
        now: new Date(deps.nowMs()).toISOString(),
      });
    const row = toRow(reading, `hand:${place.placeId}`, place.placeId, true);
    const stored = await write(deps, (tx) => insertReadings(tx, shop.workshop.workshopId, [row]), {
      topic: 'readings',
      placeIds: [place.placeId],
      isByHand: true,
      isPast: isOld(row, deps.nowMs()),
    });
    res.status(stored > 0 ? 201 : 200).json({ stored });
  });
  return router;
}
