import type { RequestHandler } from 'express';
import { invalidInput } from './errors.ts';

/** What a body may be at most, before anything looks at what it says. */
export interface Bounds {
  readonly depth: number;
  /** Longest list. */
  readonly list: number;
  /** Longest text. */
  readonly text: number;
}
export const PLAIN: Bounds = { depth: 20, list: 2_000, text: 20_000 };
/** A whole shop in one file. */
export const WHOLE_SHOP: Bounds = { depth: 20, list: 300_000, text: 200_000 };

/** A surrogate without its other half. */
const HALF = /\p{Surrogate}/u;

/** Why a text cannot be kept: a database holds neither U+0000 nor half a character. Null: it can. */
export const textProblem = (text: string): string | null =>
  text.includes('\u0000') ? 'no zero character' : HALF.test(text) ? 'whole characters only' : null;

interface Found {
  /** Values in it, itself among them. */
  readonly count: number;
  readonly problem: { readonly field: string; readonly got: unknown; readonly accepts: string } | null;
}

/** Walks a parsed body once, without recursion, and stops at the first thing that is out of bounds. */
export function lookThrough(body: unknown, bounds: Bounds): Found {
  const stack: { value: unknown; field: string; depth: number }[] = [{ value: body, field: '', depth: 0 }];
  let count = 0;
  for (let at = stack.pop(); at; at = stack.pop()) {
    count += 1;
    const { value, field, depth } = at;
    const bad = (got: unknown, accepts: string): Found => ({ count, problem: { field, got, accepts } });
    if (typeof value === 'string') {
      const why = value.length > bounds.text ? `at most ${bounds.text} characters` : textProblem(value);
      if (why !== null) return bad(null, why);
    }
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= bounds.depth) return bad(null, `nothing deeper than ${bounds.depth}`);
    if (Array.isArray(value) && value.length > bounds.list)
      return bad(value.length, `at most ${bounds.list} in a list`);
    const within = field === '' ? '' : `${field}.`;
    for (const [key, inner] of Object.entries(value)) {
      if (textProblem(key) !== null) return bad(null, 'names of whole characters');
      stack.push({ value: inner, field: `${within}${key.slice(0, 60)}`, depth: depth + 1 });
    }
  }
  return { count, problem: null };
}

/** Refuses a body that is out of bounds, before any schema is asked: a million empty objects cost a walk, not a minute. */
export const inBounds =
  (bounds: Bounds): RequestHandler =>
  (req, _res, next) => {
    const { problem } = lookThrough(req.body, bounds);
    if (problem) throw invalidInput([{ code: 'bounds', ...problem }]);
    next();
  };
