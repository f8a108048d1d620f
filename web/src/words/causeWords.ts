import type { FaultId } from '@calvetta/core';
import { CAUSE_WORDS } from '@calvetta/contract/words';

interface CauseWords {
  readonly is: string;
  readonly next: string;
}
/** What a cause is, and what keeps it from coming again. */
export const causeWords = (fault: FaultId, causeId: string): CauseWords =>
  (CAUSE_WORDS[fault] as Readonly<Record<string, CauseWords>>)[causeId]!;
