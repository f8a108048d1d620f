import { useState } from 'react';
import type { Probe } from '@calvetta/core';
import type { MachineView, PartCard } from '@calvetta/contract';
import { useMachines, usePlaces, useShop } from '../api/queries.ts';
import { Choice } from '../forms/Field.tsx';
import { SelectField, TextField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { ProbeToken } from '../forms/ProbeToken.tsx';
import { words } from '../forms/read.ts';
import { theirsOf } from '../forms/theirsOf.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useThings } from '../record/useThings.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { SaveEnd } from './SaveEnd.tsx';

interface Props {
  readonly placeId: string;
  readonly probeId: string | null;
  readonly onClose: () => void;
}

/** An instrument that reports by itself. A new one of one's own is given its token at once, shown this once. */
export function ProbeDialog({ placeId, probeId, onClose }: Props) {
  const shop = useShop();
  const probe = shop.data?.probes.find((p) => p.probeId === probeId) ?? null;
  const [made, setMade] = useState<Pick<Probe, 'probeId' | 'name'> | null>(null);
  return (
    <Panel
      title={probeId === null ? 'A probe' : 'Edit the probe'}
      subtitle="measures air and humidity, and metal where it has a contact"
      onClose={onClose}
    >
      {made ? (
        <div className="flex flex-col gap-3">
          <p>{made.name} is on the list. It reports with a token of its own:</p>
          <ProbeToken probeId={made.probeId} />
          <Foot>
            <Button look="main" onClick={onClose}>
              Done
            </Button>
          </Foot>
        </div>
      ) : (
        <ProbeForm placeId={placeId} probe={probe} onClose={onClose} onMade={setMade} />
      )}
    </Panel>
  );
}

const partsIn = (machines: readonly MachineView[]): readonly PartCard[] =>
  machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts.filter((p) => !p.isAway)));

interface FormProps {
  readonly placeId: string;
  readonly probe: Probe | null;
  readonly onClose: () => void;
  readonly onMade: (probe: Pick<Probe, 'probeId' | 'name'>) => void;
}

function ProbeForm({ placeId, probe, onClose, onMade }: FormProps) {
  const things = useThings();
  const save = useSave();
  const places = usePlaces();
  const machines = useMachines();
  const [id] = useState(() => probe?.probeId ?? `probe-${newId().slice(0, 12)}`);
  const [version] = useState(probe?.version ?? 1);
  const [place, setPlace] = useState(probe?.placeId ?? placeId);
  const [partId, setPart] = useState(probe?.partId ?? '');
  const [kind, setKind] = useState<'own' | 'simulated'>('own');
  const draft = useDraft({ name: words }, { name: probe?.name ?? '' });
  const theirs = theirsOf(save) as Probe | null;
  const parts = partsIn(machines.data?.machines ?? []);
  const store = (over: number): void => {
    const v = draft.read();
    if (!v) return;
    const data = { ...v, placeId: place, partId: partId === '' ? null : partId };
    const isSimulated = kind === 'simulated';
    save.run(
      () =>
        probe
          ? things.change('probes', id, v.name, { version: over, ...data })
          : things.make('probes', id, v.name, { probeId: id, ...data, isSimulated }),
      () => (probe || isSimulated ? onClose() : onMade({ probeId: id, name: v.name })),
    );
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store(version);
      }}
    >
      <TextField
        label="Name"
        hint="where it hangs: “shed, north wall”"
        autoFocus
        bound={draft.bind('name')}
        refused={save.problemAt('name')}
      />
      <SelectField
        label="Place"
        value={place}
        options={places.map((p) => ({ value: p.placeId, text: p.name }))}
        onChange={setPlace}
      />
      <SelectField
        label="Its contact sits on"
        hint="then it measures that part’s own surface"
        value={partId}
        options={[
          { value: '', text: 'no part' },
          ...parts.map((p) => ({ value: p.partId, text: `${p.machineName}: ${p.name}` })),
        ]}
        onChange={setPart}
      />
      {probe ? null : (
        <Choice
          label="It is"
          value={kind}
          options={[
            { value: 'own', text: 'an instrument of ours' },
            { value: 'simulated', text: 'simulated, to try' },
          ]}
          onChange={setKind}
        />
      )}
      <SaveEnd
        save={save}
        what="this probe"
        button={probe ? 'Save' : 'Add the probe'}
        theirs={theirs && { words: theirs.name, version: theirs.version }}
        onKeep={onClose}
        onMine={store}
      />
    </form>
  );
}
