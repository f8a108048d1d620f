import type { FieldProblem } from '@calvetta/contract';
import { coatRefusalWords } from '@calvetta/contract/words';
import { Refused } from '../api/client.ts';

export function isRefusal(error: unknown): error is Refused {
  return error instanceof Refused;
}

/** Every problem the server named, by field. */
export const problemsOf = (error: Refused | null): readonly FieldProblem[] =>
  error?.body.code === 'invalid-input' || error?.body.code === 'no-product'
    ? error.body.details.problems
    : [];

/** The problem the server named for a field of the fact's body, in words. */
export function problemAt(error: Refused | null, field: string): string | null {
  const p = problemsOf(error).find((x) => x.field === field);
  return p ? `${JSON.stringify(p.got)} will not do: ${p.accepts}` : null;
}

/** One sentence on why it was refused, and one on what would make it possible. */
export const refusalWords = (error: Refused): string =>
  error.body.code === 'coat-refused' ? `Refused: ${coatRefusalWords(error.body.details)}` : error.body.remedy;

/** What a server that said no would accept; for anything else the page's own words. */
export const refusedWords = (error: unknown, otherwise: string): string =>
  error instanceof Refused ? refusalWords(error) : otherwise;
