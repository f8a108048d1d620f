import { useMemo } from 'react';
import type { SurfaceSource } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SURFACE_SOURCE_WORDS } from '@calvetta/contract/words';
import type { TimeAxis } from '../../drawings/axis.ts';
import { TempLines } from '../../drawings/TempLines.tsx';
import type { Dash } from '../../drawings/tempScale.ts';
import { usePrefs } from '../../state/prefs.ts';
import { SCALE_PX } from './TimeBoard.tsx';

const DASH: Readonly<Record<SurfaceSource, Dash>> = {
  surface: 'known',
  lag: 'known',
  forecast: 'forecast',
  usual: 'assumed',
  assumed: 'assumed',
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
  const units = usePrefs((s) => s.units);
  const points = useMemo(
    () => part.trace.filter((p) => p.atMs >= axis.fromMs - 3_600_000 && p.atMs <= axis.toMs + 3_600_000),
    [part.trace, axis.fromMs, axis.toMs],
  );
  // What the air will be is a forecast, however the part's own temperature is known.
  const ahead = (ms: number): Dash => (ms > part.nowMs ? 'forecast' : 'known');
  const coats = part.facts.flatMap((f) =>
    f.kind === 'coated' && f.isStanding
      ? [{ atMs: f.endedAtMs ?? f.happenedAtMs, text: f.productName ?? 'coat' }]
      : [],
  );
  const used = [...new Set(points.map((p) => p.source))];
  return (
    <>
      <TempLines
        axis={axis}
        scalePx={SCALE_PX}
        heightPx={212}
        lines={[
          {
            name: 'part',
            points: points.map((p) => ({ atMs: p.atMs, c: p.surfaceC, dash: DASH[p.source] })),
            colour: '--ink',
            widthPx: 2,
          },
          {
            name: 'air',
            points: points.map((p) => ({ atMs: p.atMs, c: p.airC, dash: ahead(p.atMs) })),
            colour: '--wait',
            widthPx: 1.2,
          },
        ]}
        dew={points.flatMap((p) =>
          p.dewC === null ? [] : [{ atMs: p.atMs, c: p.dewC, dash: ahead(p.atMs) }],
        )}
        marks={[...coats, { atMs: part.nowMs, text: 'now' }]}
        label="Temperature of the part, its air and the dew point"
        units={units}
        zone={part.zone}
      />
      <p className="text-[13px] text-quiet">
        Part: {used.map((s) => SURFACE_SOURCE_WORDS[s]).join(', then ')}. Dashed is predicted, ± 2 K; dotted
        is assumed.
      </p>
    </>
  );
}
