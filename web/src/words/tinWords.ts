import type { TinView } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';

const DAY_MS = 86_400_000;

/** A tin in a few words: what it is of, colour, batch. */
export const tinName = (t: Pick<TinView, 'productName' | 'content' | 'colour'>): string =>
  `${t.productName}${t.content === 'paint' ? '' : `, ${CONTENT_WORDS[t.content]}`}${t.colour === null ? '' : `, ${t.colour}`}`;

/** How long it is still good, and by what. */
export function expiryWords(t: Pick<TinView, 'expiry' | 'isExpired'>, nowMs: number): string {
  const { atMs, by } = t.expiry;
  if (by === 'unknown') return 'made when? not known';
  if (atMs === null) return 'keeps';
  const days = Math.round((atMs - nowMs) / DAY_MS);
  const since = by === 'opened' ? 'opened' : by === 'vouched' ? 'vouched for' : 'closed';
  return t.isExpired ? `${spanWords(-days)} past, ${since}` : `${spanWords(days)}, ${since}`;
}

const spanWords = (days: number): string =>
  days < 60
    ? `${days} d`
    : days < 730
      ? `${Math.round(days / 30.44)} months`
      : `${(days / 365.25).toFixed(1)} years`;

/** Less than this is soon: the tin is to be used or given away. */
export const SOON_DAYS = 45;
export const isSoon = (t: Pick<TinView, 'expiry' | 'levelMl'>, nowMs: number): boolean =>
  t.levelMl > 0 && t.expiry.atMs !== null && t.expiry.atMs - nowMs < SOON_DAYS * DAY_MS;
