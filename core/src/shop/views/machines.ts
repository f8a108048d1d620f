import { progressOf } from '../../bench/progress.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';
import { cardOf, type PartCard } from './card.ts';
import { momentOf, type Moment } from './moment.ts';

export interface MachineView {
  readonly machineId: string;
  readonly name: string;
  readonly kind: string;
  readonly assemblies: readonly {
    readonly assemblyId: string;
    readonly name: string;
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

export function machinesOf(snapshot: Snapshot): MachinesResponse {
  const machines = snapshot.shop.machines.map((m): MachineView => {
    const parts = [...snapshot.parts.values()].filter((p) => p.row.machineId === m.machineId);
    const assemblyIds = [...new Set(parts.map((p) => p.row.assemblyId))];
    return {
      machineId: m.machineId,
      name: m.name,
      kind: m.kind,
      ...progressFields(parts),
      areaM2: parts.reduce((sum, p) => sum + (p.row.areaM2 ?? 0), 0),
      assemblies: assemblyIds.map((assemblyId) => {
        const own = parts.filter((p) => p.row.assemblyId === assemblyId);
        return { assemblyId, name: own[0]!.row.assemblyName, parts: own.map((p) => cardOf(snapshot, p)) };
      }),
    };
  });
  return { ...momentOf(snapshot), machines };
}
