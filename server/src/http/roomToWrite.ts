import type { RequestHandler } from 'express';
import { AppError } from './errors.ts';

/** Below this PostgreSQL itself may go down, and reads with it: writes are held back before. */
const HEADROOM_BYTES = 300_000_000;
/** The disk is asked at most this often. */
const ASK_MS = 2_000;

/** Holds writes back while the disk that the database is on is nearly full; reading goes on. `freeBytes` null: not known here. */
export function roomToWrite(freeBytes: () => Promise<number | null>, nowMs: () => number): RequestHandler {
  let asked: { readonly atMs: number; readonly free: Promise<number | null> } | null = null;
  return async (req, _res, next) => {
    if (req.method !== 'GET' && req.method !== 'HEAD') {
      const now = nowMs();
      if (!asked || Math.abs(now - asked.atMs) > ASK_MS)
        asked = { atMs: now, free: freeBytes().catch(() => null) };
      const free = await asked.free;
      if (free !== null && free < HEADROOM_BYTES) throw new AppError('busy', {});
    }
    next();
  };
}
