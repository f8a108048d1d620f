import { useState, type ReactNode } from 'react';
import type { PartDetail } from '@calvetta/contract';
import { CURE_WORDS } from '@calvetta/contract/words';
import type { TimeAxis } from '../../drawings/axis.ts';
import { AxisHead } from '../../drawings/AxisHead.tsx';
import { WindowRibbon } from '../../drawings/WindowRibbon.tsx';
import { useNowMs } from '../../state/clock.ts';
import { StateWord } from '../../ui/StateWord.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { useWidth } from '../../ui/useWidth.ts';
import { faceName } from './faceName.ts';

/** Width of the scale beside the trace: the ribbons above it start at the same pixel, so that both share one axis. */
export const SCALE_PX = 46;

const SPANS = [
  { value: '24', text: '1 d' },
  { value: '72', text: '3 d' },
  { value: '168', text: '7 d' },
] as const;

/** The faces' ribbons above the temperature trace, on one time axis. */
export function TimeBoard({
  part,
  children,
}: {
  readonly part: PartDetail;
  readonly children: (axis: TimeAxis) => ReactNode;
}) {
  const nowMs = useNowMs();
  const [span, setSpan] = useState<(typeof SPANS)[number]['value']>('72');
  const hours = Number(span);
  const [ref, width] = useWidth();
  const pastMs = hours * 0.4 * 3_600_000;
  const axis: TimeAxis = {
    fromMs: nowMs - pastMs,
    toMs: nowMs - pastMs + hours * 3_600_000,
    widthPx: Math.max(0, width - SCALE_PX),
  };
  return (
    <section aria-label="Windows and temperature" className="border border-line bg-panel p-3">
      <div className="flex items-center justify-between">
        <h2 className="text-[16px]">Windows and temperature</h2>
        <OneOf label="Time shown" size="line" options={SPANS} value={span} onChange={setSpan} />
      </div>
      <div ref={ref}>
        {width > 0 ? (
          <>
            <div style={{ marginLeft: SCALE_PX }}>
              <AxisHead axis={axis} nowMs={nowMs} zone={part.zone} />
              {part.faces.map((f) => (
                <div key={f.face} className="pb-1">
                  <p className="flex items-baseline gap-2 text-[13px] text-quiet">
                    {part.faces.length > 1 ? (
                      <span className="figure text-ink">{faceName(part, f.face)}</span>
                    ) : null}
                    <StateWord headline={f.headline} />
                    {f.cure ? <span>film {CURE_WORDS[f.cure]}</span> : null}
                  </p>
                  <WindowRibbon
                    axis={axis}
                    heightPx={48}
                    spans={f.spans}
                    nowMs={nowMs}
                    forecastEndMs={part.forecastEndMs}
                    nights={part.nights}
                    fit={part.card.next && f.face === part.card.face ? part.card.fit : null}
                    opens={f.intervals[0]?.from ?? null}
                    shuts={f.intervals[0]?.to ?? f.bare?.edge ?? null}
                    isHeld={f.headline === 'held'}
                    withWords
                    label={`Window of face ${f.face}: ${f.headline}`}
                  />
                </div>
              ))}
            </div>
            {children(axis)}
          </>
        ) : null}
      </div>
    </section>
  );
}
