import { unfitSpans, type Edge, type RibbonSpan, type Span } from '@calvetta/core';
import { SPAN_WORDS } from '@calvetta/contract/words';
import { clampX, xOf, type TimeAxis } from './axis.ts';
import { SPAN_FILL, SPAN_STROKE } from './ribbonLook.ts';

const THIN: readonly RibbonSpan['state'][] = ['shut', 'out', 'forbidden', 'unknown', 'cured'];

interface Props {
  readonly axis: TimeAxis;
  readonly heightPx: number;
  readonly spans: readonly RibbonSpan[];
  readonly nowMs: number;
  /** Beyond this nothing is forecast: predictions are fainter still. */
  readonly forecastEndMs: number;
  readonly nights: readonly Span[];
  /** Spans in which the air is predicted to let the next coat go on; the rest is dotted behind. Null: not asked. */
  readonly fit: readonly Span[] | null;
  readonly opens?: Edge | null;
  readonly shuts?: Edge | null;
  /** The coat cannot go on now because of the air: the open span is drawn hollow. */
  readonly isHeld?: boolean;
  /** Words inside the bars: for a large ribbon. In lists the word has its own column. */
  readonly withWords?: boolean;
  /** When the kept plan has its next act: a pennant; past the axis an arrow at its end. */
  readonly plannedMs?: number | null;
  readonly label: string;
}

/** A prediction fades: what happened is full, the forecast lighter, beyond it lighter again. */
function faded(
  span: Span,
  nowMs: number,
  forecastEndMs: number,
): { from: number; to: number; opacity: number }[] {
  const cuts = [span.fromMs, nowMs, forecastEndMs, span.toMs]
    .filter((c) => c >= span.fromMs && c <= span.toMs)
    .sort((a, b) => a - b);
  return cuts.slice(1).map((to, i) => {
    const from = cuts[i]!;
    return { from, to, opacity: to <= nowMs ? 1 : to <= forecastEndMs ? 0.85 : 0.5 };
  });
}

/** A whisker from the best to the worst case of an edge, with a tick at the nominal. */
function Whisker({ edge, axis, y }: { readonly edge: Edge; readonly axis: TimeAxis; readonly y: number }) {
  const known = [edge.bestMs, edge.worstMs].filter((m) => m !== null);
  if (known.length < 2 || edge.isUnknown) return null;
  const [a, b] = [clampX(axis, Math.min(...known)), clampX(axis, Math.max(...known))];
  if (b - a < 2) return null;
  const nominal = edge.nominalMs === null ? null : xOf(axis, edge.nominalMs);
  return (
    <g stroke="var(--ink)" strokeWidth="1">
      <path d={`M${a} ${y}H${b}`} strokeOpacity="0.7" />
      {nominal !== null && nominal >= a && nominal <= b ? <path d={`M${nominal} ${y - 2.5}v5`} /> : null}
    </g>
  );
}

/** Time bar of one coat: early, open, closing, shut — with lift bands, keyed, bare metal running out. Signature drawing 2. */
export function WindowRibbon({
  axis,
  heightPx,
  spans,
  nowMs,
  forecastEndMs,
  nights,
  fit,
  opens,
  shuts,
  isHeld = false,
  withWords = false,
  plannedMs = null,
  label,
}: Props) {
  const bar = Math.round(heightPx * (withWords ? 0.56 : 0.5));
  const top = Math.round((heightPx - bar) / 2) - 1;
  const dots = fit === null ? [] : unfitSpans(fit, nowMs, Math.min(forecastEndMs, axis.toMs));
  return (
    <svg width={axis.widthPx} height={heightPx} role="img" aria-label={label} className="block">
      {nights.map((n) => (
        <rect
          key={n.fromMs}
          x={clampX(axis, n.fromMs)}
          width={Math.max(0, clampX(axis, n.toMs) - clampX(axis, n.fromMs))}
          y={0}
          height={heightPx}
          fill="var(--s-night)"
        />
      ))}
      {dots.map((d) => (
        <rect
          key={d.fromMs}
          x={clampX(axis, d.fromMs)}
          width={Math.max(0, clampX(axis, d.toMs) - clampX(axis, d.fromMs))}
          y={1}
          height={heightPx - 2}
          fill="url(#t-unfit)"
        />
      ))}
      {spans.flatMap((s) =>
        faded(s, nowMs, forecastEndMs).map((f) => {
          const x = clampX(axis, f.from);
          const width = clampX(axis, f.to) - x;
          if (width <= 0) return null;
          // What is lost is drawn thin: the eye goes to what can still be done.
          const isThin = !withWords && THIN.includes(s.state);
          const hollow =
            isHeld &&
            (s.state === 'open' || s.state === 'closing' || s.state === 'keyed' || s.state === 'bare');
          return (
            <rect
              key={`${s.state}${f.from}`}
              x={x}
              y={isThin ? top + bar / 2 - 2.5 : top}
              width={width}
              height={isThin ? 5 : bar}
              fill={SPAN_FILL[s.state]}
              fillOpacity={hollow ? 0.22 : f.opacity}
              opacity={f.opacity < 0.6 ? 0.7 : 1}
              stroke={SPAN_STROKE[s.state]}
              strokeWidth={hollow ? 1.5 : 0.75}
              strokeDasharray={hollow ? '4 2' : undefined}
            />
          );
        }),
      )}
      {opens ? <Whisker edge={opens} axis={axis} y={top + bar + 3} /> : null}
      {shuts ? <Whisker edge={shuts} axis={axis} y={top + bar + 3} /> : null}
      {withWords
        ? spans.map((s) => <SpanWord key={`w${s.fromMs}${s.state}`} span={s} axis={axis} y={top + bar / 2} />)
        : null}
      <path d={`M${xOf(axis, nowMs)} 0V${heightPx}`} stroke="var(--ink)" strokeWidth="1.5" />
      {plannedMs === null ? null : <Pennant axis={axis} atMs={plannedMs} heightPx={heightPx} />}
    </svg>
  );
}

/** A pennant where something is planned; where that is past the axis, an arrow towards it. */
function Pennant({
  axis,
  atMs,
  heightPx,
}: {
  readonly axis: TimeAxis;
  readonly atMs: number;
  readonly heightPx: number;
}) {
  const x = clampX(axis, atMs);
  const d =
    atMs > axis.toMs
      ? `M${axis.widthPx - 9} ${heightPx / 2 - 5}l8 5l-8 5z`
      : `M${x} ${heightPx}V1l9 3.5l-9 3.5`;
  return (
    <path d={d} fill="var(--mark)" stroke="var(--mark)" strokeWidth="1.2" strokeLinejoin="round">
      <title>{atMs > axis.toMs ? 'Planned later than is shown here' : 'Planned for then'}</title>
    </path>
  );
}

/** The word stands on a plate of its own, so that no texture makes it hard to read. */
function SpanWord({
  span,
  axis,
  y,
}: {
  readonly span: RibbonSpan;
  readonly axis: TimeAxis;
  readonly y: number;
}) {
  const x = clampX(axis, span.fromMs);
  const width = clampX(axis, span.toMs) - x;
  const word = SPAN_WORDS[span.state];
  const need = word.length * 6.2 + 10;
  if (width < need) return null;
  return (
    <g>
      <rect x={x + 4} y={y - 8} width={need} height={16} rx={2} fill="var(--panel)" />
      <text
        x={x + 9}
        y={y + 4}
        fontSize="12"
        fontFamily="var(--font-figure)"
        fontWeight="600"
        fill="var(--ink)"
      >
        {word}
      </text>
    </g>
  );
}
