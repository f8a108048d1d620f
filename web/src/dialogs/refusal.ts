import type { FieldProblem } from '@calvetta/contract';
import { ACT_WORDS, HEADLINE_WORDS, SHUT_REASON_WORDS } from '@calvetta/contract/words';
import { ApiError } from '../api/client.ts';

export function isRefusal(error: unknown): error is ApiError {
  return error instanceof ApiError;
}

/** The problem the server named for a field of the fact's body, in words. */
export function problemAt(error: ApiError | null, field: string): string | null {
  const problems = (error?.body.details['problems'] ?? []) as FieldProblem[];
  const p = problems.find((x) => x.field === field);
  return p ? `${JSON.stringify(p.got)} will not do: ${p.accepts}` : null;
}

/** One sentence on why it was refused, and one on what would make it possible. */
export function refusalWords(error: ApiError): string {
  const { code, details, remedy } = error.body;
  if (code !== 'coat-refused') return remedy;
  const why = String(details['why']);
  if (why === 'held' || why === 'marginal')
    return 'The gates are not a clear pass. If it was done all the same, say why and it is recorded so.';
  if (why === 'mix-gone')
    return 'Refused: that mix is past its pot life and will not cure as it should. Mix afresh; if it was used all the same, say why and it is recorded so.';
  const act = (details['act'] as { code?: keyof typeof ACT_WORDS } | undefined)?.code;
  const words = SHUT_REASON_WORDS[why] ?? HEADLINE_WORDS[why as keyof typeof HEADLINE_WORDS];
  return `Refused: the face is ${words}. Next act: ${act ? ACT_WORDS[act].toLowerCase() : 'see Why?'}. If it was done all the same, say why and it is recorded so.`;
}
