import { findingName } from '@calvetta/contract/words';
import type { Face, FindingView, InspectView } from '@calvetta/core';
import { FaceOutline, FilmSpots, SpotCross } from '../../drawings/FaceOutline.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { FilmLine } from './FilmLine.tsx';

export interface Spot {
  readonly face: Face | null;
  readonly x: number;
  readonly y: number;
}
interface Props {
  readonly view: InspectView;
  readonly face: Face | null;
  readonly label: string;
  readonly chosenId: string | null;
  readonly spot: Spot | null;
  readonly onSpot: (spot: Spot) => void;
  readonly onChoose: (findingId: string) => void;
}

/** Where it is: on the outline of the part where somebody touched, else in a row below it. */
export function FaceMap({ view, face, label, chosenId, spot, onSpot, onChoose }: Props) {
  const units = useUnits();
  const film = view.films.find((f) => f.face === face) ?? null;
  const own = view.findings.filter((f) => face === null || f.fact.face === null || f.fact.face === face);
  const number = (f: FindingView): number => view.findings.indexOf(f) + 1;
  const placed = own.filter((f) => f.fact.body.x !== undefined && f.fact.face === face);
  const rest = own.filter((f) => !placed.includes(f));
  return (
    <figure className="flex flex-col gap-1">
      <div className="relative border border-line bg-ground">
        <FaceOutline kind={view.kind} label={label} onSpot={(at) => onSpot({ face, ...at })}>
          {film ? <FilmSpots readings={film.readings} film={units.film} isSmall={face !== null} /> : null}
          {spot !== null && spot.face === face ? <SpotCross spot={spot} /> : null}
        </FaceOutline>
        {placed.map((f) => (
          <Tag
            key={f.findingId}
            finding={f}
            number={number(f)}
            isChosen={f.findingId === chosenId}
            onChoose={onChoose}
            place={{ left: `${f.fact.body.x! * 100}%`, top: `${(f.fact.body.y ?? 0.5) * 100}%` }}
          />
        ))}
      </div>
      <figcaption className="flex flex-wrap items-center gap-1 text-[13px] text-quiet">
        {label}
        {rest.length > 0 ? <span>· somewhere on it:</span> : null}
        {rest.map((f) => (
          <Tag
            key={f.findingId}
            finding={f}
            number={number(f)}
            isChosen={f.findingId === chosenId}
            onChoose={onChoose}
            place={null}
          />
        ))}
      </figcaption>
      <FilmLine view={view} film={film} />
    </figure>
  );
}

interface TagProps {
  readonly finding: FindingView;
  readonly number: number;
  readonly isChosen: boolean;
  readonly onChoose: (id: string) => void;
  readonly place: { readonly left: string; readonly top: string } | null;
}

/** A numbered tag, as wired to a part. Square: open; struck: closed. */
function Tag({ finding, number, isChosen, onChoose, place }: TagProps) {
  const isClosed = finding.closed !== null;
  const tone = isChosen
    ? 'bg-chosen text-chosen-ink border-chosen'
    : isClosed
      ? 'bg-panel text-quiet border-line line-through'
      : finding.holds
        ? 'bg-panel text-bad border-bad border-2'
        : 'bg-panel text-ink border-ink';
  return (
    <button
      type="button"
      className={`figure min-h-7 min-w-7 rounded-sm border px-1 text-[14px] leading-none ${tone} ${place ? 'absolute -translate-x-1/2 -translate-y-1/2' : ''}`}
      style={place ?? undefined}
      aria-pressed={isChosen}
      aria-label={`${number}: ${findingName(finding)}${isClosed ? ', closed' : ''}`}
      title={findingName(finding)}
      onClick={() => onChoose(finding.findingId)}
    >
      {number}
    </button>
  );
}
