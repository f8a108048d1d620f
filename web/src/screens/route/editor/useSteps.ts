import { useState } from 'react';
import type { RouteStep } from '@calvetta/core';

type Steps = readonly RouteStep[];
interface History {
  readonly before: readonly Steps[];
  readonly now: Steps;
  readonly after: readonly Steps[];
}

export interface StepsInHand {
  readonly steps: Steps;
  readonly set: (steps: Steps) => void;
  /** Null where there is nothing to take back, or to do again. */
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** The steps in the hand, with every state they were in: any change can be taken back. */
export function useSteps(first: Steps): StepsInHand {
  const [{ before, now, after }, setAll] = useState<History>({ before: [], now: first, after: [] });
  return {
    steps: now,
    set: (next) => setAll({ before: [...before, now], now: next, after: [] }),
    undo:
      before.length === 0
        ? null
        : () =>
            setAll({ before: before.slice(0, -1), now: before[before.length - 1]!, after: [now, ...after] }),
    redo:
      after.length === 0
        ? null
        : () => setAll({ before: [...before, now], now: after[0]!, after: after.slice(1) }),
  };
}
