import { progressOf } from '../../bench/progress.ts';
import { groupBy } from '../state.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';
import { cardOf, type PartCard } from './card.ts';
import { momentOf, type Moment } from './moment.ts';

export interface MachineView {
  readonly isAway: boolean;
  readonly version: number;
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  readonly accession: string | null;
  readonly assemblies: readonly {
    readonly assemblyId: string;
    readonly name: string;
    readonly isAway: boolean;
    readonly version: number;
    /** Those put away among them say so. */
    readonly parts: readonly PartCard[];
  }[];
  /** Share of the route's film area that is on, by area, 0…1. */
  readonly progressByArea: number;
  /** Hours of coating on and in all, by the sheets' minutes per m². */
  readonly hoursDone: number;
  readonly hoursAll: number;
  readonly areaM2: number;
}
export interface MachinesResponse extends Moment {
  readonly machines: readonly MachineView[];
}

function progressFields(parts: readonly DerivedPart[]) {
  const p = progressOf(
    parts.map((d) => ({ areaM2: d.row.areaM2, planned: d.planned, faces: d.state.faces })),
  );
  return { progressByArea: p.byArea, hoursDone: p.hoursDone, hoursAll: p.hoursAll };
}

/** Machines with their assemblies and parts, those without any too; what was put away is among them and says so. */
export function machinesOf(snapshot: Snapshot): MachinesResponse {
  const { shop } = snapshot;
  const byAssembly = groupBy([...snapshot.parts.values()], (p) => p.row.assemblyId);
  const machines = shop.machines.map((m): MachineView => {
    const assemblies = shop.assemblies
      .filter((a) => a.machineId === m.machineId)
      .map((a) => ({ ...a, parts: byAssembly.get(a.assemblyId) ?? [] }));
    const inUse = assemblies.flatMap((a) => a.parts.filter((p) => m.isAway || !p.row.isAway));
    return {
      machineId: m.machineId,
      name: m.name,
      kind: m.kind,
      accession: m.accession,
      isAway: m.isAway,
      version: m.version,
      ...progressFields(inUse),
      areaM2: inUse.reduce((sum, p) => sum + (p.row.areaM2 ?? 0), 0),
      assemblies: assemblies.map(({ machineId: _, parts, ...a }) => ({
        ...a,
        parts: parts.map((p) => cardOf(snapshot, p)),
      })),
    };
  });
  return { ...momentOf(snapshot), machines };
}
