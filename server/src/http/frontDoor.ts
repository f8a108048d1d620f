import { isIP } from 'node:net';
import type { Request, RequestHandler } from 'express';
import { textProblem } from './bounds.ts';
import { AppError, invalidInput } from './errors.ts';

/** Sent with every write by whoever writes on purpose: a page of somebody else's cannot, without asking first. */
export const WRITE_HEADER = 'x-calvetta';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The name or address that was asked for, without its port. */
function hostOf(req: Request): string {
  const host = req.headers.host ?? '';
  const m = /^(\[[0-9a-fA-F:.]+\]|[^:]*)(?::\d+)?$/.exec(host);
  return (m?.[1] ?? '').replace(/^\[|\]$/g, '').toLowerCase();
}

/**
 * Who may come in at all. A page on another site must neither read (a name of its own that points here: DNS rebinding) nor write
 * (a form, a plain-text post). So: only hosts that are ours, writes only from our own pages or with our header, only in the
 * types that a route takes. `publicOrigin` is where a proxy shows it, such as https://shed.example; null without one.
 */
export function frontDoor(publicOrigin: string | null): RequestHandler {
  const own = publicOrigin === null ? null : new URL(publicOrigin);
  return (req, _res, next) => {
    const host = hostOf(req);
    if (host !== 'localhost' && isIP(host) === 0 && host !== own?.hostname.toLowerCase())
      throw new AppError('misdirected', { host });
    checkAddress(req.originalUrl);
    if (!READS.has(req.method)) checkWriter(req, own);
    next();
  };
}

/** An address is UTF-8 of whole characters, as everything that may be looked up in a database must be. */
function checkAddress(url: string): void {
  const bad = (accepts: string): AppError =>
    invalidInput([{ field: 'address', code: 'text', got: url.slice(0, 80), accepts }]);
  let text: string;
  try {
    text = decodeURIComponent(url);
  } catch {
    throw bad('an address in UTF-8');
  }
  const why = textProblem(text);
  if (why !== null) throw bad(why);
}

/**
 * A browser says where a write comes from, and only our own pages may say here. Whoever says nothing is no page; it shows that it
 * means it by our header, or is a probe with a token of its own.
 */
function checkWriter(req: Request, own: URL | null): void {
  const origin = req.get('origin');
  const host = req.headers.host ?? '';
  if (origin !== undefined) {
    if (![`http://${host}`, `https://${host}`, own?.origin].includes(origin))
      throw new AppError('foreign-page', { origin });
    return;
  }
  if (req.get(WRITE_HEADER) === undefined && !/^Bearer ./.test(req.get('authorization') ?? ''))
    throw new AppError('foreign-page', { header: WRITE_HEADER });
}

/** Writes come as JSON; routes, below where it is mounted, that take something else as well or in its place are named with it. */
export function contentTypes(also: Readonly<Record<string, readonly string[]>>): RequestHandler {
  return (req, _res, next) => {
    if (READS.has(req.method) || req.method === 'DELETE') {
      next();
      return;
    }
    const got = (req.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
    const accepts = also[req.path] ?? ['application/json'];
    if (!accepts.includes(got)) throw new AppError('content-type', { got, accepts });
    next();
  };
}
