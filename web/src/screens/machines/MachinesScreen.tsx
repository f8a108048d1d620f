import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { MachinesResponse, MachineView, PartCard } from '@calvetta/contract';
import { HEADLINE_WORDS, SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { HEADLINES } from '@calvetta/core';
import { useMachines } from '../../api/queries.ts';
import { Section } from '../../drawings/Section.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { StateWord } from '../../ui/StateWord.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { useRowPx } from '../../ui/useMedia.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { actView } from '../../words/actText.ts';

interface Filter {
  readonly state: string | null;
  readonly metal: string | null;
  readonly place: string | null;
}

/** The machines as trees of assemblies and parts, each with its progress by area. */
export default function MachinesScreen() {
  const machines = useMachines();
  const { machineId } = useParams();
  const [params, setParams] = useSearchParams();
  if (!machines.data) return <Waiting error={machines.error} what="machines" />;
  const filter: Filter = {
    state: params.get('state'),
    metal: params.get('metal'),
    place: params.get('place'),
  };
  const set = (key: keyof Filter, value: string): void =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        if (value === '') next.delete(key);
        else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  return (
    <div className="p-4 max-md:p-2">
      <div className="flex flex-wrap items-center gap-3 pb-3">
        <h1 className="text-[24px]">Machines</h1>
        <FilterSelects data={machines.data} filter={filter} set={set} />
        {machineId === undefined ? null : (
          <Link to="/machines" className="underline underline-offset-2">
            all machines
          </Link>
        )}
      </div>
      {machines.data.machines
        .filter((m) => machineId === undefined || m.machineId === machineId)
        .map((m) => (
          <Machine
            key={m.machineId}
            machine={m}
            data={machines.data}
            filter={filter}
            startsOpen={machineId !== undefined || Object.values(filter).some((f) => f !== null)}
          />
        ))}
    </div>
  );
}

function allParts(data: MachinesResponse): PartCard[] {
  return data.machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts));
}

function FilterSelects({
  data,
  filter,
  set,
}: {
  readonly data: MachinesResponse;
  readonly filter: Filter;
  readonly set: (key: keyof Filter, value: string) => void;
}) {
  const parts = allParts(data);
  const states = HEADLINES.filter((h) => parts.some((p) => p.headline === h));
  const metals = [...new Set(parts.map((p) => p.substrate))];
  const select = (key: keyof Filter, label: string, options: readonly (readonly [string, string])[]) => (
    <select aria-label={label} value={filter[key] ?? ''} onChange={(e) => set(key, e.target.value)}>
      <option value="">{label}: any</option>
      {options.map(([value, text]) => (
        <option key={value} value={value}>
          {text}
        </option>
      ))}
    </select>
  );
  return (
    <>
      {select(
        'state',
        'State',
        states.map((s) => [s, HEADLINE_WORDS[s]]),
      )}
      {select(
        'metal',
        'Metal',
        metals.map((m) => [m, SUBSTRATE_WORDS[m]]),
      )}
      {select(
        'place',
        'Place',
        data.places.map((p) => [p.placeId, p.name]),
      )}
    </>
  );
}

const passes = (p: PartCard, f: Filter): boolean =>
  (f.state === null || p.headline === f.state) &&
  (f.metal === null || p.substrate === f.metal) &&
  (f.place === null || p.placeId === f.place);

interface MachineProps {
  readonly machine: MachineView;
  readonly data: MachinesResponse;
  readonly filter: Filter;
  readonly startsOpen: boolean;
}

