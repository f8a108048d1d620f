import { NavLink, useNavigate, useParams } from 'react-router';
import { PREDICTED_SPREAD_K } from '@calvetta/core';
import type { PlaceAirResponse } from '@calvetta/contract';
import { EXPOSURE_WORDS, TRUST_WORDS } from '@calvetta/contract/words';
import { usePlaceAir, usePlaces, useShop } from '../../api/queries.ts';
import { DewRuler } from '../../drawings/DewRuler.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { duration, moment } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { Climate } from './Climate.tsx';
import { HeatIt } from './HeatIt.tsx';
import { Probes } from './Probes.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { chunk } from '../../ui/chunk.tsx';

const AirChart = chunk(() => import('./AirChart.tsx'), <div className="h-[260px]" />);

/** The air of each place: now, as it was, as it is forecast; which parts are in the wet; what heating would do. */
export default function AirScreen() {
  const shop = useShop();
  const { placeId } = useParams();
  const places = usePlaces();
  const id = placeId ?? places[0]?.placeId ?? null;
  const air = usePlaceAir(id);
  const show = useDialogs((s) => s.show);
  if (!shop.data) return <Waiting isPage error={shop.error} what="workshop" />;
  return (
    <div className="p-4 max-md:p-2">
      <div className="flex flex-wrap items-center gap-3 pb-3">
        <Heading title={[...places.filter((p) => p.placeId === id).map((p) => p.name), 'Air']}>Air</Heading>
        <nav aria-label="Places of the shop" className="flex flex-wrap gap-1">
          {places.map((p) => (
            <NavLink
              key={p.placeId}
              to={`/air/${encodeURIComponent(p.placeId)}`}
              className={`figure flex min-h-9 items-center border px-3 pointer-coarse:min-h-11 ${p.placeId === id ? 'border-chosen bg-chosen text-chosen-ink' : 'border-line bg-panel'}`}
            >
              {p.name}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex flex-wrap gap-2">
          {id === null ? null : (
            <>
              <Button onClick={() => show({ kind: 'reading', placeId: id })}>Log a reading</Button>
              <Button onClick={() => show({ kind: 'import' })}>Import CSV</Button>
              <Button onClick={() => show({ kind: 'place', placeId: id })}>Edit the place</Button>
            </>
          )}
          <Button onClick={() => show({ kind: 'place', placeId: null })}>Add a place</Button>
        </div>
      </div>
      {id === null ? (
        <Empty
          title="No place yet"
          text="A place is where parts stand: a booth, a shed, the yard. Each has its own air; a hygrometer’s reading is enough to begin."
        />
      ) : air.data ? (
        <PlaceAir air={air.data} />
      ) : (
        <Waiting error={air.error} what="air" />
      )}
    </div>
  );
}

function PlaceAir({ air }: { readonly air: PlaceAirResponse }) {
  const units = useUnits();
  const nowMs = useNowMs();
  const navigate = useNavigate();
  const [ref, width] = useWidth();
  const now = air.places.find((p) => p.placeId === air.place.placeId);
  const isFresh = now?.trust === 'fresh';
  const nextFit = air.fit.find((s) => s.toMs > nowMs);
  return (
    <div className="flex flex-col gap-4">
      <section className="border border-line bg-panel p-3" aria-label="Now">
        <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
          <Figure value={units.temp(now?.airC ?? null)} word="air" />
          <Figure value={units.pct(now?.rhPct ?? null)} word="humidity" />
          <Figure
            value={units.temp(now?.dewPointC ?? null)}
            word={now?.wettingKind === 'frost' ? 'frost point' : 'dew point'}
          />
          <Figure
            value={now?.absoluteGM3 == null ? '—' : `${now.absoluteGM3.toFixed(1)} g/m³`}
            word="water in the air"
          />
          <p className={`max-w-[420px] ${isFresh ? 'text-quiet' : 'text-bad'}`}>
            {EXPOSURE_WORDS[air.place.exposure]}
            {air.place.setpointC === null ? '' : `, heated to ${units.temp(air.place.setpointC, 0)}`}. Reading{' '}
            {TRUST_WORDS[now?.trust ?? 'none']}
            {now?.atMs == null ? '' : `, ${duration(Math.max(0, nowMs - now.atMs))} old`}.{' '}
            {nextFit
              ? `A part at air temperature is fit ${nextFit.fromMs <= nowMs ? 'now' : `from ${moment(nextFit.fromMs, nowMs, air.zone)}`} until ${moment(nextFit.toMs, nowMs, air.zone)} (predicted).`
              : 'No fit air is forecast for a part at air temperature.'}
          </p>
        </div>
        <div ref={ref} className="mt-2">
          {width > 0 ? (
            <DewRuler
              dewPointC={isFresh ? now.dewPointC : null}
              airC={now?.airC ?? null}
              marks={air.parts.map((p) => ({ id: p.partId, name: p.name, surfaceC: p.surfaceC }))}
              units={units.units}
              widthPx={width}
              onPick={(id) => void navigate(`/parts/${encodeURIComponent(id)}`)}
            />
          ) : null}
        </div>
      </section>
      <section className="border border-line bg-panel p-3" aria-label="History and forecast">
        <h2 className="text-[16px]">
          Three days back, three days ahead{' '}
          <span className="text-[13px] font-normal text-quiet">
            dashed is forecast, ± {units.spread(PREDICTED_SPREAD_K)}
          </span>
        </h2>
        <AirChart air={air} />
      </section>
      <div className="grid gap-4 lg:grid-cols-2">
        <PartsHere air={air} />
        <div className="flex flex-col gap-4">
          {isFresh ? <HeatIt air={air} now={now} /> : null}
          <Probes air={air} />
          <Climate place={air.place} />
        </div>
      </div>
    </div>
  );
}

function Figure({ value, word }: { readonly value: string; readonly word: string }) {
  return (
    <p>
      <span className="figure block text-[28px] leading-none">{value}</span>
      <span className="text-[13px] text-quiet">{word}</span>
    </p>
  );
}

function PartsHere({ air }: { readonly air: PlaceAirResponse }) {
  const units = useUnits();
  const navigate = useNavigate();
  const parts = [...air.parts].sort((a, b) => (a.marginK ?? -99) - (b.marginK ?? -99));
  return (
    <section className="border border-line bg-panel p-3" aria-label="Parts in this place">
      <h2 className="text-[16px]">Parts here, wettest first</h2>
      {parts.length === 0 ? <p className="text-quiet">No part stands here with a known surface.</p> : null}
      <ul>
        {parts.map((p) => (
          <li key={p.partId}>
            <button
              type="button"
              className="grid min-h-(--row) w-full grid-cols-[1fr_76px_84px_100px] items-center gap-2 border-t border-line/60 text-left hover:bg-ground"
              onClick={() => void navigate(`/parts/${encodeURIComponent(p.partId)}`)}
            >
              <span className="truncate">{p.name}</span>
              <span className="figure">{units.temp(p.surfaceC)}</span>
              <span className="figure text-[13px] text-quiet">{units.kelvin(p.marginK)}</span>
              <StateWord headline={p.headline} />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
