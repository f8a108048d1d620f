import type { PlaceAirResponse } from '@calvetta/contract';
import { AxisHead } from '../../drawings/AxisHead.tsx';
import { clampX, type TimeAxis } from '../../drawings/axis.ts';
import { TempLines } from '../../drawings/TempLines.tsx';
import type { Dash } from '../../drawings/tempScale.ts';
import { usePrefs } from '../../state/prefs.ts';
import { useWidth } from '../../ui/useWidth.ts';

const SCALE_PX = 46;
const DAY_MS = 86_400_000;

/** Air and dew point, measured and forecast, with the spans fit for coating above it. */
export default function AirChart({ air }: { readonly air: PlaceAirResponse }) {
  const units = usePrefs((s) => s.units);
  const [ref, width] = useWidth();
  const axis: TimeAxis = {
    fromMs: air.nowMs - 3 * DAY_MS,
    toMs: Math.max(air.forecastEndMs, air.nowMs + DAY_MS),
    widthPx: Math.max(0, width - SCALE_PX),
  };
  return (
    <div ref={ref}>
      {width > 0 ? (
        <>
          <div style={{ marginLeft: SCALE_PX }}>
            <AxisHead axis={axis} nowMs={air.nowMs} zone={air.zone} />
            <FitBand air={air} axis={axis} />
          </div>
          <TempLines
            axis={axis}
            scalePx={SCALE_PX}
            heightPx={220}
            lines={[
              {
                name: 'air',
                points: air.points.map((p) => ({ atMs: p.atMs, c: p.airC, dash: dashOf(p.source) })),
                colour: '--ink',
                widthPx: 1.8,
              },
            ]}
            dew={air.points.flatMap((p) =>
              p.dewC === null ? [] : [{ atMs: p.atMs, c: p.dewC, dash: dashOf(p.source) }],
            )}
            marks={[{ atMs: air.nowMs, text: 'now' }]}
            label="Air and dew point of the place"
            units={units}
            zone={air.zone}
          />
        </>
      ) : null}
    </div>
  );
}

/** Predicted spans in which a part at air temperature may be coated. */
function FitBand({ air, axis }: { readonly air: PlaceAirResponse; readonly axis: TimeAxis }) {
  const nowX = clampX(axis, air.nowMs);
  return (
    <svg
      width={axis.widthPx}
      height={16}
      role="img"
      aria-label={`${air.fit.length} fit spans predicted`}
      className="block"
    >
      <rect x={nowX} width={Math.max(0, axis.widthPx - nowX)} y={2} height={12} fill="url(#t-unfit)" />
      {air.fit.map((f) => (
        <rect
          key={f.fromMs}
          x={clampX(axis, f.fromMs)}
          width={Math.max(0, clampX(axis, f.toMs) - clampX(axis, f.fromMs))}
          y={2}
          height={12}
          fill="var(--s-open)"
        />
      ))}
      <text
        x={Math.max(4, nowX - 6)}
        y={13}
        fontSize="12"
        textAnchor="end"
        fontFamily="var(--font-figure)"
        fill="var(--quiet)"
      >
        predicted fit
      </text>
    </svg>
  );
}

const dashOf = (source: PlaceAirResponse['points'][number]['source']): Dash =>
  source === 'measured' ? 'known' : source === 'forecast' ? 'forecast' : 'assumed';
