import type { Face, FactBodies, FactKind, StockBodies, StockKind } from '@calvetta/core';
import { FACT_WORDS, STOCK_WORDS } from '@calvetta/contract/words';
import { useShop } from '../api/queries.ts';
import { useNotices } from '../state/notices.ts';
import { usePrefs } from '../state/prefs.ts';
import { askWho } from '../state/who.ts';
import { newId } from '../ui/newId.ts';
import { refusedWords } from './refusal.ts';
import { useSend } from './useSend.ts';
import { factWrite, stockWrite, type Write } from './write.ts';

/** What happened to a part. */
export interface FactDraft<K extends FactKind = FactKind> {
  readonly kind: K;
  readonly partId: string;
  readonly partName: string;
  readonly face: Face | null;
  readonly happenedMs: number;
  readonly endedMs: number | null;
  readonly supersedes?: string;
  readonly body: FactBodies[K];
  readonly evidence?: Record<string, unknown>;
}
/** What happened to stock. */
export interface StockDraft<K extends StockKind = StockKind> {
  readonly kind: K;
  readonly about: string;
  readonly body: StockBodies[K];
  readonly supersedes?: string;
  /** When it happened, where that is not now: a correction keeps the time of what it corrects. */
  readonly happenedMs?: number;
}

/** Draws up an entry with who and where from; `undoes` is the draft that takes it back. */
interface Drawn {
  readonly write: Write;
  readonly said: string;
  readonly undoes: (() => Promise<void>) | null;
}

const isoOf = (ms: number): string => new Date(ms).toISOString();
const nowMs = (): number => Date.now();
const correctedOr = (words: string, supersedes: string | undefined): string =>
  supersedes === undefined ? words : `${words}: corrected`;

/** Who writes, and on which device: nobody is assumed. The first act of a device asks, and so does one of somebody put away. */
export function useWriter(): () => Promise<{ readonly personId: string; readonly deviceId: string }> {
  const people = useShop().data?.people;
  return async () => {
    const { personId, deviceId } = usePrefs.getState();
    const comes = !people || people.some((p) => p.personId === personId && !p.isAway);
    return { personId: personId !== null && comes ? personId : await askWho(), deviceId };
  };
}

/** Stores an entry, says so and offers to take it back. */
function useKeep(): (drawn: Drawn) => Promise<void> {
  const send = useSend();
  const say = useNotices((s) => s.say);
  return async ({ write, said, undoes }) => {
    const undo = (): void =>
      void undoes?.().catch((error: unknown) =>
        say({ tone: 'trouble', text: refusedWords(error, 'Could not be undone.') }),
      );
    await send(write, said, undoes ? { label: 'Undo', run: undo } : undefined);
  };
}

/** Records what happened to a part, under an id of this device. Throws only what the server refused. */
export function useRecord(): <K extends FactKind>(draft: FactDraft<K>) => Promise<void> {
  const writer = useWriter();
  const keep = useKeep();
  const record = async <K extends FactKind>(draft: FactDraft<K>): Promise<void> => {
    const factId = newId();
    const write = factWrite({
      factId,
      kind: draft.kind,
      partId: draft.partId,
      face: draft.face,
      happenedAt: isoOf(draft.happenedMs),
      endedAt: draft.endedMs === null ? null : isoOf(draft.endedMs),
      ...(await writer()),
      supersedes: draft.supersedes ?? null,
      body: draft.body,
      evidence: draft.evidence ?? null,
    });
    const word = draft.kind === 'voided' ? 'Undone' : correctedOr(FACT_WORDS[draft.kind], draft.supersedes);
    const voiding = {
      kind: 'voided',
      supersedes: factId,
      happenedMs: nowMs(),
      endedMs: null,
      body: {},
    } as const;
    await keep({
      write,
      said: `${word}: ${draft.partName}`,
      undoes: draft.kind === 'voided' ? null : () => record({ ...draft, ...voiding }),
    });
  };
  return record;
}

/** Records what happened to stock, in the same way. */
export function useStock(): <K extends StockKind>(draft: StockDraft<K>) => Promise<void> {
  const writer = useWriter();
  const keep = useKeep();
  const record = async <K extends StockKind>(draft: StockDraft<K>): Promise<void> => {
    const factId = newId();
    const { kind, about, supersedes, body } = draft;
    const happenedAt = isoOf(draft.happenedMs ?? nowMs());
    const by = await writer();
    const write = stockWrite({ factId, kind, happenedAt, ...by, supersedes: supersedes ?? null, body });
    await keep({
      write,
      said: `${kind === 'stock-voided' ? 'Undone' : STOCK_WORDS[kind]}: ${about}`,
      undoes:
        kind === 'stock-voided'
          ? null
          : () => record({ kind: 'stock-voided', about, supersedes: factId, body: {} }),
    });
  };
  return record;
}
