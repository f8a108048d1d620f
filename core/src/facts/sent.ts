import { originMs } from './envelope.ts';
import type { Fact } from './part.ts';

/** A part that is with somebody who does something to it elsewhere. */
export interface Sent {
  readonly to: string;
  readonly sinceMs: number;
  /** A day of the shop's calendar, `2026-12-24`; null: nobody promised one. */
  readonly backDay: string | null;
}

/** Where a part is that was sent away and neither came back since nor was moved here; null: here. Takes standing facts, in order. */
export function sentNow(standing: readonly Fact[], nowMs: number): Sent | null {
  let sent: Sent | null = null;
  for (const f of standing) {
    if (f.happenedAtMs > nowMs) break;
    if (f.kind === 'sent') sent = { to: f.body.to, sinceMs: originMs(f), backDay: f.body.backDay ?? null };
    if (f.kind === 'came-back' || f.kind === 'moved') sent = null;
  }
  return sent;
}
