import type { Headline } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';

/** Groups are filters over the one sorted list, in the words of the bench. */
export const GROUPS = ['all', 'now', 'running', 'held', 'drying', 'lost'] as const;
export type Group = (typeof GROUPS)[number];

export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  all: 'All moving',
  now: 'Coat now',
  running: 'Running out',
  held: 'Held by the air',
  drying: 'Drying or away',
  lost: 'Needs work',
};

const DRYING: readonly Headline[] = ['early', 'lift', 'curing', 'sent'];
const LOST: readonly Headline[] = ['referred', 'mending', 'suspect', 'unknown', 'refused', 'shut', 'out'];

export function isInGroup(card: PartCard, group: Group): boolean {
  switch (group) {
    case 'all':
      return true;
    case 'now':
      return card.act.code === 'coat' || card.act.code === 'coat-if-accepted' || card.act.code === 'wipe';
    case 'running':
      return card.headline === 'closing' || card.headline === 'bare' || card.headline === 'keyed';
    case 'held':
      return card.headline === 'held';
    case 'drying':
      return DRYING.includes(card.headline);
    case 'lost':
      return LOST.includes(card.headline);
  }
}

export function parseGroup(text: string | null): Group {
  return GROUPS.find((g) => g === text) ?? 'all';
}
