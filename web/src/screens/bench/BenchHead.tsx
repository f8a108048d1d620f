import { ToggleGroup } from 'radix-ui';
import { useNavigate } from 'react-router';
import type { BenchResponse, PlaceNowView } from '@calvetta/contract';
import { DewRuler } from '../../drawings/DewRuler.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { usePrefs } from '../../state/prefs.ts';
import { ago } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';

/** The air of every place in figures, and the chosen place's dew ruler with its parts on it. */
export function BenchHead({ bench }: { readonly bench: BenchResponse }) {
  const chosen = usePrefs((s) => s.rulerPlaceId);
  const choose = usePrefs((s) => s.setRulerPlace);
  const units = useUnits();
  const navigate = useNavigate();
  const [ref, width] = useWidth();
  const place = bench.places.find((p) => p.placeId === chosen) ?? dampest(bench.places);
  const marks = bench.rows
    .filter((r) => r.placeId === place?.placeId && r.surfaceC !== null)
    .map((r) => ({ id: r.partId, name: r.name, surfaceC: r.surfaceC! }));
  return (
    <header className="flex items-stretch border-b border-line bg-panel max-lg:flex-wrap">
      <ToggleGroup.Root
        type="single"
        aria-label="Place on the dew ruler"
        value={place?.placeId ?? ''}
        onValueChange={(id) => (id === '' ? undefined : choose(id))}
        className="flex max-w-full overflow-x-auto"
      >
        {bench.places.map((p) => (
          <PlaceFigures key={p.placeId} place={p} isChosen={p.placeId === place?.placeId} />
        ))}
      </ToggleGroup.Root>
      <div ref={ref} className="min-w-[300px] flex-1 px-3 pt-1.5">
        {place && width > 0 ? (
          <DewRuler
            dewPointC={place.trust === 'fresh' ? place.dewPointC : null}
            airC={place.airC}
            marks={marks}
            units={units.units}
            widthPx={width}
            onPick={(id) => void navigate(`/parts/${encodeURIComponent(id)}`)}
          />
        ) : null}
      </div>
    </header>
  );
}

/** The place whose air is nearest to its dew point is the one to look at first. */
function dampest(places: readonly PlaceNowView[]): PlaceNowView | null {
  const gap = (p: PlaceNowView): number =>
    p.airC === null || p.dewPointC === null ? 99 : p.airC - p.dewPointC;
  return [...places].sort((a, b) => gap(a) - gap(b))[0] ?? null;
}

interface FiguresProps {
  readonly place: PlaceNowView;
  readonly isChosen: boolean;
}

function PlaceFigures({ place, isChosen }: FiguresProps) {
  const nowMs = useNowMs();
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const isFresh = place.trust === 'fresh';
  return (
    <div
      className={`flex shrink-0 flex-col border-r border-line px-3 py-1.5 ${isChosen ? 'shadow-[inset_0_-3px_0_var(--mark)]' : ''}`}
    >
      <ToggleGroup.Item value={place.placeId} className="flex flex-col text-left">
        <span className="figure text-[14px]">{place.name}</span>
        <span className="figure flex gap-2.5 text-[20px] leading-tight">
          <span>{units.temp(place.airC)}</span>
          <span>{units.pct(place.rhPct)}</span>
        </span>
        <span className="figure text-[13px] text-quiet">
          {place.wettingKind === 'frost' ? 'frost' : 'dew'} {units.temp(place.dewPointC)}
        </span>
      </ToggleGroup.Item>
      <button
        type="button"
        className={`text-left text-[12px] underline-offset-2 hover:underline ${isFresh ? 'text-quiet' : 'text-bad'}`}
        onClick={() => show({ kind: 'reading', placeId: place.placeId })}
      >
        {place.atMs === null
          ? 'no reading yet · add one'
          : place.trust === 'stuck'
            ? 'probe stuck · add a reading'
            : `${ago(nowMs - place.atMs)}${isFresh ? '' : ' · stale, add one'}`}
      </button>
    </div>
  );
}
