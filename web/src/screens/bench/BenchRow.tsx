import { memo } from 'react';
import { useNavigate } from 'react-router';
import type { BenchResponse, PartCard } from '@calvetta/contract';
import type { TimeAxis } from '../../drawings/axis.ts';
import { Section } from '../../drawings/Section.tsx';
import { WindowRibbon } from '../../drawings/WindowRibbon.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useFocusPart } from '../../state/focusPart.ts';
import { Button } from '../../ui/Button.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { useRowPx } from '../../ui/useMedia.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { actView, type ActView } from '../../words/actText.ts';
import { BENCH_GRID, FIRST_COLUMN } from './grid.ts';

interface Props {
  readonly card: PartCard;
  readonly bench: BenchResponse;
  readonly axis: TimeAxis;
  readonly fullUm: number;
  readonly isNarrow: boolean;
  /** What the kept plan says of it. */
  readonly planned: string | null;
  readonly plannedShort: string | null;
  readonly isPlanTrouble: boolean;
  readonly plannedMs: number | null;
}

/** One part in motion: its film, its state in a word, its window in time, and the one act that comes next. */
export const BenchRow = memo(function BenchRow({
  card,
  bench,
  axis,
  fullUm,
  isNarrow,
  planned,
  plannedShort,
  isPlanTrouble,
  plannedMs,
}: Props) {
  const nowMs = useNowMs();
  const units = useUnits();
  const rowPx = useRowPx();
  const navigate = useNavigate();
  const setFocus = useFocusPart((s) => s.set);
  const view = actView(card, nowMs, bench.zone, units);
  const whole = planned === null ? view.text : `${view.text} · ${planned}`;
  const line = (
    <span className="flex min-w-0 items-baseline gap-2 text-[13px]" title={whole}>
      <span className="min-w-0 flex-1 truncate max-md:text-quiet">{view.text}</span>
      {plannedShort === null ? null : <PlannedAt words={plannedShort} isTrouble={isPlanTrouble} />}
    </span>
  );
  const open = (): void => void navigate(`/parts/${encodeURIComponent(card.partId)}`);
  const ribbon = (
    <RowRibbon card={card} bench={bench} axis={axis} isNarrow={isNarrow} plannedMs={plannedMs} text={whole} />
  );
  const section = <RowFilm card={card} fullUm={fullUm} heightPx={isNarrow ? 40 : rowPx - 5} />;
  const row = {
    role: 'listitem',
    tabIndex: 0,
    'data-part': card.partId,
    'data-row': card.partId,
    'data-state': card.headline,
    onFocus: () => setFocus(card.partId),
    onClick: open,
    onKeyDown: (e: React.KeyboardEvent) => {
      if (e.key === 'Enter' && e.target === e.currentTarget) open();
    },
  } as const;
  const name = <PartName card={card} />;
  if (isNarrow)
    return (
      <div {...row} className="cursor-pointer border-b border-line px-1 py-1.5 focus:bg-panel">
        <div className="flex items-center gap-2">
          {section}
          <span className="min-w-0 flex-1">
            <span className="flex items-baseline justify-between gap-2">
              {name}
              <StateWord headline={card.headline} explains="in-row" />
            </span>
            {line}
          </span>
          <ActButton card={card} view={view} />
        </div>
        {ribbon}
      </div>
    );
  return (
    <div
      {...row}
      className={`${BENCH_GRID} h-(--row) cursor-pointer border-b border-line/60 hover:bg-panel focus:bg-panel`}
    >
      <span className={FIRST_COLUMN}>{section}</span>
      {name}
      <StateWord headline={card.headline} explains="in-row" />
      {ribbon}
      {line}
      <ActButton card={card} view={view} />
    </div>
  );
});

/** When the plan has it, with the plan's pennant; it never gives way to the act's words. */
function PlannedAt({ words, isTrouble }: { readonly words: string; readonly isTrouble: boolean }) {
  return (
    <span className={`figure shrink-0 text-[12px] ${isTrouble ? 'text-bad' : 'text-quiet'}`}>
      <svg viewBox="0 0 9 11" className="mr-1 inline h-[11px] w-[9px]" aria-hidden>
        <path d="M1 11V1l7 2.5L1 6" fill="var(--mark)" stroke="var(--mark)" />
      </svg>
      <span className="sr-only">planned </span>
      {words}
    </span>
  );
}

function RowFilm({ card, fullUm, heightPx }: Pick<Props, 'card' | 'fullUm'> & { readonly heightPx: number }) {
  return (
    <Section
      layers={card.layers}
      specifiedUm={card.specifiedUm}
      profileUm={card.profileUm}
      widthPx={44}
      heightPx={heightPx}
      fullUm={fullUm}
      label={`Film of ${card.name}`}
    />
  );
}

interface RibbonProps extends Pick<Props, 'card' | 'bench' | 'axis' | 'isNarrow' | 'plannedMs'> {
  readonly text: string;
}

/** The row's window in time, with what is planned in it. */
function RowRibbon({ card, bench, axis, isNarrow, plannedMs, text }: RibbonProps) {
  const nowMs = useNowMs();
  const rowPx = useRowPx();
  return (
    <WindowRibbon
      axis={axis}
      heightPx={isNarrow ? 26 : rowPx}
      spans={card.spans}
      nowMs={nowMs}
      forecastEndMs={bench.forecastEndMs}
      nights={bench.nights}
      fit={card.next ? card.fit : null}
      opens={card.opens}
      shuts={card.shuts}
      isHeld={card.headline === 'held'}
      plannedMs={plannedMs}
      label={`${card.name}: ${text}`}
    />
  );
}

function PartName({ card }: { readonly card: PartCard }) {
  return (
    <span className="min-w-0 truncate" title={`${card.name} · ${card.machineName} · ${card.assemblyName}`}>
      <span className="font-semibold">{card.name}</span>
      {card.faceCount > 1 ? <span className="figure text-quiet"> {card.face}</span> : null}
      <span className="text-[13px] text-quiet"> · {card.machineName}</span>
    </span>
  );
}

function ActButton({ card, view }: { readonly card: PartCard; readonly view: ActView }) {
  const navigate = useNavigate();
  const show = useDialogs((s) => s.show);
  return (
    <Button
      isInRow
      look={view.isMain ? 'main' : 'plain'}
      className="w-full max-md:min-h-11 max-md:w-auto"
      aria-label={`${view.button}: ${card.name}`}
      onClick={(e) => {
        e.stopPropagation();
        if (view.opens === 'route' || view.opens === 'inspect') {
          void navigate(`/parts/${encodeURIComponent(card.partId)}/${view.opens}`);
          return;
        }
        show(
          view.opens === 'edit'
            ? { kind: 'edit', partId: card.partId }
            : view.logs === null
              ? { kind: 'why', partId: card.partId }
              : { kind: 'log', partId: card.partId, factKind: view.logs },
        );
      }}
    >
      {view.button}
    </Button>
  );
}
