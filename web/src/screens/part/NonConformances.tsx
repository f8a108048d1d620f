import type { NonConformance } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { dayWords, FACT_WORDS, nonConformityWords } from '@calvetta/contract/words';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** What of the part's record does not conform, and what allows it to stay. Nothing where all does. */
export function NonConformances({ part }: { readonly part: PartDetail }) {
  const list = part.nonConformances;
  if (list.length === 0) return null;
  const open = list.filter((n) => n.concession === null || n.concession.isOver).length;
  return (
    <section aria-label="Does not conform" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">
        Does not conform{' '}
        <span className="text-[14px] font-normal text-quiet">
          {open === 0 ? 'all of it allowed to stay' : `${open} of ${list.length} not answered`}
        </span>
      </h2>
      <ul className="flex flex-col gap-2">
        {list.map((n) => (
          <Line key={`${n.factId} ${n.why.what}`} about={n} part={part} />
        ))}
      </ul>
    </section>
  );
}

function Line({ about, part }: { readonly about: NonConformance; readonly part: PartDetail }) {
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const { concession } = about;
  const said = nonConformityWords(about.why, {
    film: (um) => units.film(um),
    when: (ms) => dayAndTime(ms, part.zone),
  });
  const stays = concession !== null && !concession.isOver;
  const { partId, name } = part.card;
  return (
    <li className={`border-l-4 pl-3 ${stays ? 'border-line' : 'border-bad'}`}>
      <p>{said}</p>
      <p className="text-[13px] text-quiet">
        {FACT_WORDS[about.kind]}
        {about.face === null ? '' : `, face ${about.face}`}, {dayAndTime(about.atMs, part.zone)}
      </p>
      {concession === null ? null : (
        <p className="text-[14px]">
          {concession.isOver ? 'Was allowed to stay' : 'May stay'}
          {concession.untilDay === null ? '' : ` until ${dayWords(concession.untilDay)}`}, by{' '}
          {concession.allowedBy}
          {concession.reference === null ? '' : ` (${concession.reference})`}: {concession.reason}
        </p>
      )}
      {stays ? null : (
        <Button
          isInRow
          look="quiet"
          onClick={() => show({ kind: 'concede', partId, partName: name, about, said })}
        >
          It may stay…
        </Button>
      )}
    </li>
  );
}
