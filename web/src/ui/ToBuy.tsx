import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import type { NamedBuyLine } from '@calvetta/core';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useUnits } from './useUnits.ts';

/** What a plan takes and the shelf does not have by then, with the day by which it must be here. */
export function ToBuy({ lines, zone }: { readonly lines: readonly NamedBuyLine[]; readonly zone: string }) {
  const units = useUnits();
  return (
    <ul className="text-[14px]">
      {lines.map((l) => (
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
            {units.volume(l.shortMl)} by {format(new TZDate(l.byMs, zone), 'EEE d MMM')}
          </span>
        </li>
      ))}
    </ul>
  );
}
