import { useMemo } from 'react';
import type { ChartData, ChartOptions, Plugin } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { DEW_MARGIN_K, fFromC, type SurfaceSource } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SURFACE_SOURCE_WORDS } from '@calvetta/contract/words';
import type { TimeAxis } from '../../drawings/axis.ts';
import { usePrefs } from '../../state/prefs.ts';
import { colour, marksPlugin, timeOptions } from '../../ui/chart.ts';
import { clockTime } from '../../ui/time.ts';
import { SCALE_PX } from './TimeBoard.tsx';

const DASH: Readonly<Record<SurfaceSource, number[]>> = {
  surface: [],
  lag: [],
  forecast: [6, 3],
  usual: [2, 4],
  assumed: [2, 4],
};

interface Props {
  readonly part: PartDetail;
  readonly axis: TimeAxis;
}

/** The part's own temperature, its air, the dew point with the 3 K keep-out, and every coat marked. */
export default function Trace({ part, axis }: Props) {
  if (part.trace.length > 0) return <Lines part={part} axis={axis} />;
  return (
    <p className="py-3 text-quiet">
      Its temperature is not known: say where it stands, and give its mass and area. A reading of that place
      does the rest.
    </p>
  );
}

function Lines({ part, axis }: Props) {
  const unit = usePrefs((s) => s.units.temperature);
  const theme = usePrefs((s) => s.theme);
  const shown = (c: number): number => (unit === 'F' ? fFromC(c) : c);
  const points = useMemo(
    () => part.trace.filter((p) => p.atMs >= axis.fromMs - 3_600_000 && p.atMs <= axis.toMs + 3_600_000),
    [part.trace, axis.fromMs, axis.toMs],
  );
  const sources = points.map((p) => p.source);
  const data: ChartData<'line', { x: number; y: number }[]> = {
    datasets: [
      {
        label: 'part',
        data: points.map((p) => ({ x: p.atMs, y: shown(p.surfaceC) })),
        borderColor: colour('--ink', theme),
        borderWidth: 2,
        segment: { borderDash: (c) => DASH[sources[c.p1DataIndex] ?? 'lag'] },
      },
      {
        label: 'air',
        data: points.map((p) => ({ x: p.atMs, y: shown(p.airC) })),
        borderColor: colour('--wait', theme),
        borderWidth: 1.2,
      },
      {
        label: 'dew point',
        data: points.flatMap((p) => (p.dewC === null ? [] : [{ x: p.atMs, y: shown(p.dewC) }])),
        borderColor: colour('--s-shut', theme),
        borderWidth: 1.5,
      },
      {
        label: `keep-out, ${DEW_MARGIN_K} K above`,
        data: points.flatMap((p) =>
          p.dewC === null ? [] : [{ x: p.atMs, y: shown(p.dewC + DEW_MARGIN_K) }],
        ),
        borderColor: colour('--s-shut', theme),
        borderWidth: 0.5,
        backgroundColor: `${colour('--s-shut', theme)}33`,
        fill: '-1',
      },
    ],
  };
  const coats = part.facts.flatMap((f) =>
    f.kind === 'coated' && f.isStanding
      ? [{ atMs: f.endedAtMs ?? f.happenedAtMs, text: f.productName ?? 'coat' }]
      : [],
  );
  const options: ChartOptions<'line'> = timeOptions({
    axis,
    zone: part.zone,
    theme,
    scalePx: SCALE_PX,
    unitText: unit === 'F' ? '°F' : '°C',
    time: (ms) => clockTime(ms, part.zone),
  });
  const plugins: Plugin<'line'>[] = [marksPlugin([...coats, { atMs: part.nowMs, text: 'now' }], theme)];
  const used = [...new Set(sources)];
  return (
    <>
      <div className="h-[230px]">
        <Line
          key={`${theme}${unit}${part.nowMs}${axis.widthPx}`}
          data={data}
          options={options}
          plugins={plugins}
          aria-label="Temperature of the part, its air and the dew point"
          role="img"
        />
      </div>
      <p className="text-[13px] text-quiet">
        Part: {used.map((s) => SURFACE_SOURCE_WORDS[s]).join(', then ')}. Dashed is predicted, ± 2 K; dotted
        is assumed.
      </p>
    </>
  );
}
