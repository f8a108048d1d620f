import { useState } from 'react';
import type { MachineView } from '@calvetta/contract';
import { useMachines } from '../api/queries.ts';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { partsWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { PartFields } from './PartFields.tsx';
import { usePartForm } from './usePartForm.ts';

interface Props {
  readonly machineId: string;
  readonly assemblyId: string | null;
  readonly onClose: () => void;
}

/** One part, where it belongs. */
export function NewPartDialog({ machineId, assemblyId, onClose }: Props) {
  const machines = useMachines();
  const machine = machines.data?.machines.find((m) => m.machineId === machineId);
  return (
    <Panel title="A part" subtitle={machine?.name ?? ''} onClose={onClose}>
      {machine ? (
        <NewPartForm machine={machine} assemblyId={assemblyId} onClose={onClose} />
      ) : (
        <Waiting error={machines.error} what="machine" />
      )}
    </Panel>
  );
}

interface FormProps extends Pick<Props, 'assemblyId' | 'onClose'> {
  readonly machine: MachineView;
}

function NewPartForm({ machine, assemblyId, onClose }: FormProps) {
  const send = useSend();
  const save = useSave();
  const [partId] = useState(() => `part-${newId().slice(0, 18)}`);
  const form = usePartForm(machine.machineId, {
    name: '',
    substrate: 'steel-plate',
    assemblyId: assemblyId ?? machine.assemblies.find((a) => !a.isAway)?.assemblyId ?? '',
    faceCount: 1,
    pairPartId: null,
    isBrightMetal: false,
    massKg: null,
    areaM2: null,
    thicknessMm: null,
    colourGroup: null,
    comesFrom: null,
  });
  const store = (): void => {
    const v = form.read();
    if (!v) return;
    const { name, substrate, massKg, areaM2, thicknessMm, colourGroup, pairPartId } = v;
    const assemblyName = machine.assemblies.find((a) => a.assemblyId === v.assemblyId)?.name ?? 'Parts';
    const sizes = { massKg, areaM2, thicknessMm };
    const made = {
      partId,
      name,
      substrate,
      assemblyName,
      ...sizes,
      faces: v.faceCount,
      colourGroup,
      pairPartId,
    };
    save.run(() => send(partsWrite(machine.machineId, [made]), `Made: ${v.name}`), onClose);
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store();
      }}
    >
      <PartFields form={form} save={save} partId={partId} isNew />
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button type="submit" look="main" disabled={save.isBusy}>
          Make the part
        </Button>
      </Foot>
    </form>
  );
}
