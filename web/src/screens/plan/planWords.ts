import type { PlanBlock, PlanView } from '@calvetta/core';
import { workWords } from '@calvetta/contract/words';
import { clockTime, dayOf, duration } from '../../ui/time.ts';

export const blockWords = (b: PlanBlock): string =>
  workWords({
    kind: b.kind,
    what: b.what,
    product: b.coat?.name ?? null,
    no: b.coat?.no ?? null,
    of: b.coat?.of ?? null,
  });

type Clock = Pick<PlanView, 'nowMs' | 'zone'>;

/** "today", "Sat 28 Nov". */
export function dayWords(ms: number, { nowMs, zone }: Clock): string {
  const [day, today] = [ms, nowMs].map((t) => dayOf(t, zone));
  return day === today ? 'today' : day!;
}
/** "Sat 28 Nov 09:30". */
export const timeWords = (ms: number, clock: Clock): string =>
  `${dayWords(ms, clock)} ${clockTime(ms, clock.zone)}`;
/** So far ahead a plan knows the hour. */
const SURE_MS = 6 * 86_400_000;
/** "Sat 28 Nov 09:30", or further ahead "Mon 8 Mar": months from now nobody knows the hour. */
export const doneWords = (ms: number, clock: Clock): string =>
  ms - clock.nowMs < SURE_MS ? timeWords(ms, clock) : dayWords(ms, clock);
/** "Sat 28 Nov 09:30–12:15". */
export const spanWords = (s: { readonly fromMs: number; readonly toMs: number }, clock: Clock): string =>
  `${timeWords(s.fromMs, clock)}–${clockTime(s.toMs, clock.zone)}`;

/** How much time is left to the edge; none: it does not shut. */
export function slackWords(b: PlanBlock): string | null {
  if (!b.coat) return null;
  if (b.coat.slackMs === null) return 'its window does not shut';
  return `${duration(b.coat.slackMs)} to spare before the edge`;
}

/** What the air will do, as far as anybody knows. */
export function airWords({ coat }: PlanBlock): string | null {
  if (!coat) return null;
  if (coat.odds !== null)
    return `Past the forecast: the air held on ${Math.round(coat.odds * 100)} of 100 such days of the last weeks`;
  return coat.air === 'pass' ? 'The forecast lets it' : 'By the forecast the air is marginal: read it first';
}
/** Below this share of days a coat is drawn as a risk (docs/plan.md 7). */
export const RISKY_BELOW = 0.9;
export const isRisky = ({ coat }: PlanBlock): boolean =>
  coat !== null && (coat.odds === null ? coat.air !== 'pass' : coat.odds < RISKY_BELOW);
