import { useState } from 'react';
import { Link } from 'react-router';
import { useEntry, useShop } from '../../api/queries.ts';
import type { RiverEntry, RiverView } from '@calvetta/core';
import { FACT_WORDS, factDetail, HOW_WORDS, seenWords, stepName } from '@calvetta/contract/words';
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
  const [isOpen, setOpen] = useState(false);
  const named = {
    productName: e.productName,
    placeName: e.placeName,
    mixText: null,
    stepName: e.step && stepName(e.step),
  };
  const detail = factDetail(e.fact, named, { film: units.film, temp: units.temp, money: money.price });
  return (
    <li data-row={e.partId} className="border-t border-line/60 py-1">
      <div className="grid grid-cols-[16px_minmax(0,1fr)] items-baseline gap-x-3 sm:grid-cols-[16px_128px_minmax(0,1fr)_auto]">
        <span className="self-center">
          <MarkSwatch mark={e.mark} />
        </span>
        <button
          type="button"
          aria-expanded={isOpen}
          className="figure text-left text-[13px] text-quiet underline decoration-dotted underline-offset-2 pointer-coarse:min-h-11"
          onClick={() => setOpen(!isOpen)}
        >
          {dayAndTime(e.atMs, zone)}
        </button>
        <span
          className={`col-start-2 min-w-0 sm:col-start-3 ${e.isStanding ? '' : 'text-quiet line-through'}`}
        >
          <strong className="font-semibold">{FACT_WORDS[e.kind]}</strong>
          {e.fact.face === null ? '' : `, face ${e.fact.face}`} {detail}
          {e.isCorrection && e.kind !== 'voided' ? <span className="text-quiet"> · corrected</span> : null}
          {e.lateMs === null ? null : (
            <span className="text-warn"> · written {dayAndTime(e.lateMs, zone)}</span>
          )}
        </span>
        <span className="col-start-2 text-[14px] text-quiet sm:col-start-4">
          <Link
            className="text-ink underline underline-offset-2"
            to={`/parts/${encodeURIComponent(e.partId)}`}
          >
            {e.partName}
          </Link>
          {`, ${e.machineName}`}
          {e.personName === null ? '' : ` · ${e.personName}`}
        </span>
      </div>
      {isOpen ? <Whole factId={e.factId} zone={zone} /> : null}
    </li>
  );
}

/** All that is stored of an entry: when it was written, on what, what stood on the page, its link, what became of it. */
function Whole({ factId, zone }: { readonly factId: string; readonly zone: string }) {
  const entry = useEntry(factId);
  const people = useShop().data?.people;
  const units = useUnits();
  if (!entry.data) return <p className="pl-7 text-[13px] text-quiet">Reading…</p>;
  const { recordedAtMs, personId, enteredBy, how, deviceId, evidence } = entry.data;
  const { linkSeq, linkHash, isAdopted, corrects, correctedBy } = entry.data;
  const nameOf = (id: string): string => people?.find((p) => p.personId === id)?.name ?? id;
  const seen = seenWords(evidence, units);
  return (
    <dl className="my-1 ml-7 grid max-w-[760px] grid-cols-[140px_minmax(0,1fr)] gap-x-3 border-l-4 border-line pl-3 text-[13px]">
      <dt className="text-quiet">Written down</dt>
      <dd>
        {dayAndTime(recordedAtMs, zone)}, on {deviceId}
      </dd>
      <dt className="text-quiet">Who did it</dt>
      <dd>
        {how === null ? 'as it came in' : HOW_WORDS[how]}
        {enteredBy === null || enteredBy === personId ? '' : `; written down by ${nameOf(enteredBy)}`}
      </dd>
      <dt className="text-quiet">Link</dt>
      <dd>
        {linkSeq === null ? 'none' : `${linkSeq}, `}
        <span className="figure break-all">{linkHash?.slice(0, 32)}</span>
        {isAdopted ? '; it was there before the chain was' : ''}
      </dd>
      {seen.length > 0 ? (
        <>
          <dt className="text-quiet">On the page then</dt>
          <dd>{seen.join(', ')}</dd>
        </>
      ) : null}
      {corrects === null ? null : (
        <>
          <dt className="text-quiet">Corrects</dt>
          <dd className="figure">{corrects}</dd>
        </>
      )}
      {correctedBy === null ? null : (
        <>
          <dt className="text-quiet">Taken over by</dt>
          <dd className="figure">{correctedBy}</dd>
        </>
      )}
      <dt className="text-quiet">Id</dt>
      <dd className="figure break-all">{factId}</dd>
    </dl>
  );
}
