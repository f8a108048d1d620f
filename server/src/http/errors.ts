import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import type { ErrorBody, ErrorCode, ErrorData, FieldProblem } from '@calvetta/contract';
import { ERROR_REMEDIES } from '@calvetta/contract/words';
import { isBusy, isDatabaseAway, isDataFault } from '../db/db.ts';

const STATUS: Readonly<Record<ErrorCode, number>> = {
  'invalid-input': 400,
  'not-found': 404,
  'version-conflict': 409,
  'fact-conflict': 409,
  'superseded-already': 409,
  'in-the-future': 422,
  'before-covered': 422,
  'no-product': 422,
  'coat-refused': 422,
  'route-refused': 422,
  'route-unsafe': 422,
  'unknown-reference': 422,
  'contradicts-later': 422,
  'closed-already': 409,
  'finding-holds': 422,
  'bad-token': 401,
  'rate-limited': 429,
  'too-large': 413,
  misdirected: 421,
  'foreign-page': 403,
  'content-type': 415,
  'no-owner': 409,
  'sign-in': 401,
  'bad-phrase': 401,
  'bad-invite': 410,
  'too-many-tries': 429,
  'not-allowed': 403,
  'last-owner': 422,
  'signed-changed': 409,
  'own-work': 422,
  'comes-in': 422,
  busy: 503,
  'working-out': 503,
  'database-away': 503,
  'import-unreadable': 422,
  internal: 500,
};

/** A refusal with a code from the one catalogue, and what belongs to it. */
export class AppError<C extends ErrorCode = ErrorCode> extends Error {
  readonly code: C;
  readonly details: ErrorData[C];
  constructor(code: C, details: ErrorData[C]) {
    super(code);
    this.code = code;
    this.details = details;
  }
}

export function invalidInput(problems: readonly FieldProblem[]): AppError {
  return new AppError('invalid-input', { problems });
}

/** Code and data of one refusal belong together: both come from one `AppError` or stand side by side here. */
const bodyOf = <C extends ErrorCode>(code: C, details: ErrorData[C]): ErrorBody =>
  ({ code, details, remedy: ERROR_REMEDIES[code] }) as ErrorBody;

/** Any thrown thing as the one error body. No stack trace leaves the server. */
export function errorBody(error: unknown): ErrorBody {
  if (error instanceof AppError) return bodyOf(error.code, error.details);
  if (isDatabaseAway(error)) return bodyOf('database-away', {});
  if (isBusy(error)) return bodyOf('busy', {});
  if (isDataFault(error))
    return bodyOf('invalid-input', {
      problems: [
        { field: '', code: 'data', got: null, accepts: 'figures and texts that a database can hold' },
      ],
    });
  const type = error instanceof Error && 'type' in error ? String(error.type) : '';
  if (type === 'entity.too.large') return bodyOf('too-large', {});
  // What Express and its parsers could not read: a body that is no JSON, an address that is no UTF-8, an odd encoding.
  const status = error instanceof Error && 'status' in error ? Number(error.status) : 500;
  if (status >= 400 && status < 500)
    return bodyOf('invalid-input', {
      problems: [
        { field: '', code: type || 'request', got: null, accepts: 'a JSON body at an address in UTF-8' },
      ],
    });
  return bodyOf('internal', {});
}

/** Mounted after all routes: before them Express never reaches it. */
export function errorHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    const body = errorBody(error);
    if (body.code === 'internal') log.error({ err: error, path: req.path }, 'internal error');
    if (res.headersSent) {
      next(error);
      return;
    }
    if (['database-away', 'rate-limited', 'busy'].includes(body.code)) res.set('Retry-After', '2');
    if (body.code === 'working-out') res.set('Retry-After', '1');
    res.status(STATUS[body.code]).json(body);
  };
}
