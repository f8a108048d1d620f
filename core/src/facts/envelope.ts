import type { Shape } from '../base/shape.ts';

/**
 * What every entry of the ledger says beside its body: who, when, from where, and what it corrects. Stored once, never changed;
 * a correction is an entry that supersedes another.
 */
export interface Envelope<K extends string, B> {
  readonly factId: string;
  readonly kind: K;
  readonly happenedAtMs: number;
  readonly recordedAtMs: number;
  readonly personId: string;
  readonly deviceId: string;
  /** The entry this one corrects or voids. */
  readonly supersedes: string | null;
  readonly body: B;
}

/** All there is to a kind of entry: what it is called, and what its body holds and points at. */
export interface Kind<B = unknown> {
  readonly words: string;
  readonly body: Shape<B>;
  /** It takes another entry back and says nothing itself. */
  readonly isVoiding: boolean;
}
export const kind = <B>(words: string, body: Shape<B>, over: { isVoiding?: boolean } = {}): Kind<B> => ({
  words,
  body,
  isVoiding: over.isVoiding ?? false,
});

interface Entry {
  readonly factId: string;
  readonly kind: string;
  readonly happenedAtMs: number;
  readonly endedAtMs?: number | null;
  readonly recordedAtMs: number;
  readonly supersedes: string | null;
}

/** Origin of an entry's clock: the end of the act where it has a length. */
export const originMs = (e: Pick<Entry, 'happenedAtMs' | 'endedAtMs'>): number =>
  e.endedAtMs ?? e.happenedAtMs;

/** Entries that stand: not superseded, not voiding; by when they happened, then recorded, then id. */
export function standing<E extends Entry>(
  entries: readonly E[],
  isVoiding: (kind: E['kind']) => boolean,
): E[] {
  const gone = new Set(entries.map((e) => e.supersedes).filter((id) => id !== null));
  return entries
    .filter((e) => !gone.has(e.factId) && !isVoiding(e.kind))
    .sort(
      (a, b) =>
        originMs(a) - originMs(b) || a.recordedAtMs - b.recordedAtMs || (a.factId < b.factId ? -1 : 1),
    );
}
