import { DAY_MS } from '../base/time.ts';

/** A key (abraded surface) lasts this long at most (docs/clocks.md 9; common practice, no published source). */
export const KEY_LASTS_MS = DAY_MS;

export interface KeyInput {
  readonly abradedAtMs: number;
  readonly how: 'dry' | 'wet';
  /** When the film may be sanded dry, and when it is hard enough to abrade wet; null when not yet or unknown. */
  readonly sandMs: number | null;
  readonly hardMs: number | null;
  /** A wipe after abrading; contamination, bare-hand handling or wetting; dew on the film. Null when none. */
  readonly wipedAtMs: number | null;
  readonly spoiledAtMs: number | null;
}

export interface Key {
  readonly isHeld: boolean;
  /** Why it gives no key: the film was too soft, or it has lapsed or been spoiled. */
  readonly lost: 'too-soft' | 'lapsed' | 'spoiled' | null;
  readonly lapsesAtMs: number;
  readonly isWiped: boolean;
}

/** Whether an abraded face is keyed at `nowMs`. It resets no clock; a wipe must still follow. */
export function keyAt(input: KeyInput, nowMs: number): Key {
  const lapsesAtMs = input.abradedAtMs + KEY_LASTS_MS;
  const isWiped = input.wipedAtMs !== null && input.wipedAtMs >= input.abradedAtMs;
  const hardEnoughMs = input.how === 'wet' ? input.hardMs : input.sandMs;
  const base = { lapsesAtMs, isWiped };
  if (hardEnoughMs === null || input.abradedAtMs < hardEnoughMs)
    return { ...base, isHeld: false, lost: 'too-soft' };
  if (input.spoiledAtMs !== null && input.spoiledAtMs >= input.abradedAtMs && input.spoiledAtMs <= nowMs)
    return { ...base, isHeld: false, lost: 'spoiled' };
  if (nowMs >= lapsesAtMs) return { ...base, isHeld: false, lost: 'lapsed' };
  return { ...base, isHeld: true, lost: null };
}
