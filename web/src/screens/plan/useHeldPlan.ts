import { useState } from 'react';
import type { StoredPlan } from '@calvetta/contract';

/** The kept plan that the page works from, and one that was kept elsewhere meanwhile. */
export interface HeldPlan {
  readonly stored: StoredPlan | null;
  readonly other: StoredPlan | null;
  /** Somebody here works on a plan of their own from now on. */
  readonly onOwn: () => void;
  /** It is being kept, under this name. */
  readonly onKept: (planId: string) => void;
  readonly onSeeOther: () => void;
}

/**
 * The plan that is kept, until somebody works on one of their own here: from then on what comes from elsewhere is said, and takes nobody's
 * work away.
 */
export function useHeldPlan(stored: StoredPlan | null): HeldPlan {
  const [own, setOwn] = useState<{ readonly from: StoredPlan | null; readonly keptId: string | null } | null>(
    null,
  );
  // What was kept here has come back as the plan that holds.
  const isMine = own !== null && own.keptId !== null && stored?.planId === own.keptId;
  if (isMine) setOwn(null);
  const isOther = own !== null && !isMine && stored?.planId !== own.from?.planId;
  return {
    stored: isOther ? own.from : stored,
    other: isOther ? stored : null,
    onOwn: () => setOwn((o) => o ?? { from: stored, keptId: null }),
    onKept: (keptId) => setOwn((o) => o && { ...o, keptId }),
    onSeeOther: () => setOwn(null),
  };
}
