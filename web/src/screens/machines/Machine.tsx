import { useState } from 'react';
import type { MachinesResponse, MachineView } from '@calvetta/contract';
import { HEADLINES } from '@calvetta/core';
import { AddLine } from '../../forms/AddLine.tsx';
import { useThings } from '../../record/useThings.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Menu } from '../../ui/Menu.tsx';
import { newId } from '../../ui/newId.ts';
import { DossierLinks } from '../../ui/DossierLinks.tsx';
import { SignOffLink } from '../../ui/SignOffLink.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { PutAway } from '../settings/PutAway.tsx';
import { Assembly } from './Assembly.tsx';
import { type Filter, isOff } from './filter.ts';
import { assemblyListed, machineListed } from './listed.ts';
import { beforeEarlier, beforeLater } from './order.ts';

interface Props {
  readonly machine: MachineView;
  /** In their order, this one among them. */
  readonly others: readonly MachineView[];
  readonly data: MachinesResponse;
  readonly filter: Filter;
  readonly startsOpen: boolean;
}

export function Machine({ machine, others, data, filter, startsOpen }: Props) {
  const units = useUnits();
  const [isOpen, setOpen] = useState(startsOpen);
  const assemblies = machine.assemblies.filter((a) => !a.isAway);
  const parts = assemblies.flatMap((a) => a.parts.filter((p) => !p.isAway));
  const counts = HEADLINES.map((h) => [h, parts.filter((p) => p.headline === h).length] as const).filter(
    ([, n]) => n > 0,
  );
  return (
    <section className="mb-3 border border-line bg-panel" aria-label={machine.name}>
      <div data-row="" className="flex items-start">
        <button
          type="button"
          aria-expanded={isOpen}
          className="grid flex-1 grid-cols-[minmax(220px,320px)_minmax(120px,1fr)_auto] items-center gap-4 px-3 py-2 text-left max-md:grid-cols-1 max-md:gap-1"
          onClick={() => setOpen(!isOpen)}
        >
          <span>
            <span className="figure text-[18px]">
              {isOpen ? '▾' : '▸'} {machine.name}
            </span>
            <span className="block text-[13px] text-quiet">
              {machine.kind}
              {machine.accession === null ? '' : `, ${machine.accession}`} · {parts.length} parts ·{' '}
              {units.area(machine.areaM2)}
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
        <MachineMenu machine={machine} others={others} />
      </div>
      {isOpen ? (
        <p className="px-3 pb-1">
          <DossierLinks of="machines" id={machine.machineId} name={machine.name} />
          <SignOffLink of="machine" id={machine.machineId} name={machine.name} />
        </p>
      ) : null}
      {isOpen ? <MachineParts machine={machine} assemblies={assemblies} data={data} filter={filter} /> : null}
    </section>
  );
}

function MachineMenu({ machine, others }: Pick<Props, 'machine' | 'others'>) {
  const show = useDialogs((s) => s.show);
  const things = useThings();
  const { machineId, name, version } = machine;
  const ids = others.map((m) => m.machineId);
  const move = (before: string | null): void =>
    things.quietly(things.change('machines', machineId, name, { version, before }, `Moved: ${name}`));
  const [earlier, later] = [beforeEarlier(ids, machineId), beforeLater(ids, machineId)];
  return (
    <Menu
      label={`What to do with ${name}`}
      items={[
        {
          text: 'Type or paste parts',
          run: () => show({ kind: 'parts-list', machineId, machineName: name }),
        },
        { text: 'Rename, say what it is', run: () => show({ kind: 'machine', machineId }) },
        ...(earlier === undefined ? [] : [{ text: 'Move up', run: () => move(earlier) }]),
        ...(later === undefined ? [] : [{ text: 'Move down', run: () => move(later) }]),
        { text: 'Remove', run: () => things.quietly(things.remove(machineListed(machine))) },
      ]}
    />
  );
}

type AssemblyView = MachineView['assemblies'][number];
interface PartsProps extends Pick<Props, 'machine' | 'data' | 'filter'> {
  readonly assemblies: readonly AssemblyView[];
}

function MachineParts({ machine, assemblies, data, filter }: PartsProps) {
  const things = useThings();
  const show = useDialogs((s) => s.show);
  const { machineId } = machine;
  const add = (name: string): void => {
    const assemblyId = `a-${newId().slice(0, 12)}`;
    things.quietly(things.make('assemblies', assemblyId, name, { assemblyId, machineId, name }));
  };
  const away = machine.assemblies.filter((a) => a.isAway).map((a) => assemblyListed(machineId, a));
  return (
    <>
      {assemblies.map((a) => (
        <Assembly
          key={a.assemblyId}
          assembly={a}
          order={assemblies.map((x) => x.assemblyId)}
          machineId={machineId}
          data={data}
          filter={filter}
        />
      ))}
      {isOff(filter) ? (
        <div className="flex flex-wrap items-end gap-x-6 gap-y-2 border-t border-line px-3 py-2">
          <AddLine label="Another assembly" onAdd={add} />
          <button
            type="button"
            className="figure min-h-11 underline underline-offset-2"
            onClick={() => show({ kind: 'parts-list', machineId, machineName: machine.name })}
          >
            Type or paste parts
          </button>
          <PutAway things={away} />
        </div>
      ) : null}
    </>
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
        <span className="absolute inset-y-0 left-0 bg-chosen" style={{ width: `${pct}%` }} />
      </span>
      <span className="figure whitespace-nowrap text-[15px]">
        {pct} %{' '}
        <span className="text-[13px] text-quiet">
          {hours.hoursAll === 0
            ? 'no route is set yet'
            : `by area · about ${Math.round(hours.hoursAll - hours.hoursDone)} h of coating left`}
        </span>
      </span>
    </span>
  );
}
