import { createHash } from 'node:crypto';
import session from 'express-session';
import { DAY_MS, HOUR_MS } from '@calvetta/core';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { write } from '../write.ts';

declare module 'express-session' {
  interface SessionData {
    workshopId: string;
    personId: string | null;
    tabletId: string | null;
    /** What a person's pin has just been given for, on a tablet. */
    act: { readonly personId: string; readonly bodySha256: string; readonly untilMs: number } | null;
  }
}

/** Without a hand's doing a person is out after so long, a shop's tablet after a month; whatever happens, both after half a year. */
const IDLE_MS = 12 * HOUR_MS;
const TABLET_IDLE_MS = 30 * DAY_MS;
export const LONGEST_MS = 180 * DAY_MS;

export const sidHash = (sid: string): string => createHash('sha256').update(sid).digest('hex');

/** A row of it, for the last statement of a request that ended some. */
export const endSessions = async (db: Db, where: 'person_id' | 'tablet_id', id: string): Promise<string[]> =>
  (
    await db.query<{ sid: string }>(`delete from session where ${where} = $1 returning sid_sha256 as sid`, [
      id,
    ])
  ).rows.map((r) => r.sid);

/** Sessions in the database under the hash of their ids: whoever reads the table, or a copy of it, can be nobody with what stands there. */
export class SessionStore extends session.Store {
  private readonly db: Db;
  private readonly nowMs: () => number;
  constructor(db: Db, nowMs: () => number) {
    super();
    this.db = db;
    this.nowMs = nowMs;
  }

  override get(sid: string, done: (error: unknown, found?: session.SessionData | null) => void): void {
    this.find(sid).then((found) => done(null, found), done);
  }
  private async find(sid: string): Promise<session.SessionData | null> {
    const { rows } = await this.db.query<{ body: session.SessionData; acted: number; made: number }>(
      `select body, (extract(epoch from acted_at) * 1000)::float8 as acted, (extract(epoch from made_at) * 1000)::float8 as made
         from session where sid_sha256 = $1`,
      [sidHash(sid)],
    );
    const r = rows[0];
    if (!r) return null;
    const idleMs = r.body.tabletId === null ? IDLE_MS : TABLET_IDLE_MS;
    const isOver = this.nowMs() > r.acted + idleMs || this.nowMs() > r.made + LONGEST_MS;
    return isOver ? null : r.body;
  }

  override set(sid: string, data: session.SessionData, done?: (error?: unknown) => void): void {
    this.db
      .query(
        `insert into session (sid_sha256, workshop_id, person_id, tablet_id, body, made_at, acted_at) values ($1, $2, $3, $4, $5, $6, $6)
         on conflict (sid_sha256) do update set body = excluded.body`,
        [
          sidHash(sid),
          data.workshopId,
          data.personId,
          data.tabletId,
          JSON.stringify(data),
          new Date(this.nowMs()),
        ],
      )
      .then(
        () => done?.(),
        (error: unknown) => done?.(error),
      );
  }
  override destroy(sid: string, done?: (error?: unknown) => void): void {
    this.db.query('delete from session where sid_sha256 = $1', [sidHash(sid)]).then(
      () => done?.(),
      (error: unknown) => done?.(error),
    );
  }
  /** Called at the end of every request; only what a hand does keeps a session, see `acted`. */
  override touch(_sid: string, _data: session.SessionData, done?: () => void): void {
    done?.();
  }
  /** A hand did something. Once a minute is enough to know. */
  async acted(sid: string): Promise<void> {
    await this.db.query(
      `update session set acted_at = $2 where sid_sha256 = $1 and acted_at < $2::timestamptz - interval '1 minute'`,
      [sidHash(sid), new Date(this.nowMs())],
    );
  }
}

/** Takes those out that are over, and closes what hangs on them. */
export async function sweepSessions(deps: Deps): Promise<void> {
  const before = [LONGEST_MS, IDLE_MS, TABLET_IDLE_MS].map((ms) => new Date(deps.nowMs() - ms));
  const sweep = async (tx: Db): Promise<string[]> => {
    const { rows } = await tx.query<{ sid: string }>(
      `delete from session where made_at < $1 or (tablet_id is null and acted_at < $2) or acted_at < $3
       returning sid_sha256 as sid`,
      before,
    );
    return rows.map((r) => r.sid);
  };
  await write(deps, sweep, (ends) => (ends.length > 0 ? { topic: 'door', ends } : null));
}
