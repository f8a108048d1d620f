import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  dragLimit,
  personLanes,
  placeLanes,
  type DragLimit,
  type OtherLane,
  type PlanBlock,
  type PlanView,
} from '@calvetta/core';
import { columnAt, groundOf, xAt, type Column, type Ground } from './geometry.ts';
import { LaneRow, type Dragged } from './LaneRow.tsx';
import { keepInSight } from '../../ui/inSight.ts';
import { dayAndClock, shownAt, weekdayAndDate } from '../../ui/time.ts';
import { OneOf } from '../../ui/Toggle.tsx';
import { NightRow } from './NightRow.tsx';
import { timeWords } from './planWords.ts';
import { StackLanes } from './StackLanes.tsx';

const NAMES_PX = 168;

interface Props {
  readonly view: PlanView;
  readonly session: number;
  readonly onSession: (index: number) => void;
  readonly opId: string | null;
  readonly onBlock: (opId: string) => void;
  readonly onMove: (opId: string, sessionMs: number) => void;
}

/** Sessions side by side, lanes below one another: what is done when, and how long each window lasts. */
export function PlanChart(props: Props) {
  const [by, setBy] = useState<By>('part');
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-1">
      <OneOf<By>
        label="A lane for each"
        size="line"
        className="flex flex-wrap items-center gap-1 print:hidden"
        options={[
          { value: 'part', text: 'part' },
          { value: 'person', text: 'person' },
          { value: 'place', text: 'place' },
        ]}
        value={by}
        onChange={setBy}
      />
      <Chart {...props} by={by} />
    </div>
  );
}

type ByProps = Props & { readonly by: By };
function Chart({ by, view, session, onSession, opId, onBlock, onMove }: ByProps) {
  const ground = useMemo(() => groundOf(view), [view]);
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const machines = useMemo(() => byMachine(view), [view]);
  const others = useMemo(() => othersOf(by, view), [by, view]);
  const flat = by === 'part' ? machines.flatMap((m) => m.lanes) : others.map(asSteps);
  const xOf = (e: PointerEvent): number =>
    e.clientX - (box.current?.getBoundingClientRect().left ?? 0) - NAMES_PX + (box.current?.scrollLeft ?? 0);
  const drop = (): void => {
    if (dragged?.to) onMove(dragged.opId, dragged.to.fromMs);
    setDragged(null);
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    const to = stepTo(flat, ground, opId, e);
    if (!to) return;
    e.preventDefault();
    if (to.kind === 'go') onBlock(to.opId);
    else if (opId !== null) onMove(opId, to.sessionMs);
  };
  const lane = { view, ground, namesPx: NAMES_PX, session, chosen: opId, onBlock };
  return (
    <div
      ref={box}
      className="relative min-h-0 min-w-0 flex-1 scroll-pt-[84px] overflow-auto border border-line bg-panel"
      // Names stay at the left: a session that a key has gone to comes out from under them.
      style={{ scrollPaddingLeft: NAMES_PX + 8 }}
      onPointerMove={(e) => dragged && setDragged({ ...dragged, to: columnAt(ground, xOf(e)) })}
      onPointerUp={drop}
      onPointerLeave={() => setDragged(null)}
      onKeyDown={onKeyDown}
      onKeyUp={keepInSight}
    >
      <DragWords view={view} dragged={dragged} />
      <div style={{ width: NAMES_PX + ground.widthPx }} className="relative">
        <Head view={view} ground={ground} session={session} onSession={onSession} />
        <RunRow view={view} ground={ground} session={session} onSession={onSession} />
        <NightRow view={view} ground={ground} namesPx={NAMES_PX} onSession={onSession} />
        {by === 'part' ? (
          machines.map((m) => (
            <section key={m.machineId} aria-label={m.name}>
              <h2 className="figure sticky left-0 w-fit px-2 pt-2 text-[15px]">{m.name}</h2>
              {m.lanes.map((l) => (
                <LaneRow
                  key={l.partId}
                  {...lane}
                  lane={l}
                  dragged={dragged}
                  onDrag={(id) => setDragged({ opId: id, to: null })}
                />
              ))}
            </section>
          ))
        ) : (
          <StackLanes {...lane} lanes={others} />
        )}
        {by === 'person' && others.length === 0 ? <NobodyNamed /> : null}
        <Lines view={view} ground={ground} />
      </div>
    </div>
  );
}

