import { useState } from 'react';
import type { MachineView } from '@calvetta/contract';
import { useMachines } from '../api/queries.ts';
import { TextField } from '../forms/fields.tsx';
import { maybe, words } from '../forms/read.ts';
import { theirsOf } from '../forms/theirsOf.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useThings } from '../record/useThings.ts';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { SaveEnd } from './SaveEnd.tsx';

interface Props {
  readonly machineId: string | null;
  readonly onClose: () => void;
}

/** What a machine is called and what it is. */
export function MachineDialog({ machineId, onClose }: Props) {
  const machines = useMachines();
  const machine = machines.data?.machines.find((m) => m.machineId === machineId) ?? null;
  return (
    <Panel title={machineId === null ? 'A machine' : 'Edit the machine'} onClose={onClose}>
      {machineId === null || machine ? (
        <MachineForm machine={machine} onDone={onClose} />
      ) : (
        <Waiting error={machines.error} what="machine" />
      )}
    </Panel>
  );
}

const KINDS = ['locomotive', 'aircraft', 'tractor', 'engine', 'chassis', 'machine tool', 'boat', 'crane'];

interface FormProps {
  readonly machine: Pick<MachineView, 'machineId' | 'name' | 'kind' | 'accession' | 'version'> | null;
  /** Told the id of the machine that was made or changed; null when theirs was kept. */
  readonly onDone: (machineId: string | null) => void;
}

export function MachineForm({ machine, onDone }: FormProps) {
  const things = useThings();
  const save = useSave();
  const [id] = useState(() => machine?.machineId ?? `m-${newId().slice(0, 12)}`);
  const [version] = useState(machine?.version ?? 1);
  const draft = useDraft(
    { name: words, kind: words, accession: maybe(words) },
    { name: machine?.name ?? '', kind: machine?.kind ?? '', accession: machine?.accession ?? '' },
  );
  const theirs = theirsOf(save) as Pick<MachineView, 'name' | 'kind' | 'version'> | null;
  const store = (over: number): void => {
    const v = draft.read();
    if (!v) return;
    save.run(
      () =>
        machine
          ? things.change('machines', id, v.name, { version: over, ...v })
          : things.make('machines', id, v.name, { machineId: id, ...v }),
      () => onDone(id),
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
        hint="as it is called in the shop"
        autoFocus
        bound={draft.bind('name')}
        refused={save.problemAt('name')}
      />
      <TextField
        label="What it is"
        list="machine-kinds"
        bound={draft.bind('kind')}
        refused={save.problemAt('kind')}
      />
      <datalist id="machine-kinds">
        {KINDS.map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
      <TextField
        label="Accession number"
        hint="of a collection’s register; may be left empty"
        bound={draft.bind('accession')}
        refused={save.problemAt('accession')}
        maxLength={80}
      />
      <SaveEnd
        save={save}
        what="this machine"
        button={machine ? 'Save' : 'Make the machine'}
        theirs={theirs && { words: `${theirs.name} · ${theirs.kind}`, version: theirs.version }}
        onKeep={() => onDone(null)}
        onMine={store}
      />
    </form>
  );
}
