import { WORK_OPS, type Pace } from '@calvetta/core';
import { WORK_WORDS } from '@calvetta/contract/words';
import { Link } from 'react-router';

/** That hours are this shop's own, and by how much they differ from what is usual. Nothing where they do not. */
export function OwnPace({ pace }: { readonly pace: Pace }) {
  const differs = WORK_OPS.flatMap((on) => {
    const by = pace[on];
    return by === undefined || by === 1 ? [] : [`${WORK_WORDS[on]} × ${by.toFixed(1)}`];
  });
  if (differs.length === 0) return null;
  return (
    <p className="text-[13px] text-quiet">
      Hours and days are at this shop’s own pace, learned on such metal: {differs.join(', ')}.{' '}
      <Link className="underline underline-offset-2" to="/ledger?view=hours">
        How that is known
      </Link>
    </p>
  );
}
