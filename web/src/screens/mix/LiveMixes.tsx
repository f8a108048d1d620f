import { useState } from 'react';
import type { RibbonSpan } from '@calvetta/core';
import type { MixView } from '@calvetta/contract';
import { useStock } from '../../record/useRecord.ts';
import { WindowRibbon } from '../../drawings/WindowRibbon.tsx';
import type { TimeAxis } from '../../drawings/axis.ts';
import { useNowMs } from '../../state/clock.ts';
import { Button } from '../../ui/Button.tsx';
import { clockTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { isMixGone, mixWords } from '../../words/mixWords.ts';
import { LeftoverPanel } from './LeftoverPanel.tsx';

interface Props {
  readonly mixes: readonly MixView[];
  readonly zone: string;
}

/** What stands in the cups: how much, since when, and until when; and what else it can paint. */
export function LiveMixes({ mixes, zone }: Props) {
  const live = mixes.filter((m) => m.leftMl > 1);
  if (live.length === 0) return null;
  return (
    <section aria-label="In the cups now" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">In the cups now</h2>
      <ul>
        {live.map((m) => (
          <MixLine key={m.mixId} mix={m} zone={zone} />
        ))}
      </ul>
    </section>
  );
}

/** The last fifth of a pot life is for finishing what was begun (common practice, no published source). */
const CLOSING_SHARE = 0.2;

/** Early while it matures, open while it can be used, closing in its last fifth, then gone. */
export function mixSpans(mix: MixView, endMs: number): RibbonSpan[] {
  const usableMs = mix.usable.worstMs ?? mix.mixedMs;
  const goneMs = mix.gone === null ? endMs : (mix.gone.worstMs ?? endMs);
  const closingMs = mix.gone === null ? endMs : goneMs - CLOSING_SHARE * (goneMs - usableMs);
  const spans: RibbonSpan[] = [
    { state: 'early', prep: 'none', fromMs: mix.mixedMs, toMs: usableMs },
    { state: 'open', prep: 'none', fromMs: usableMs, toMs: closingMs },
    { state: 'closing', prep: 'none', fromMs: closingMs, toMs: goneMs },
    { state: 'out', prep: 'none', fromMs: goneMs, toMs: endMs },
  ];
  return spans.filter((s) => s.toMs > s.fromMs);
}

function MixLine({ mix, zone }: { readonly mix: MixView; readonly zone: string }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const stock = useStock();
  const [ref, width] = useWidth();
  const [isOpen, setOpen] = useState(false);
  const goneMs = mix.gone?.worstMs ?? null;
  const isGone = isMixGone(mix, nowMs);
  const axis: TimeAxis = {
    fromMs: mix.mixedMs - 600_000,
    toMs: Math.max((goneMs ?? mix.mixedMs + 8 * 3_600_000) + 1_800_000, nowMs + 1_800_000),
    widthPx: width,
  };
  const name = `${mix.productName}${mix.colour === null ? '' : `, ${mix.colour}`}`;
  return (
    <li className="border-t border-line/60 py-2 first:border-t-0">
      <div className="grid items-center gap-x-4 gap-y-1 md:grid-cols-[250px_110px_minmax(160px,1fr)_auto]">
        <div>
          <p className="figure text-[17px]">{name}</p>
          <p className="text-[13px] text-quiet">
            mixed {clockTime(mix.mixedMs, zone)}
            {mix.batch === null ? '' : ` · batch ${mix.batch}`} · {mix.thinPct.toFixed(0)} % thinner
          </p>
        </div>
        <p className="figure text-[26px] leading-none">{units.volume(mix.leftMl)}</p>
        <div ref={ref} className="min-w-0">
          {width > 0 ? (
            <WindowRibbon
              axis={axis}
              heightPx={26}
              spans={mixSpans(mix, axis.toMs)}
              nowMs={nowMs}
              forecastEndMs={axis.toMs}
              nights={[]}
              fit={null}
              opens={mix.usable}
              shuts={mix.gone}
              label={`${name}: ${mixWords(mix, nowMs, zone)}`}
            />
          ) : null}
          <p className={`text-[14px] ${isGone ? 'text-bad' : ''}`}>{mixWords(mix, nowMs, zone)}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          {isGone ? null : (
            <Button look={isOpen ? 'main' : 'plain'} aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
              What else can this paint?
            </Button>
          )}
          <Button
            look={isGone ? 'main' : 'quiet'}
            onClick={() =>
              void stock({
                kind: 'wasted',
                about: name,
                body: {
                  mixId: mix.mixId,
                  ml: Number(mix.leftMl.toFixed(1)),
                  why: isGone ? 'gone-off' : 'in-the-gun',
                },
              })
            }
          >
            {isGone ? 'Gone off: waste it' : 'The rest is waste'}
          </Button>
        </div>
      </div>
      {isOpen ? <LeftoverPanel mix={mix} zone={zone} /> : null}
      {isGone ? (
        <p className="mt-1 text-[13px] text-quiet">
          Mixed two-pack in a full cup heats and can catch fire: spread it thin outdoors to set, by local
          rules.
        </p>
      ) : null}
    </li>
  );
}
