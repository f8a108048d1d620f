import { useId, useState } from 'react';
import { DEW_MARGIN_K, fFromC, showTemperature, type UnitPreference } from '@calvetta/core';
import { dayAndClock } from '../ui/time.ts';
import { xOf, type TimeAxis } from './axis.ts';
import { nearest, pathsOf, piecesOf, scaleOf, type Dash, type TempPoint } from './tempScale.ts';

interface TempLine {
  readonly name: string;
  readonly points: readonly TempPoint[];
  /** A colour of the theme, by its variable. */
  readonly colour: string;
  readonly widthPx: number;
}

interface Props {
  /** Of the plot: the scale stands to the left of it. */
  readonly axis: TimeAxis;
  readonly scalePx: number;
  readonly heightPx: number;
  /** From the foremost to the hindmost. */
  readonly lines: readonly TempLine[];
  /** The dew point, with its keep-out above it. */
  readonly dew: readonly TempPoint[];
  readonly marks: readonly { readonly atMs: number; readonly text: string }[];
  readonly label: string;
  readonly units: UnitPreference;
  readonly zone: string;
}

const DASHES: Readonly<Record<Dash, string | undefined>> = {
  known: undefined,
  forecast: '6 3',
  assumed: '2 4',
};
const TOP = 10;
const FONT = { fontFamily: 'var(--font-figure)', fontSize: 12.5 } as const;

/**
 * Temperatures along time, drawn as the ribbons above them are and on their axis: what was measured whole, what is forecast dashed, what is
 * assumed dotted; the dew point with the margin that keeps paint off. Under a pointer, and by arrow keys, it says each at that moment.
 */
export function TempLines({ axis, scalePx, heightPx, lines, dew, marks, label, units, zone }: Props) {
  const temp = (c: number): string => showTemperature(c, units, 1).text;
  const shown = (c: number): number => (units.temperature === 'F' ? fFromC(c) : c);
  const time = (ms: number): string => dayAndClock(ms, zone);
  const plotId = useId();
  const [atMs, setAtMs] = useState<number | null>(null);
  const keepOut = dew.map((p) => ({ ...p, c: p.c + DEW_MARGIN_K }));
  const scale = scaleOf([...lines.map((l) => l.points), dew, keepOut], axis, shown);
  const y = (c: number): number => TOP + (1 - scale.shareOf(c)) * (heightPx - 2 * TOP);
  const x = (ms: number): number => xOf(axis, ms);
  const move = (by: number): void =>
    setAtMs((was) => Math.min(axis.toMs, Math.max(axis.fromMs, (was ?? axis.fromMs) + by)));
  const all: readonly TempLine[] = [
    ...lines,
    { name: 'dew point', points: dew, colour: '--s-shut', widthPx: 1.5 },
  ];
  const width = axis.widthPx + scalePx;
  return (
    <figure className="m-0">
      <svg
        width={width}
        height={heightPx}
        role="img"
        tabIndex={0}
        aria-label={`${label}. ${saidAt(all, atMs ?? axis.toMs, temp, time)}`}
        className="block touch-pan-y"
        onPointerMove={(e) => {
          const px = e.clientX - e.currentTarget.getBoundingClientRect().left - scalePx;
          setAtMs(axis.fromMs + (px / axis.widthPx) * (axis.toMs - axis.fromMs));
        }}
        onPointerLeave={() => setAtMs(null)}
        onKeyDown={(e) => {
          if (e.key === 'ArrowRight') move(1_800_000);
          if (e.key === 'ArrowLeft') move(-1_800_000);
        }}
      >
        <Ticks ticks={scale.ticks} y={y} scalePx={scalePx} widthPx={width} />
        <g transform={`translate(${scalePx} 0)`}>
          <clipPath id={plotId}>
            <rect width={axis.widthPx} height={heightPx} />
          </clipPath>
          <g clipPath={`url(#${plotId})`}>
            {bandOf(dew, x, y).map((d) => (
              <path key={d} d={d} fill="var(--s-shut)" fillOpacity={0.2} />
            ))}
            {[...all].reverse().flatMap((l) =>
              piecesOf(l.points)
                .flatMap((piece) => pathsOf(piece, x, y))
                .map(({ d, dash }) => (
                  <path
                    key={`${l.name}${d.slice(0, 24)}`}
                    d={d}
                    fill="none"
                    stroke={`var(${l.colour})`}
                    strokeWidth={l.widthPx}
                    strokeDasharray={DASHES[dash]}
                  />
                )),
            )}
            <Marks marks={marks} x={x} widthPx={axis.widthPx} heightPx={heightPx} />
            {atMs === null ? null : (
              <path d={`M${x(atMs)} ${TOP}V${heightPx - TOP}`} stroke="var(--ink)" strokeOpacity={0.4} />
            )}
          </g>
        </g>
      </svg>
      <figcaption className="figure flex min-h-5 flex-wrap gap-x-4 text-[13px] text-quiet" aria-hidden="true">
        {atMs === null ? (
          <Legend lines={all} />
        ) : (
          <span className="text-ink">{saidAt(all, atMs, temp, time)}</span>
        )}
      </figcaption>
    </figure>
  );
}

