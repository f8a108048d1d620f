import { Link } from 'react-router';
import type { RiverEntry, RiverView } from '@calvetta/core';
import { FACT_WORDS, factDetail, stepName } from '@calvetta/contract/words';
import { MarkSwatch } from '../../drawings/RiverLane.tsx';
import { useMoney } from '../../ui/money.ts';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** The entries that match, newest first: what, on what, who, when; struck through where it was taken back. */
export function RiverList({ data }: { readonly data: RiverView }) {
  return (
    <>
      <ul aria-label="Entries">
        {data.entries.map((e) => (
          <Row key={e.factId} entry={e} zone={data.zone} />
        ))}
      </ul>
      {data.total > data.entries.length ? (
        <p className="text-quiet">
          The newest {data.entries.length} of {data.total}. Ask for less, or touch a stretch above, to see
          older ones.
        </p>
      ) : null}
    </>
  );
}

function Row({ entry: e, zone }: { readonly entry: RiverEntry; readonly zone: string }) {
  const units = useUnits();
  const money = useMoney();
  const named = {
    productName: e.productName,
    placeName: e.placeName,
    mixText: null,
    stepName: e.step && stepName(e.step),
  };
  const detail = factDetail(e.fact, named, { film: units.film, temp: units.temp, money: money.price });
  return (
    <li className="grid grid-cols-[16px_minmax(0,1fr)] items-baseline gap-x-3 border-t border-line/60 py-1 sm:grid-cols-[16px_128px_minmax(0,1fr)_auto]">
      <span className="self-center">
        <MarkSwatch mark={e.mark} />
      </span>
      <span className="figure text-[13px] text-quiet">{dayAndTime(e.atMs, zone)}</span>
      <span className={`col-start-2 min-w-0 sm:col-start-3 ${e.isStanding ? '' : 'text-quiet line-through'}`}>
        <strong className="font-semibold">{FACT_WORDS[e.kind]}</strong>
        {e.fact.face === null ? '' : `, face ${e.fact.face}`} {detail}
        {e.isCorrection && e.kind !== 'voided' ? <span className="text-quiet"> · corrected</span> : null}
        {e.lateMs === null ? null : (
          <span className="text-warn"> · written {dayAndTime(e.lateMs, zone)}</span>
        )}
      </span>
      <span className="col-start-2 text-[14px] text-quiet sm:col-start-4">
        <Link className="text-ink underline underline-offset-2" to={`/parts/${encodeURIComponent(e.partId)}`}>
          {e.partName}
        </Link>
        {`, ${e.machineName}`}
        {e.personName === null ? '' : ` · ${e.personName}`}
      </span>
    </li>
  );
}
