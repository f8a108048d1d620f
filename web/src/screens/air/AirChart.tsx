import type { ChartData } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { DEW_MARGIN_K, fFromC } from '@calvetta/core';
import type { PlaceAirResponse } from '@calvetta/contract';
import { AxisHead } from '../../drawings/AxisHead.tsx';
import { clampX, type TimeAxis } from '../../drawings/axis.ts';
import { usePrefs } from '../../state/prefs.ts';
import { colour, marksPlugin, timeOptions } from '../../ui/chart.ts';
import { clockTime } from '../../ui/time.ts';
import { useWidth } from '../../ui/useWidth.ts';

const SCALE_PX = 46;
const DAY_MS = 86_400_000;

/** Air and dew point, measured and forecast, with the spans fit for coating above it. */
export default function AirChart({ air }: { readonly air: PlaceAirResponse }) {
  const unit = usePrefs((s) => s.units.temperature);
  const theme = usePrefs((s) => s.theme);
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
          <div className="h-[240px]">
            <Line
              key={`${theme}${unit}${air.nowMs}${width}`}
              data={dataOf(air, unit, theme)}
              options={timeOptions({
                axis,
                zone: air.zone,
                theme,
                scalePx: SCALE_PX,
                unitText: unit === 'F' ? '°F' : '°C',
                time: (ms) => clockTime(ms, air.zone),
              })}
              plugins={[marksPlugin([{ atMs: air.nowMs, text: 'now' }], theme)]}
              role="img"
              aria-label="Air and dew point of the place"
            />
          </div>
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

function dataOf(
  air: PlaceAirResponse,
  unit: 'C' | 'F',
  theme: string,
): ChartData<'line', { x: number; y: number }[]> {
  const shown = (c: number): number => (unit === 'F' ? fFromC(c) : c);
  const sources = air.points.map((p) => p.source);
  const dew = air.points.filter((p) => p.dewC !== null);
  const dash = (list: readonly { source: string }[]) => ({
    borderDash: (c: { p1DataIndex: number }) => (list[c.p1DataIndex]?.source === 'forecast' ? [6, 3] : []),
  });
  return {
    datasets: [
      {
        label: 'air',
        data: air.points.map((p) => ({ x: p.atMs, y: shown(p.airC) })),
        borderColor: colour('--ink', theme),
        borderWidth: 1.8,
        segment: dash(sources.map((source) => ({ source }))),
      },
      {
        label: 'dew point',
        data: dew.map((p) => ({ x: p.atMs, y: shown(p.dewC!) })),
        borderColor: colour('--s-shut', theme),
        borderWidth: 1.5,
        segment: dash(dew),
      },
      {
        label: `keep-out, ${DEW_MARGIN_K} K above`,
        data: dew.map((p) => ({ x: p.atMs, y: shown(p.dewC! + DEW_MARGIN_K) })),
        borderColor: colour('--s-shut', theme),
        borderWidth: 0.5,
        backgroundColor: `${colour('--s-shut', theme)}33`,
        fill: '-1',
      },
    ],
  };
}