const NobodyNamed = () => (
  <p className="sticky left-0 w-fit p-3 text-quiet">
    This plan counts people and does not name them. Ask for one with “each as they said”, and each has a lane.
  </p>
);

const othersOf = (by: By, view: PlanView): readonly OtherLane[] =>
  by === 'person' ? (personLanes(view) ?? []) : by === 'place' ? placeLanes(view) : [];

type By = 'part' | 'person' | 'place';

/** A lane as keys go along it; its work is moved among its part's. */
const asSteps = (lane: OtherLane): StepLane => ({
  blocks: lane.rows
    .flat()
    .sort((a, b) => a.fromMs - b.fromMs)
    .map((b) => ({ opId: b.opId, spans: [b], isMend: true })),
});

function byMachine(view: PlanView) {
  return view.machines.map((m) => ({
    ...m,
    lanes: view.lanes.filter((l) => l.machineId === m.machineId),
  }));
}

type Step =
  | { readonly kind: 'go'; readonly opId: string }
  | { readonly kind: 'move'; readonly sessionMs: number };

interface StepLane {
  readonly blocks: readonly Pick<PlanBlock, 'opId' | 'spans' | 'isMend'>[];
}
/** What an arrow does: along a part, to the next part, or with Shift the work itself to another session. */
function stepTo(
  lanes: readonly StepLane[],
  { columns }: Ground,
  opId: string | null,
  e: KeyboardEvent,
): Step | null {
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1 }[e.key];
  if (by === undefined || opId === null) return null;
  const at = lanes.findIndex((l) => l.blocks.some((b) => b.opId === opId));
  const lane = lanes[at];
  const i = lane?.blocks.findIndex((b) => b.opId === opId) ?? -1;
  const block = lane?.blocks[i];
  if (!lane || !block) return null;
  if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
    for (let k = at + by; k >= 0 && k < lanes.length; k += by) {
      const near = nearest(lanes[k]!, block.spans[0]!.fromMs);
      if (near) return { kind: 'go', opId: near };
    }
    return null;
  }
  if (e.shiftKey) {
    if (block.isMend) return null;
    const from = columns.findIndex(
      (c) => c.fromMs <= block.spans[0]!.fromMs && block.spans[0]!.fromMs < c.toMs,
    );
    const to = columns[from + by];
    return from < 0 || !to ? null : { kind: 'move', sessionMs: to.fromMs };
  }
  const next = lane.blocks[i + by];
  return next ? { kind: 'go', opId: next.opId } : null;
}

function nearest(lane: StepLane, atMs: number): string | null {
  const away = (b: StepLane['blocks'][number]): number => Math.abs(b.spans[0]!.fromMs - atMs);
  return [...lane.blocks].sort((a, b) => away(a) - away(b))[0]?.opId ?? null;
}

/** Days above the columns, and how full each session is. */
function Head({
  view,
  ground,
  session,
  onSession,
}: Pick<Props, 'view' | 'session' | 'onSession'> & { readonly ground: Ground }) {
  const monthOf = (ms: number): string => shownAt(ms, view.zone).month;
  const isNewMonth = (c: Column): boolean =>
    c.index === 0 || monthOf(c.fromMs) !== monthOf(ground.columns[c.index - 1]!.fromMs);
  return (
    <div className="sticky top-0 z-20 h-[78px] border-b border-line bg-panel">
      <span
        className="figure sticky left-0 z-10 inline-block h-full bg-panel px-2 pt-9 text-[13px] text-quiet"
        style={{ width: NAMES_PX }}
      >
        hands taken
      </span>
      {ground.columns.map((c) => {
        const s = view.sessions[c.index]!;
        const share = Math.min(1, s.takenMs / ((s.toMs - s.fromMs) * s.people));
        const isChosen = c.index === session;
        return (
          <button
            key={c.fromMs}
            type="button"
            aria-pressed={isChosen}
            aria-label={`Session ${dayAndClock(c.fromMs, view.zone)}, ${Math.round(share * 100)} % of its hands taken`}
            onClick={() => onSession(c.index)}
            className={`figure absolute top-0 h-full text-center text-[13px] leading-tight ${isChosen ? 'bg-chosen text-chosen-ink' : 'hover:bg-ground'}`}
            style={{ left: NAMES_PX + c.x, width: c.width }}
          >
            <span className="block pt-1">{isNewMonth(c) ? monthOf(c.fromMs) : '\u00a0'}</span>
            <span className="block">{weekdayAndDate(c.fromMs, view.zone)}</span>
            <span className="mx-1 mt-1 block h-[22px] border border-current/40" aria-hidden="true">
              <span className="block bg-current/60" style={{ height: `${(1 - share) * 100}%`, opacity: 0 }} />
              <span className="block bg-current/60" style={{ height: `${share * 100}%` }} />
            </span>
          </button>
        );
      })}
    </div>
  );
}

