import type { LaneBlock, OtherLane, PlanView } from '@calvetta/core';
import { Columns } from './Columns.tsx';
import { xAt, type Ground } from './geometry.ts';
import { lookOf } from './LaneRow.tsx';
import { blockWords, spanWords } from './planWords.ts';

interface Props {
  readonly lanes: readonly OtherLane[];
  readonly view: PlanView;
  readonly ground: Ground;
  readonly namesPx: number;
  readonly session: number;
  readonly chosen: string | null;
  readonly onBlock: (opId: string) => void;
}

const ROW_PX = 22;

/** Lanes of people or places: what lies at the same time stands below one another. */
export function StackLanes({ lanes, view, ground, namesPx, session, chosen, onBlock }: Props) {
  const isThere = lanes.some((l) => l.rows.some((r) => r.some((b) => b.opId === chosen)));
  return lanes.map((lane, n) => (
    <div
      key={lane.key}
      role="group"
      aria-label={nameOf(lane)}
      className="relative border-b border-line/60"
      style={{ height: Math.max(1, lane.rows.length) * ROW_PX + 4 }}
    >
      <span
        className="sticky left-0 z-10 flex h-full items-start truncate bg-panel px-2 pt-1 text-[13px]"
        style={{ width: namesPx }}
      >
        {nameOf(lane)}
      </span>
      <Behind lane={lane} view={view} ground={ground} namesPx={namesPx} session={session} />
      {lane.rows.map((row, r) =>
        row.map((b, i) => (
          <Block
            key={`${b.opId} ${b.fromMs}`}
            block={b}
            view={view}
            top={r * ROW_PX + 3}
            left={namesPx + xAt(ground, b.fromMs)}
            width={Math.max(5, xAt(ground, b.toMs) - xAt(ground, b.fromMs))}
            isChosen={chosen === b.opId}
            isStop={isThere ? chosen === b.opId : n === 0 && r === 0 && i === 0}
            onBlock={onBlock}
          />
        )),
      )}
    </div>
  ));
}

const nameOf = (lane: OtherLane): string => (lane.name === '' ? 'changing hands' : lane.name);

/** Sessions, and when the air of the place keeps coats out. */
function Behind({
  lane,
  view,
  ground,
  namesPx,
  session,
}: Pick<Props, 'view' | 'ground' | 'namesPx' | 'session'> & { readonly lane: OtherLane }) {
  const height = Math.max(1, lane.rows.length) * ROW_PX + 4;
  const unfit = view.unfit.find((u) => u.placeId === lane.key);
  return (
    <svg className="absolute top-0" style={{ left: namesPx }} width={ground.widthPx} height={height}>
      <Columns ground={ground} height={height} session={session} />
      {unfit?.spans.map((s) => (
        <rect
          key={s.fromMs}
          x={xAt(ground, s.fromMs)}
          width={Math.max(2, xAt(ground, s.toMs) - xAt(ground, s.fromMs))}
          height={height}
          fill="url(#t-unfit)"
          fillOpacity={0.6}
        >
          <title>
            {`${spanWords(s, view)}: the air keeps ${unfit.sheetName} out, as on: ${unfit.partName}`}
          </title>
        </rect>
      ))}
    </svg>
  );
}

interface BlockProps {
  readonly block: LaneBlock;
  readonly view: PlanView;
  readonly top: number;
  readonly left: number;
  readonly width: number;
  readonly isChosen: boolean;
  readonly isStop: boolean;
  readonly onBlock: (opId: string) => void;
}
function Block({ block: b, view, top, left, width, isChosen, isStop, onBlock }: BlockProps) {
  const what = b.run
    ? `${b.run.name}${b.run.colour === null ? '' : `, ${b.run.colour}`} on ${b.run.parts.join(', ')}`
    : b.work
      ? `${b.work.partName}: ${blockWords(b.work.block)}`
      : '';
  const label = `${what}, ${spanWords(b, view)}`;
  return (
    <button
      type="button"
      tabIndex={isStop ? 0 : -1}
      data-plan-block={b.opId}
      aria-label={label}
      aria-pressed={isChosen}
      title={label}
      onClick={() => onBlock(b.opId)}
      className={`figure absolute z-[5] h-[18px] overflow-hidden text-left text-[12px] ${isChosen ? 'outline-2 outline-offset-1 outline-ink' : ''}`}
      style={{ top, left, width, ...(b.work ? lookOf(b.work.block) : runLook(b)) }}
    >
      {b.run ? <span className="bg-panel/85 px-0.5 text-ink">{b.run.parts.length}</span> : null}
    </button>
  );
}
const runLook = (b: LaneBlock): { background: string; border: string } => ({
  background: b.run?.bandColour ?? 'transparent',
  border: '1px solid var(--ink)',
});
