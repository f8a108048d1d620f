import type { Face, FindingView, InspectView } from '@calvetta/core';
import { KIND_LINES } from '../../drawings/kindPaths.ts';
import { findingName } from './findingName.ts';

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

const [W, H] = [96, 64];

/** Where it is: on the outline of the part where somebody touched, else in a row below it. */
export function FaceMap({ view, face, label, chosenId, spot, onSpot, onChoose }: Props) {
  const { outline, inner, circles } = KIND_LINES[view.kind];
  const own = view.findings.filter((f) => face === null || f.fact.face === null || f.fact.face === face);
  const number = (f: FindingView): number => view.findings.indexOf(f) + 1;
  const placed = own.filter((f) => f.fact.body.x !== undefined && f.fact.face === face);
  const rest = own.filter((f) => !placed.includes(f));
  return (
    <figure className="flex flex-col gap-1">
      <div className="relative border border-line bg-ground">
        <svg
          viewBox={`0 0 ${W} ${H}`}
          className="block w-full cursor-crosshair touch-manipulation"
          role="img"
          aria-label={`${label}: touch where it is`}
          onClick={(e) => {
            const box = e.currentTarget.getBoundingClientRect();
            onSpot({
              face,
              x: Number(((e.clientX - box.left) / box.width).toFixed(3)),
              y: Number(((e.clientY - box.top) / box.height).toFixed(3)),
            });
          }}
        >
          <g fill="none" stroke="var(--ink)" strokeLinejoin="round" strokeLinecap="round" opacity={0.55}>
            <path
              d={outline}
              strokeWidth={0.9}
              fill="var(--panel)"
              strokeDasharray={view.kind === 'unknown' ? '2.500 2.500' : undefined}
            />
            {inner ? <path d={inner} strokeWidth={0.5} /> : null}
            {circles?.map(([x, y, r]) => (
              <circle key={`${x} ${y}`} cx={x} cy={y} r={r} strokeWidth={0.5} />
            ))}
          </g>
          {spot !== null && spot.face === face ? (
            <path
              d={`M${spot.x * W - 3} ${spot.y * H}h6M${spot.x * W} ${spot.y * H - 3}v6`}
              stroke="var(--bad)"
              strokeWidth={0.9}
            />
          ) : null}
        </svg>
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
