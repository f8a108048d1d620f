import type { PointerEvent } from 'react';
import type { PlanBlock, PlanLane, PlanView } from '@calvetta/core';
import { LACK_WORDS } from '@calvetta/contract/words';
import { Columns } from './Columns.tsx';
import { xAt, type Column, type Ground } from './geometry.ts';
import { blockWords, isRisky, slackWords, spanWords } from './planWords.ts';

/** Work under a finger, and the session it would be let go in. */
export interface Dragged {
  readonly opId: string;
  readonly to: Column | null;
}

interface Props {
  readonly lane: PlanLane;
  readonly view: PlanView;
  readonly ground: Ground;
  readonly namesPx: number;
  readonly session: number;
  readonly chosen: string | null;
  readonly dragged: Dragged | null;
  readonly onBlock: (opId: string) => void;
  readonly onDrag: (opId: string) => void;
}

const LANE_PX = 26;

/** One part through the weeks: its work as blocks, the windows between its coats behind them. */
export function LaneRow({ lane, view, ground, namesPx, session, chosen, dragged, onBlock, onDrag }: Props) {
  const lack =
    view.left.find((l) => l.partId === lane.partId) ?? view.asks.find((a) => a.partId === lane.partId);
  return (
    <div className="relative border-b border-line/60" style={{ height: LANE_PX }}>
      <span
        className="sticky left-0 z-10 flex h-full items-center gap-1 truncate bg-panel px-2 text-[13px]"
        style={{ width: namesPx }}
        title={lack ? `${lane.name}: ${LACK_WORDS[lack.lack].is}` : lane.name}
      >
        {lack ? (
          <span aria-label="not all of it is planned" className="text-bad">
            ◦
          </span>
        ) : null}
        {lane.name}
      </span>
      <svg
        className="absolute top-0"
        style={{ left: namesPx }}
        width={ground.widthPx}
        height={LANE_PX}
        aria-hidden="true"
      >
        <Columns ground={ground} height={LANE_PX} session={session} />
        {lane.blocks.map((b) => (
          <Windows key={b.opId} block={b} ground={ground} />
        ))}
        {dragged && lane.blocks.some((b) => b.opId === dragged.opId) ? (
          <Limits block={lane.blocks.find((b) => b.opId === dragged.opId)!} to={dragged.to} ground={ground} />
        ) : null}
      </svg>
      {lane.blocks.map((b, i) =>
        b.spans.map((s, k) => (
          <BlockButton
            key={`${b.opId} ${k}`}
            block={b}
            label={`${lane.name}: ${blockWords(b)}, ${spanWords(s, view)}${slackWords(b) ? `, ${slackWords(b)}` : ''}`}
            left={namesPx + xAt(ground, s.fromMs)}
            width={Math.max(4, xAt(ground, s.toMs) - xAt(ground, s.fromMs))}
            isChosen={chosen === b.opId}
            isStop={chosen === null ? i === 0 && k === 0 : chosen === b.opId && k === 0}
            onBlock={onBlock}
            onDrag={onDrag}
          />
        )),
      )}
    </div>
  );
}

/** When the coat could go on, from its opening edge to its shut edge, and the wait before it. */
function Windows({ block, ground }: { readonly block: PlanBlock; readonly ground: Ground }) {
  if (!block.coat) return null;
  const { opensMs, shutsMs, touchMs } = block.coat;
  const endMs = block.spans[0]!.toMs;
  const wet = [xAt(ground, endMs), xAt(ground, touchMs)] as const;
  const bar = opensMs === null ? null : ([xAt(ground, opensMs), xAt(ground, shutsMs ?? endMs)] as const);
  return (
    <>
      <rect x={wet[0]} y={LANE_PX - 6} width={Math.max(0, wet[1] - wet[0])} height={4} fill="url(#t-early)" />
      {bar ? (
        <rect
          x={bar[0]}
          y={LANE_PX - 5}
          width={Math.max(1, bar[1] - bar[0])}
          height={3}
          fill="var(--s-open)"
        />
      ) : null}
    </>
  );
}

/** While it is dragged: where its window is open, and the session under the finger. */
function Limits({
  block,
  to,
  ground,
}: {
  readonly block: PlanBlock;
  readonly to: Column | null;
  readonly ground: Ground;
}) {
  const opensX = block.coat?.opensMs == null ? 0 : xAt(ground, block.coat.opensMs);
  const shutsX = block.coat?.shutsMs == null ? ground.widthPx : xAt(ground, block.coat.shutsMs);
  return (
    <>
      <rect
        x={opensX}
        width={Math.max(0, shutsX - opensX)}
        height={LANE_PX}
        fill="var(--s-open)"
        fillOpacity={0.25}
      />
      {to ? (
        <rect x={to.x} width={to.width} height={LANE_PX} fill="none" stroke="var(--ink)" strokeWidth={2} />
      ) : null}
    </>
  );
}

interface ButtonProps {
  readonly block: PlanBlock;
  readonly label: string;
  readonly left: number;
  readonly width: number;
  readonly isChosen: boolean;
  readonly isStop: boolean;
  readonly onBlock: (opId: string) => void;
  readonly onDrag: (opId: string) => void;
}

function BlockButton({ block, label, left, width, isChosen, isStop, onBlock, onDrag }: ButtonProps) {
  const isCoat = block.coat !== null;
  const press = (e: PointerEvent): void => {
    onBlock(block.opId);
    // A finger scrolls; a mouse or a pen drags. What mends a window goes with its coat.
    if (e.pointerType !== 'touch' && !block.isMend) onDrag(block.opId);
  };
  return (
    <button
      type="button"
      tabIndex={isStop ? 0 : -1}
      ref={(el) => {
        if (
          isChosen &&
          el &&
          document.activeElement?.closest('[data-plan-block]') &&
          document.activeElement !== el
        )
          el.focus();
      }}
      data-plan-block={block.opId}
      aria-label={label}
      aria-pressed={isChosen}
      title={label}
      onPointerDown={press}
      onClick={() => onBlock(block.opId)}
      className={`absolute z-[5] cursor-grab ${isCoat ? 'top-[3px] h-[17px]' : 'top-[6px] h-[11px]'} ${
        isChosen ? 'outline-2 outline-offset-1 outline-ink' : ''
      }`}
      style={{ left, width, ...lookOf(block) }}
    >
      {isCoat && isRisky(block) ? (
        <span
          className="pointer-events-none absolute inset-x-0 -top-[3px] h-[3px] bg-warn"
          aria-hidden="true"
        />
      ) : null}
    </button>
  );
}

/** A coat has its own colour, hands are ink, a look is hollow, what is lost is hatched. */
export function lookOf(b: PlanBlock): { background: string; border: string } {
  if (b.coat) return { background: b.coat.bandColour, border: '1px solid var(--ink)' };
  if (b.isMend)
    return {
      background: 'repeating-linear-gradient(45deg, var(--s-shut) 0 2px, transparent 2px 5px)',
      border: '1px solid var(--s-shut)',
    };
  if (b.isLook) return { background: 'var(--panel)', border: '1px solid var(--ink)' };
  return { background: 'color-mix(in srgb, var(--ink) 45%, var(--panel))', border: '0' };
}
