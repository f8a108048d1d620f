import { Link } from 'react-router';
import type { PlanAsks, PlanView } from '@calvetta/core';
import { BREACH_WORDS, LACK_WORDS } from '@calvetta/contract/words';

/** What is not planned, by why, with what lets it in. */
export function Lacking({ view }: { readonly view: PlanView }) {
  const groups = new Map<PlanAsks['lack'], PlanAsks[]>();
  for (const a of [...view.left, ...view.asks]) groups.set(a.lack, [...(groups.get(a.lack) ?? []), a]);
  if (groups.size === 0) return null;
  const count = view.left.length + view.asks.length;
  return (
    <details className="border border-line bg-panel p-2">
      <summary className="figure cursor-pointer text-[15px]">
        {count === 1 ? 'One part is not wholly planned' : `${count} parts are not wholly planned`}
      </summary>
      <ul className="flex flex-col gap-1 pt-1">
        {[...groups].map(([lack, parts]) => (
          <li key={lack}>
            {LACK_WORDS[lack].is}:{' '}
            {parts.map((p, i) => (
              <span key={p.partId}>
                {i > 0 ? ', ' : ''}
                <Link className="underline underline-offset-2" to={`/parts/${encodeURIComponent(p.partId)}`}>
                  {p.name}
                </Link>
              </span>
            ))}
            . <span className="text-quiet">{LACK_WORDS[lack].mend}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** A plan that the checker does not pass is not drawn: what is wrong with it is. */
export function Broken({ view }: { readonly view: PlanView }) {
  const codes = [...new Set(view.breaches.map((b) => b.code))];
  return (
    <div role="alert" className="border-l-4 border-bad bg-panel p-3">
      <p className="figure text-[16px]">This plan does not hold any more.</p>
      <ul className="list-disc pl-5">
        {codes.map((c) => (
          <li key={c}>{BREACH_WORDS[c]}</li>
        ))}
      </ul>
      <p>Make it again: what is done stays done, and as little as possible moves.</p>
    </div>
  );
}
