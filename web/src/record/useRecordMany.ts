import type { FactBodies, FactKind } from '@calvetta/core';
import type { FactInputOf, FactsStored } from '@calvetta/contract';
import { FACT_WORDS } from '@calvetta/contract/words';
import { Refused } from '../api/client.ts';
import { useNotices } from '../state/notices.ts';
import { newId } from '../ui/newId.ts';
import { refusalWords, refusedWords } from './refusal.ts';
import { useWriter } from './useRecord.ts';
import { useSend } from './useSend.ts';
import { factsWrite } from './write.ts';

/** What was done to many parts at once. */
export interface ManyDraft<K extends FactKind = FactKind> {
  readonly kind: K;
  readonly parts: readonly { readonly partId: string; readonly name: string }[];
  readonly happenedMs: number;
  readonly body: FactBodies[K];
}
/** A part of which nothing was stored, and why. */
export interface RefusedOne {
  readonly partId: string;
  readonly name: string;
  readonly why: string;
}
const nowMs = (): number => Date.now();
type Entry = Pick<FactInputOf<FactKind>, 'factId' | 'kind' | 'partId' | 'supersedes' | 'body'>;

/** Records the same of many parts in one act, or each its own by `bodyOf`, with one undo; comes back with those that were refused. */
export function useRecordMany(): (
  draft: ManyDraft,
  bodyOf?: ((index: number) => FactBodies[FactKind]) | null,
) => Promise<readonly RefusedOne[]> {
  const writer = useWriter();
  const send = useSend();
  const say = useNotices((s) => s.say);

  const post = async (
    entries: readonly Entry[],
    happenedMs: number,
    what: string,
  ): Promise<FactsStored | null> => {
    const by = await writer();
    const happenedAt = new Date(happenedMs).toISOString();
    const facts = entries.map((e): FactInputOf<FactKind> => ({
      ...e,
      ...by,
      face: null,
      happenedAt,
      endedAt: null,
      evidence: null,
    }));
    const outcome = await send(factsWrite(facts, what), (answer) => {
      const stored = storedOf(entries, answer as FactsStored | null);
      return {
        text: `${what}: ${stored.length} ${stored.length === 1 ? 'part' : 'parts'}`,
        ...(stored.length === 0 || stored[0]!.kind === 'voided'
          ? {}
          : { undo: { label: 'Undo', run: () => takeBack(stored) } }),
      };
    });
    return outcome.kind === 'stored' ? (outcome.answer as FactsStored) : null;
  };
  const takeBack = (entries: readonly Entry[]): void => {
    const voids = entries.map((e): Entry => ({
      ...e,
      factId: newId(),
      kind: 'voided',
      supersedes: e.factId,
      body: {},
    }));
    post(voids, nowMs(), 'Undone').catch((error: unknown) =>
      say({ tone: 'trouble', text: refusedWords(error, 'Could not be undone.') }),
    );
  };
  return async ({ kind, parts, happenedMs, body }, bodyOf = null) => {
    const entries = parts.map((p, i): Entry => ({
      factId: newId(),
      kind,
      partId: p.partId,
      supersedes: null,
      body: bodyOf ? bodyOf(i) : body,
    }));
    const answer = await post(entries, happenedMs, FACT_WORDS[kind]);
    const nameOf = new Map(parts.map((p) => [p.partId, p.name]));
    return (answer?.refused ?? []).map(({ partId, error }) => ({
      partId,
      name: nameOf.get(partId) ?? partId,
      why: refusalWords(new Refused(422, error)),
    }));
  };
}

function storedOf(entries: readonly Entry[], answer: FactsStored | null): readonly Entry[] {
  const refused = new Set(answer?.refused.map((r) => r.partId));
  return entries.filter((e) => !refused.has(e.partId));
}
