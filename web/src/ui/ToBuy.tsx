import type { NamedBuyLine } from '@calvetta/core';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { dayOf } from './time.ts';
import { useUnits } from './useUnits.ts';

/** So many are in sight; the others are a touch away. */
const IN_SIGHT = 8;

interface Props {
  /** By the day each must be here, soonest first. */
  readonly lines: readonly NamedBuyLine[];
  readonly zone: string;
}

/** What a plan takes and the shelf does not have by then, with the day by which it must be here. */
export function ToBuy({ lines, zone }: Props) {
  const rest = lines.slice(IN_SIGHT);
  return (
    <>
      <Lines lines={lines.slice(0, IN_SIGHT)} zone={zone} />
      {rest.length === 0 ? null : (
        <details className="text-[14px]">
          <summary className="cursor-pointer pointer-fine:py-1 text-quiet">{rest.length} more, later</summary>
          <Lines lines={rest} zone={zone} />
        </details>
      )}
    </>
  );
}

function Lines({ lines, zone }: Props) {
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
            {units.volume(l.shortMl)} by {dayOf(l.byMs, zone)}
          </span>
        </li>
      ))}
    </ul>
  );
}
