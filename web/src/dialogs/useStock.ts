import { useQueryClient } from '@tanstack/react-query';
import type { StockBodies, StockKind } from '@calvetta/core';
import type { StockFactInput } from '@calvetta/contract';
import { STOCK_WORDS } from '@calvetta/contract/words';
import { refreshDerived, useShop } from '../api/queries.ts';
import { useNotices } from '../state/notices.ts';
import { sendOrKeep } from '../state/outbox.ts';
import { usePrefs } from '../state/prefs.ts';
import { newId } from '../ui/newId.ts';
import { isRefusal } from './refusal.ts';

export interface StockDraft<K extends StockKind = StockKind> {
  readonly kind: K;
  readonly about: string;
  readonly body: StockBodies[K];
  readonly supersedes?: string;
  /** When it happened, where that is not now: a correction keeps the time of what it corrects. */
  readonly happenedMs?: number;
}

/** Records what happened to stock under a UUID of this device: sent, or kept here until the server answers. Says so, with an undo. */
export function useStock(): <K extends StockKind>(draft: StockDraft<K>) => Promise<void> {
  const client = useQueryClient();
  const shop = useShop();
  const say = useNotices((s) => s.say);
  const { personId, deviceId } = usePrefs();
  const record = async <K extends StockKind>(draft: StockDraft<K>): Promise<void> => {
    const fact: StockFactInput = {
      factId: newId(),
      kind: draft.kind,
      happenedAt: (draft.happenedMs === undefined ? new Date() : new Date(draft.happenedMs)).toISOString(),
      personId: personId ?? shop.data?.people[0]?.personId ?? '',
      deviceId,
      supersedes: draft.supersedes ?? null,
      body: draft.body,
    };
    const isStored = await sendOrKeep(fact);
    const undo = (): void =>
      void record({ kind: 'stock-voided', about: draft.about, supersedes: fact.factId, body: {} }).catch(
        (error: unknown) =>
          say({ tone: 'trouble', text: isRefusal(error) ? error.body.remedy : 'Could not be undone.' }),
      );
    const word = draft.kind === 'stock-voided' ? 'Undone' : STOCK_WORDS[draft.kind];
    say({
      tone: isStored ? 'done' : 'trouble',
      text: isStored
        ? `${word}: ${draft.about}`
        : `${word}: ${draft.about}. Calvetta does not answer; it waits here and is sent again by itself.`,
      ...(draft.kind === 'stock-voided' || !isStored ? {} : { action: { label: 'Undo', run: undo } }),
    });
    refreshDerived(client);
  };
  return record;
}
