import type { LiveMessage } from '@calvetta/contract';
import { ALL_STALE, NOTHING_STALE, type Stale } from './loadShop.ts';

/** What is to be derived again. */
export type Need =
  | { readonly kind: 'all' }
  | { readonly kind: 'parts'; readonly partIds: ReadonlySet<string> }
  | null;

/** What a message makes stale of the shop; null when it is about something else. */
export function staleOf(message: LiveMessage): Stale | null {
  switch (message.topic) {
    case 'readings':
    case 'forecast':
    case 'import':
    case 'plan':
    case 'door':
      return null;
    case 'stock':
      return { ...NOTHING_STALE, stock: true };
    case 'facts':
    case 'parts':
      return message.partIds
        ? { ...NOTHING_STALE, partIds: new Set(message.partIds), rows: message.topic === 'parts' }
        : ALL_STALE;
    case 'sheets':
      return { ...NOTHING_STALE, partIds: new Set(message.partIds ?? []), sheets: true };
    case 'entities':
      return ALL_STALE;
  }
}

/** What is to be derived again once that has been read. */
export const needOf = (stale: Stale): Need =>
  stale.all ? { kind: 'all' } : { kind: 'parts', partIds: stale.partIds };

export function bothNeeds(a: Need, b: Need): Need {
  if (a === null || b === null) return a ?? b;
  if (a.kind === 'all' || b.kind === 'all') return { kind: 'all' };
  return { kind: 'parts', partIds: new Set([...a.partIds, ...b.partIds]) };
}
