import { useQueryClient } from '@tanstack/react-query';
import { staleAfter } from '../api/keys.ts';
import { refreshDerived } from '../api/queries.ts';
import { useNotices, type Notice } from '../state/notices.ts';
import { record, type Outcome } from './outbox.ts';
import type { Write } from './write.ts';

/** What is said of a write; where that hangs on the answer (null: none yet), with what undoes it. */
type Said = string | ((answer: unknown) => { readonly text: string; readonly undo?: Notice['action'] });

/**
 * Sends a write and says what became of it: stored, or waiting on this device until the server answers. Everything that may
 * hang on it is asked for again. Throws `Refused` only.
 */
export function useSend(): (write: Write, said: Said, action?: Notice['action']) => Promise<Outcome> {
  const client = useQueryClient();
  const say = useNotices((s) => s.say);
  return async (write, said, action) => {
    const outcome = await record(write);
    const isStored = outcome.kind === 'stored';
    const { text, undo = action } =
      typeof said === 'string' ? { text: said } : said(isStored ? outcome.answer : null);
    say({
      tone: isStored ? 'done' : 'trouble',
      text: isStored ? text : `${text}. Calvetta does not answer; it waits here and is sent again by itself.`,
      ...(isStored && undo ? { action: undo } : {}),
    });
    refreshDerived(client);
    for (const key of staleAfter(write.path)) void client.invalidateQueries({ queryKey: [key] });
    return outcome;
  };
}
