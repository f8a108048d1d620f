import { mixTrouble } from '@calvetta/core';
import type { MixView } from '@calvetta/contract';
import { clockTime, duration } from '../ui/time.ts';

export const isMixGone = (mix: MixView, nowMs: number): boolean => mixTrouble(mix, nowMs) !== null;

/** Where a mix stands now, in a line. */
export function mixWords(mix: MixView, nowMs: number, zone: string): string {
  const usableMs = mix.usable.worstMs ?? mix.mixedMs;
  if (nowMs < usableMs) return `let it stand until ${clockTime(usableMs, zone)}`;
  if (mix.gone === null) return 'one-pack: keeps in a closed tin';
  if (mix.gone.worstMs === null) return 'pot life not known: ask the sheet';
  return nowMs < mix.gone.worstMs
    ? `${duration(mix.gone.worstMs - nowMs)} left at worst, until ${clockTime(mix.gone.worstMs, zone)}`
    : `gone off since ${clockTime(mix.gone.worstMs, zone)}: do not use it`;
}