function Machine({ machine, data, filter, startsOpen }: MachineProps) {
  const units = useUnits();
  const [isOpen, setOpen] = useState(startsOpen);
  const show = useDialogs((s) => s.show);
  const parts = machine.assemblies.flatMap((a) => a.parts);
  const shown = parts.filter((p) => passes(p, filter));
  const counts = HEADLINES.map((h) => [h, parts.filter((p) => p.headline === h).length] as const).filter(
    ([, n]) => n > 0,
  );
  if (shown.length === 0) return null;
  return (
    <section className="mb-3 border border-line bg-panel" aria-label={machine.name}>
      <button
        type="button"
        aria-expanded={isOpen}
        className="grid w-full grid-cols-[minmax(220px,320px)_minmax(120px,1fr)_auto] items-center gap-4 px-3 py-2 text-left max-md:grid-cols-1 max-md:gap-1"
        onClick={() => setOpen(!isOpen)}
      >
        <span>
          <span className="figure text-[18px]">
            {isOpen ? '▾' : '▸'} {machine.name}
          </span>
          <span className="block text-[13px] text-quiet">
            {machine.kind} · {parts.length} parts · {units.area(machine.areaM2)}
          </span>
        </span>
        <ProgressBar share={machine.progressByArea} hours={machine} />
        <span className="flex max-w-[420px] flex-wrap justify-end gap-x-3 text-[13px] max-md:justify-start">
          {counts.map(([h, n]) => (
            <span key={h} className="whitespace-nowrap">
              {n} <StateWord headline={h} />
            </span>
          ))}
        </span>
      </button>
      {isOpen ? (
        <p className="border-t border-line px-3 py-1">
          <button
            type="button"
            className="figure min-h-9 underline underline-offset-2 pointer-coarse:min-h-11"
            onClick={() =>
              show({ kind: 'parts-list', machineId: machine.machineId, machineName: machine.name })
            }
          >
            Paste a parts list
          </button>
        </p>
      ) : null}
      {isOpen
        ? machine.assemblies.map((a) => {
            const own = a.parts.filter((p) => passes(p, filter));
            if (own.length === 0) return null;
            return (
              <div key={a.assemblyId} className="border-t border-line px-3 pb-1">
                <h2 className="figure py-1 text-[14px] text-quiet">{a.name}</h2>
                <ul>
                  {own.map((p) => (
                    <PartLine key={p.partId} card={p} data={data} />
                  ))}
                </ul>
              </div>
            );
          })
        : null}
    </section>
  );
}

/** Progress by area and by hours, not by count: ten small brackets are not half a frame. */
function ProgressBar({
  share,
  hours,
}: {
  readonly share: number;
  readonly hours: Pick<MachineView, 'hoursDone' | 'hoursAll'>;
}) {
  const pct = Math.round(share * 100);
  return (
    <span className="flex items-center gap-3">
      <span
        className="relative h-3 flex-1 border border-line bg-ground"
        role="img"
        aria-label={`${pct} % of the film is on, by area`}
      >
        <span className="absolute inset-y-0 left-0 bg-slate dark:bg-quiet" style={{ width: `${pct}%` }} />
      </span>
      <span className="figure whitespace-nowrap text-[15px]">
        {pct} %{' '}
        <span className="text-[13px] text-quiet">
          by area · about {Math.round(hours.hoursAll - hours.hoursDone)} h of coating left
        </span>
      </span>
    </span>
  );
}

function PartLine({ card, data }: { readonly card: PartCard; readonly data: MachinesResponse }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const rowPx = useRowPx();
  const place = data.places.find((p) => p.placeId === card.placeId);
  const fullUm = 320;
  return (
    <li className="border-t border-line/60">
      <Link
        to={`/parts/${encodeURIComponent(card.partId)}`}
        data-part={card.partId}
        data-state={card.headline}
        className="grid min-h-(--row) grid-cols-[44px_minmax(140px,210px)_84px_minmax(0,1fr)_170px] items-center gap-x-3 hover:bg-ground max-md:grid-cols-[44px_1fr_auto]"
      >
        <Section
          layers={card.layers}
          specifiedUm={card.specifiedUm}
          profileUm={card.profileUm}
          widthPx={44}
          heightPx={rowPx - 5}
          fullUm={fullUm}
          label={`Film of ${card.name}`}
        />
        <span className="truncate font-semibold">{card.name}</span>
        <StateWord headline={card.headline} />
        <span className="truncate text-[13px] max-md:hidden">
          {actView(card, nowMs, data.zone, units).text}
        </span>
        <span className="truncate text-right text-[13px] text-quiet max-md:hidden">
          {SUBSTRATE_WORDS[card.substrate]} · {place?.name ?? 'no place'}
        </span>
      </Link>
    </li>
  );
}
