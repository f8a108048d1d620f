import type { MachineView } from '@calvetta/contract';
import type { Listed } from '../../record/useThings.ts';

type AssemblyView = MachineView['assemblies'][number];

export const machineListed = (m: MachineView): Listed => ({
  path: 'machines',
  id: m.machineId,
  name: m.name,
  version: m.version,
  again: { machineId: m.machineId, name: m.name, kind: m.kind, accession: m.accession },
});
export const assemblyListed = (machineId: string, a: AssemblyView): Listed => ({
  path: 'assemblies',
  id: a.assemblyId,
  name: a.name,
  version: a.version,
  again: { assemblyId: a.assemblyId, machineId, name: a.name },
});
