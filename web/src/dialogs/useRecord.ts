import { useQueryClient } from '@tanstack/react-query';
import type { Face, FactKind } from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import { FACT_WORDS } from '@calvetta/contract/words';
import { refreshDerived, useShop } from '../api/queries.ts';
import { useNotices } from '../state/notices.ts';
import { sendOrKeep } from '../state/outbox.ts';
import { usePrefs } from '../state/prefs.ts';
import { newId } from '../ui/newId.ts';
import { isRefusal } from './refusal.ts';

export interface FactDraft {
  readonly kind: FactKind;
  readonly partId: string;
  readonly partName: string;
  readonly face: Face | null;
  readonly happenedMs: number;
  readonly endedMs: number | null;
  readonly supersedes?: string;
  readonly body: Record<string, unknown>;
  readonly evidence?: Record<string, unknown>;
}

/**
 * Records a fact under a UUID of this device: sent, or kept here until the server answers. Says so, with an undo.
 * Throws only what the server refused.
 */
export function useRecord(): (draft: FactDraft) => Promise<void> {
  const client = useQueryClient();
  const shop = useShop();
  const say = useNotices((s) => s.say);
  const { personId, deviceId } = usePrefs();
  const record = async (draft: FactDraft): Promise<void> => {
    const fact: FactInput = {
      factId: newId(),
      kind: draft.kind,
      partId: draft.partId,
      face: draft.face,
      happenedAt: new Date(draft.happenedMs).toISOString(),
      endedAt: draft.endedMs === null ? null : new Date(draft.endedMs).toISOString(),
      personId: personId ?? shop.data?.people[0]?.personId ?? '',
      deviceId,
      supersedes: draft.supersedes ?? null,
      body: draft.body,
      evidence: draft.evidence ?? null,
    };
    const isStored = await sendOrKeep(fact);
    const word =
      draft.kind === 'voided'
        ? 'Undone'
        : draft.supersedes
          ? `${FACT_WORDS[draft.kind]}: corrected`
          : FACT_WORDS[draft.kind];
    const undo = (): void =>
      void record({
        ...draft,
        kind: 'voided',
        supersedes: fact.factId,
        happenedMs: Date.now(),
        endedMs: null,
        body: {},
      }).catch((error: unknown) =>
        say({ tone: 'trouble', text: isRefusal(error) ? error.body.remedy : 'Could not be undone.' }),
      );
    say({
      tone: isStored ? 'done' : 'trouble',
      text: isStored
        ? `${word}: ${draft.partName}`
        : `${word}: ${draft.partName}. Calvetta does not answer; it waits here and is sent again by itself.`,
      ...(draft.kind === 'voided' || !isStored ? {} : { action: { label: 'Undo', run: undo } }),
    });
    refreshDerived(client);
  };
  return record;
}