interface TicksProps {
  readonly ticks: ReturnType<typeof scaleOf>['ticks'];
  readonly y: (c: number) => number;
  readonly scalePx: number;
  readonly widthPx: number;
}

/** Whole steps of the reader's degrees, ruled across the plot. */
const Ticks = ({ ticks, y, scalePx, widthPx }: TicksProps) =>
  ticks.map((t) => (
    <g key={t.shown}>
      <path d={`M${scalePx} ${y(t.c)}H${widthPx}`} stroke="var(--line)" />
      <text x={scalePx - 6} y={y(t.c) + 4} textAnchor="end" fill="var(--quiet)" {...FONT}>
        {t.shown}°
      </text>
    </g>
  ));

function Legend({ lines }: { readonly lines: readonly TempLine[] }) {
  return (
    <>
      {lines.map((l) => (
        <span key={l.name} className="flex items-center gap-1.5">
          <svg width="18" height="6">
            <path d="M0 3H18" stroke={`var(${l.colour})`} strokeWidth={Math.max(1.5, l.widthPx)} />
          </svg>
          {l.name}
        </span>
      ))}
      <span className="flex items-center gap-1.5">
        <svg width="18" height="8">
          <rect width="18" height="8" fill="var(--s-shut)" fillOpacity={0.2} />
        </svg>
        keep-out, {DEW_MARGIN_K} K above it
      </span>
    </>
  );
}

/** What each line is at a moment, in words. */
function saidAt(
  lines: readonly TempLine[],
  atMs: number,
  temp: (c: number) => string,
  time: (ms: number) => string,
): string {
  const there = lines.flatMap((l) => {
    const p = nearest(l.points, atMs);
    return p ? [`${l.name} ${temp(p.c)}${p.dash === 'known' ? '' : ', predicted'}`] : [];
  });
  return there.length === 0 ? '' : `${time(atMs)}: ${there.join(' · ')}`;
}

/** The keep-out above the dew point, wherever that is known. */
function bandOf(dew: readonly TempPoint[], x: (ms: number) => number, y: (c: number) => number): string[] {
  return piecesOf(dew)
    .filter((p) => p.length > 1)
    .map((piece) => {
      const edge = (list: readonly TempPoint[], above: number): string =>
        list.map((p) => `${x(p.atMs).toFixed(1)} ${y(p.c + above).toFixed(1)}`).join('L');
      return `M${edge(piece, 0)}L${edge([...piece].reverse(), DEW_MARGIN_K)}Z`;
    });
}

interface MarksProps {
  readonly marks: Props['marks'];
  readonly x: (ms: number) => number;
  readonly widthPx: number;
  readonly heightPx: number;
}
/** Words of marks nearer than this to one another stand on lines of their own. */
const NEAR_PX = 90;

/** Upright lines with their words: coats, and now. */
function Marks({ marks, x, widthPx, heightPx }: MarksProps) {
  let lastX = -Infinity;
  let row = 0;
  return [...marks]
    .sort((a, b) => a.atMs - b.atMs)
    .map((m) => {
      const px = x(m.atMs);
      if (px < 0 || px > widthPx) return null;
      row = px - lastX < NEAR_PX ? row + 1 : 0;
      lastX = px;
      const isRight = px > widthPx - 110;
      const isNow = m.text === 'now';
      return (
        <g key={`${m.atMs}${m.text}`}>
          <path
            d={`M${px} ${TOP}V${heightPx - TOP}`}
            stroke="var(--ink)"
            strokeWidth={isNow ? 1.5 : 1}
            strokeDasharray={isNow ? undefined : '3 3'}
          />
          <text
            x={px + (isRight ? -4 : 4)}
            y={TOP + 11 + row * 14}
            textAnchor={isRight ? 'end' : 'start'}
            fontWeight={600}
            fill="var(--ink)"
            {...FONT}
          >
            {m.text}
          </text>
        </g>
      );
    });
}
