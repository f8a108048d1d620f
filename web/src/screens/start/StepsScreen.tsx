import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useMachines, useShop } from '../../api/queries.ts';
import { MachineForm } from '../../dialogs/MachineDialog.tsx';
import { PartsList } from '../../dialogs/PartsList.tsx';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { People } from '../settings/People.tsx';
import { Places } from '../settings/Places.tsx';
import { Practice } from '../settings/Practice.tsx';
import { WhenWeCome } from '../settings/WhenWeCome.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** After the shop has its name. Each can be left out: all of it stands under Settings and Machines too. */
const STEPS = ['people', 'places', 'practice', 'machine'] as const;
type Step = (typeof STEPS)[number];
const TITLES: Readonly<Record<Step, { readonly title: string; readonly why: string }>> = {
  people: {
    title: 'Who comes, and when',
    why: 'Every entry names who did it. What would be lost before somebody comes again is shown first.',
  },
  places: {
    title: 'Places',
    why: 'Each has its own air. With a first reading Calvetta can say at once what may be coated there.',
  },
  practice: {
    title: 'What the shop has',
    why: 'Routes use what you have, and say what a route would need that you do not.',
  },
  machine: {
    title: 'The first machine',
    why: 'Its parts come in by the dozen: names and metals are enough to begin.',
  },
};

export default function StepsScreen() {
  const { step: named } = useParams();
  const shop = useShop();
  const at = Math.max(0, STEPS.indexOf(named as Step));
  const step = STEPS[at]!;
  const next = STEPS[at + 1];
  if (!shop.data) return <Waiting isPage error={shop.error} what="shop" />;
  const body: Readonly<Record<Step, ReactNode>> = {
    people: (
      <>
        <People />
        <h2 className="mt-2 text-[17px]">When</h2>
        <WhenWeCome shop={shop.data} />
      </>
    ),
    places: <Places />,
    practice: <Practice means={shop.data.means} />,
    machine: <FirstMachine />,
  };
  return (
    <div className="mx-auto flex max-w-[860px] flex-col gap-4 p-5 max-md:p-3">
      <ol className="flex flex-wrap gap-1" aria-label="Steps">
        <li className="figure border border-line px-3 py-1 text-[13px] text-quiet">1 {shop.data.name}</li>
        {STEPS.map((s, i) => (
          <li key={s}>
            <Link
              to={`/start/${s}`}
              aria-current={s === step ? 'step' : undefined}
              className={`figure flex min-h-8 items-center border px-3 text-[13px] pointer-coarse:min-h-11 ${s === step ? 'border-chosen bg-chosen text-chosen-ink' : 'border-line bg-panel'}`}
            >
              {i + 2} {TITLES[s].title}
            </Link>
          </li>
        ))}
      </ol>
      <header>
        <Heading title={[TITLES[step].title]} className="text-[26px] leading-tight">
          {TITLES[step].title}
        </Heading>
        <p className="text-quiet">{TITLES[step].why}</p>
      </header>
      {step === 'practice' ? (
        body[step]
      ) : (
        <section
          className="flex flex-col gap-3 border border-line bg-panel p-4"
          aria-label={TITLES[step].title}
        >
          {body[step]}
        </section>
      )}
      <p className="flex flex-wrap items-center gap-4">
        <Link
          to={next ? `/start/${next}` : '/machines'}
          className="figure inline-flex min-h-11 items-center border border-chosen bg-chosen px-4 text-chosen-ink"
        >
          {next ? `Next: ${TITLES[next].title.toLowerCase()}` : 'To the machines'}
        </Link>
        <Link to="/" className="inline-flex min-h-11 items-center underline underline-offset-2">
          Later; to the Bench
        </Link>
      </p>
    </div>
  );
}

function FirstMachine() {
  const machines = useMachines();
  const show = useDialogs((s) => s.show);
  const [madeId, setMadeId] = useState<string | null>(null);
  const own = (machines.data?.machines ?? []).filter((m) => !m.isAway);
  const machine = own.find((m) => m.machineId === madeId) ?? own[0];
  if (!machines.data) return <Waiting isPage error={machines.error} what="machines" />;
  if (!machine) return <MachineForm machine={null} onDone={setMadeId} />;
  const parts = machine.assemblies.flatMap((a) => a.parts.filter((p) => !p.isAway));
  return (
    <div className="flex flex-col gap-3">
      <p>
        <span className="font-semibold">{machine.name}</span> · {machine.kind} · {parts.length} parts
      </p>
      <PartsList machineId={machine.machineId} machineName={machine.name} onStored={() => undefined} />
      {parts.length > 0 ? (
        <ul className="text-[14px]">
          {parts.slice(0, 12).map((p) => (
            <li key={p.partId} className="flex flex-wrap gap-3 border-t border-line/60 py-1">
              <span className="font-semibold">{p.name}</span>
              <Link
                className="underline underline-offset-2"
                to={`/parts/${encodeURIComponent(p.partId)}/route`}
              >
                Survey it and choose a route
              </Link>
            </li>
          ))}
        </ul>
      ) : null}
      <Button look="quiet" className="self-start" onClick={() => show({ kind: 'machine', machineId: null })}>
        Another machine
      </Button>
    </div>
  );
}
