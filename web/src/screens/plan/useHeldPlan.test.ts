import { describe, expect, it } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import type { StoredPlan } from '@calvetta/contract';
import { useHeldPlan } from './useHeldPlan.ts';

/** What is asked and planned does not matter here: only which of them stands. */
const plan = (planId: string): StoredPlan => ({ planId, version: 1 }) as StoredPlan;
const begin = (stored: StoredPlan | null) => {
  const hook = renderHook(({ stored: s }) => useHeldPlan(s), { initialProps: { stored } });
  const shown = () => [hook.result.current.stored?.planId ?? null, hook.result.current.other?.planId ?? null];
  return {
    shown,
    comes: (s: StoredPlan) => hook.rerender({ stored: s }),
    does: (work: (held: ReturnType<typeof useHeldPlan>) => void) => act(() => work(hook.result.current)),
  };
};

describe('a plan that is kept elsewhere', () => {
  it('is shown at once to whoever only looks', () => {
    const page = begin(null);
    page.comes(plan('theirs'));
    expect(page.shown()).toEqual(['theirs', null]);
  });
  it('stands beside the one that somebody works on, until it is looked at', () => {
    const page = begin(plan('first'));
    page.does((h) => h.onOwn());
    page.comes(plan('theirs'));
    expect(page.shown()).toEqual(['first', 'theirs']);
    page.does((h) => h.onOwn());
    page.comes(plan('a third'));
    expect(page.shown()).toEqual(['first', 'a third']);
    page.does((h) => h.onSeeOther());
    expect(page.shown()).toEqual(['a third', null]);
  });
  it('is none when it was kept here; the next one from elsewhere is shown at once again', () => {
    const page = begin(plan('first'));
    page.does((h) => h.onOwn());
    page.does((h) => h.onKept('mine'));
    expect(page.shown()).toEqual(['first', null]);
    page.comes(plan('mine'));
    expect(page.shown()).toEqual(['mine', null]);
    page.comes(plan('theirs'));
    expect(page.shown()).toEqual(['theirs', null]);
  });
});
