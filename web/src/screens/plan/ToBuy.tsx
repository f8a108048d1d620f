import type { PlanView } from '@calvetta/core';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { Link } from 'react-router';
import { useUnits } from '../../ui/useUnits.ts';
import { dayWords } from './planWords.ts';

/** What the plan takes and the shelf does not have by then, with the day by which it must be here. */
export function ToBuy({ view }: { readonly view: PlanView }) {
  const units = useUnits();
  if (view.toBuy.length === 0) return null;
  return (
    <section aria-label="To buy in time" className="flex flex-col gap-1 border-t border-line pt-2">
      <h2 className="text-[16px]">To buy in time</h2>
      <ul className="text-[14px]">
        {view.toBuy.map((l) => (
          <li key={`${l.productId}${l.content}${l.colour ?? ''}`} className="flex justify-between gap-2">
            <span>
              {l.productName}
              {l.content === 'paint' ? '' : `, ${CONTENT_WORDS[l.content]}`}
              {l.colour === null ? '' : `, ${l.colour}`}
              {l.deadMl >= 1 ? (
                <span className="text-warn"> · {units.volume(l.deadMl)} there will be past its date</span>
              ) : null}
            </span>
            <span className="figure whitespace-nowrap">
              {units.volume(l.shortMl)} by {dayWords(l.byMs, view)}
            </span>
          </li>
        ))}
      </ul>
      <Link className="text-[13px] underline underline-offset-2 print:hidden" to="/shelf">
        The shelf, and the cheapest packs
      </Link>
    </section>
  );
}
