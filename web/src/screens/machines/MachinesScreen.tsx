import { useParams, useSearchParams, Link } from 'react-router';
import type { MachinesResponse, PartCard } from '@calvetta/contract';
import { HEADLINE_WORDS, SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { HEADLINES } from '@calvetta/core';
import { useMachines } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { PutAway } from '../settings/PutAway.tsx';
import { Machine } from './Machine.tsx';
import { TickedBar } from './TickedBar.tsx';
import { machineListed } from './listed.ts';
import { isOff, passes, type Filter } from './filter.ts';
import { Heading } from '../../ui/Heading.tsx';

/** The machines as trees of assemblies and parts, each with its progress by area; where they are made, moved and put away. */
export default function MachinesScreen() {
  const machines = useMachines();
  const { machineId } = useParams();
  const [params, setParams] = useSearchParams();
  const show = useDialogs((s) => s.show);
  if (!machines.data) return <Waiting isPage error={machines.error} what="machines" />;
  const filter: Filter = {
    state: params.get('state'),
    metal: params.get('metal'),
    place: params.get('place'),
  };
  const set = (patch: Partial<Filter>): void =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        for (const [key, value] of Object.entries(patch))
          if (value === null || value === '') next.delete(key);
          else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const all = machines.data.machines;
  const inUse = all.filter((m) => !m.isAway);
  const shown = inUse.filter((m) => machineId === undefined || m.machineId === machineId);
  const found = shown.filter(
    (m) => isOff(filter) || m.assemblies.some((a) => a.parts.some((p) => !p.isAway && passes(p, filter))),
  );
  return (
    <div className="p-4 max-md:p-2">
      <div className="flex flex-wrap items-center gap-3 pb-3">
        <Heading title={['Machines']}>Machines</Heading>
        <FilterSelects data={machines.data} filter={filter} set={set} />
        {machineId === undefined ? null : (
          <Link to="/machines" className="link-alone">
            all machines
          </Link>
        )}
        <Button className="md:ml-auto" onClick={() => show({ kind: 'machine', machineId: null })}>
          Add a machine
        </Button>
      </div>
      {inUse.length === 0 ? (
        <Empty
          title="No machine yet"
          text="A machine has assemblies, and those have parts. Name the first; its parts come in by the dozen."
          next={{ to: '/start/machine', text: 'The first machine' }}
        />
      ) : null}
      {found.map((m) => (
        <Machine
          key={m.machineId}
          machine={m}
          others={inUse}
          data={machines.data}
          filter={filter}
          startsOpen={machineId !== undefined || !isOff(filter) || inUse.length === 1}
        />
      ))}
      {inUse.length > 0 && found.length === 0 ? (
        <p className="flex flex-wrap items-center gap-3 p-6 text-quiet">
          No part is {filterWords(machines.data, filter)}.
          <Button onClick={() => set({ state: null, metal: null, place: null })}>Show all parts</Button>
        </p>
      ) : null}
      <PutAway things={all.filter((m) => m.isAway).map(machineListed)} />
      <TickedBar />
    </div>
  );
}

/** What hides everything, in words. */
function filterWords(data: MachinesResponse, f: Filter): string {
  const state = f.state === null ? null : `“${HEADLINE_WORDS[f.state as keyof typeof HEADLINE_WORDS]}”`;
  const metal = f.metal === null ? null : `of ${SUBSTRATE_WORDS[f.metal as keyof typeof SUBSTRATE_WORDS]}`;
  const place =
    f.place === null ? null : `in ${data.places.find((p) => p.placeId === f.place)?.name ?? f.place}`;
  return [state, metal, place].filter((w) => w !== null).join(' and ');
}

function allParts(data: MachinesResponse): PartCard[] {
  return data.machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts.filter((p) => !p.isAway)));
}

interface SelectsProps {
  readonly data: MachinesResponse;
  readonly filter: Filter;
  readonly set: (patch: Partial<Filter>) => void;
}

function FilterSelects({ data, filter, set }: SelectsProps) {
  const parts = allParts(data);
  const states = HEADLINES.filter((h) => parts.some((p) => p.headline === h));
  const metals = [...new Set(parts.map((p) => p.substrate))];
  const select = (key: keyof Filter, label: string, options: readonly (readonly [string, string])[]) => (
    <select aria-label={label} value={filter[key] ?? ''} onChange={(e) => set({ [key]: e.target.value })}>
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
