import { describe, expect, it } from '@jest/globals';
import { HEADLINES, type Headline } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';
import { GROUP_WORDS, GROUPS, isInGroup, parseGroup } from './groups.ts';

const card = (headline: Headline, code: PartCard['act']['code']): PartCard =>
  ({ headline, act: { code } }) as PartCard;

describe('groups are filters over the one list', () => {
  it('every state that moves is in a group of its own kind besides all', () => {
    for (const h of HEADLINES) {
      if (h === 'cured' || h === 'waiting' || h === 'open') continue;
      const own = GROUPS.filter((g) => g !== 'all' && g !== 'now' && isInGroup(card(h, 'wait'), g));
      expect([h, own.length]).toEqual([h, 1]);
    }
  });
  it('“coat now” goes by the act, not by the state', () => {
    expect(isInGroup(card('closing', 'coat'), 'now')).toBe(true);
    expect(isInGroup(card('held', 'coat-if-accepted'), 'now')).toBe(true);
    expect(isInGroup(card('keyed', 'wipe'), 'now')).toBe(true);
    expect(isInGroup(card('open', 'read-air'), 'now')).toBe(false);
  });
  it('an address with a group nobody knows shows all', () => {
    expect(parseGroup('held')).toBe('held');
    expect(parseGroup('everything')).toBe('all');
    expect(parseGroup(null)).toBe('all');
    expect(Object.keys(GROUP_WORDS).sort()).toEqual([...GROUPS].sort());
  });
});