/** Gun-loads above the parts: one block each, with how many coats it holds. */
function RunRow({
  view,
  ground,
  session,
  onSession,
}: Pick<Props, 'view' | 'session' | 'onSession'> & { readonly ground: Ground }) {
  return (
    <div className="relative h-[30px] border-b border-line">
      <span
        className="figure sticky left-0 z-10 flex h-full items-center bg-panel px-2 text-[13px] text-quiet"
        style={{ width: NAMES_PX }}
      >
        gun-loads
      </span>
      {view.runs.map((r) => {
        const left = xAt(ground, r.fromMs);
        const column = ground.columns.find((c) => c.fromMs <= r.fromMs && r.fromMs < c.toMs);
        return (
          <button
            key={r.runId}
            type="button"
            tabIndex={-1}
            title={`${r.name}${r.colour === null ? '' : `, ${r.colour}`}: ${r.parts.join(', ')}`}
            aria-label={`${r.name}, ${r.parts.length} coats`}
            onClick={() => column && onSession(column.index)}
            className={`figure absolute top-[5px] h-[20px] overflow-hidden border border-ink text-[12px] ${column?.index === session ? 'outline-1 outline-ink' : ''}`}
            style={{
              left: NAMES_PX + left,
              width: Math.max(9, xAt(ground, r.toMs) - left),
              background: r.bandColour,
            }}
          >
            <span className="bg-panel/85 px-0.5 text-ink">{r.parts.length}</span>
          </button>
        );
      })}
    </div>
  );
}

/** Now, the end of the forecast, and the dates machines are due. */
function Lines({ view, ground }: { readonly view: PlanView; readonly ground: Ground }) {
  const line = (ms: number, text: string, look: string) => (
    <div
      key={text}
      className={`pointer-events-none absolute top-[78px] bottom-0 border-l ${look}`}
      style={{ left: NAMES_PX + xAt(ground, ms) }}
    >
      <span className="figure sticky top-[142px] z-10 ml-1 bg-panel/85 text-[12px] text-quiet">{text}</span>
    </div>
  );
  return (
    <>
      {line(view.forecastEndMs, 'forecast ends', 'border-dashed border-wait')}
      {view.machines.flatMap((m) =>
        m.dueMs !== null && m.dueMs < view.endMs ? [line(m.dueMs, `${m.name} due`, 'border-bad')] : [],
      )}
    </>
  );
}

const LIMIT_WORDS: Readonly<Record<DragLimit['why'], string>> = {
  before: 'what it follows is not done before',
  opens: 'its window does not open before',
  shut: 'its window shuts',
};
/** While work is dragged: what speaks against the session under the pointer, as the rest of the plan stands. */
function DragWords({ view, dragged }: { readonly view: PlanView; readonly dragged: Dragged | null }) {
  if (!dragged?.to) return null;
  const { opId, to } = dragged;
  const limit = dragLimit(view, opId, to);
  return (
    <p
      role="status"
      className={`sticky top-0 left-0 z-20 w-fit border bg-panel px-2 py-0.5 text-[14px] ${limit ? 'border-bad text-bad' : 'border-ink'}`}
    >
      {timeWords(to.fromMs, view)}:{' '}
      {limit ? `${LIMIT_WORDS[limit.why]} ${timeWords(limit.limitMs, view)}` : 'nothing against it so far'}
    </p>
  );
}
