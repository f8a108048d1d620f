import { useQueryClient } from '@tanstack/react-query';
import { KEPT_LONG } from '../api/keys.ts';
import { refreshDerived } from '../api/queries.ts';
import { useNotices, type Notice } from '../state/notices.ts';
import { record, type Outcome } from './outbox.ts';
import type { Write } from './write.ts';

/**
 * Sends a write and says what became of it: stored, or waiting on this device until the server answers. Everything that may
 * hang on it is asked for again. Throws `Refused` only.
 */
export function useSend(): (write: Write, said: string, action?: Notice['action']) => Promise<Outcome> {
  const client = useQueryClient();
  const say = useNotices((s) => s.say);
  return async (write, said, action) => {
    const outcome = await record(write);
    const isStored = outcome.kind === 'stored';
    say({
      tone: isStored ? 'done' : 'trouble',
      text: isStored ? said : `${said}. Calvetta does not answer; it waits here and is sent again by itself.`,
      ...(isStored && action ? { action } : {}),
    });
    refreshDerived(client);
    const first = write.path.split('/')[1];
    for (const key of KEPT_LONG) if (key === first) void client.invalidateQueries({ queryKey: [key] });
    return outcome;
  };
}
