import { Panel } from '../ui/Panel.tsx';
import { PartsList } from './PartsList.tsx';

interface Props {
  readonly machineId: string;
  readonly machineName: string;
  readonly onClose: () => void;
}

/** Parts by the dozen, over whatever screen asked for it. */
export function PartsListDialog({ machineId, machineName, onClose }: Props) {
  return (
    <Panel title="Type or paste parts" subtitle={machineName} onClose={onClose}>
      <PartsList machineId={machineId} machineName={machineName} onStored={onClose} />
    </Panel>
  );
}
