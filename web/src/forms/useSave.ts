import { useState } from 'react';
import { Refused } from '../api/client.ts';
import { NobodyNamed } from '../state/who.ts';
import { problemAt, refusalWords } from '../record/refusal.ts';

export interface Save {
  readonly isBusy: boolean;
  /** What the server refused, as it said it; null while nothing was. */
  readonly refused: Refused | null;
  /** One sentence for the form; null when nothing went wrong. */
  readonly trouble: string | null;
  /** What the server said of one field, in words. */
  readonly problemAt: (field: string) => string | null;
  readonly clear: () => void;
  /** Runs what stores; `done` only when it was stored or waits here. A second touch while it runs does nothing. */
  readonly run: (work: () => Promise<unknown>, done?: () => void) => void;
}

const NOT_STORED = 'It could not be stored; it is still here. Try again.';

/** Stores a form once, and keeps what went wrong with it beside it: nothing typed is lost. */
export function useSave(): Save {
  const [isBusy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const refused = error instanceof Refused ? error : null;
  return {
    isBusy,
    refused,
    trouble:
      error === null
        ? null
        : refused
          ? refusalWords(refused)
          : error instanceof NobodyNamed
            ? 'Say who did it; nothing was stored.'
            : NOT_STORED,
    problemAt: (field) => problemAt(refused, field),
    clear: () => setError(null),
    run: (work, done) => {
      if (isBusy) return;
      setBusy(true);
      setError(null);
      work()
        .then(done, (e: unknown) => setError(e ?? new Error('refused without a reason')))
        .finally(() => setBusy(false));
    },
  };
}
