import { Router } from 'express';
import { compareLoss, isInMotion, progressOf, type PartState } from '@calvetta/core';
import type { BenchResponse, MachinesResponse, MachineView } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { needSnapshot } from '../shop/needShop.ts';
import { cardOf, momentOf } from './cards.ts';
import { liveMixes } from '../shelf/views.ts';
import type { DerivedPart, Snapshot } from './derive.ts';

function orderable(state: PartState) {
  const { partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours } = state;
  return { partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours };
}

/** Parts in motion, lost first. */
function benchOf(snapshot: Snapshot): BenchResponse {
  const moving = [...snapshot.parts.values()]
    .filter((p) => isInMotion(p.state.headline))
    .sort((a, b) => compareLoss(orderable(a.state), orderable(b.state)));
  return {
    ...momentOf(snapshot),
    mixes: liveMixes(snapshot),
    rows: moving.map((p) => cardOf(snapshot, p)),
    partCount: snapshot.parts.size,
  };
}

function progressFields(parts: readonly DerivedPart[]) {
  const p = progressOf(
    parts.map((d) => ({ areaM2: d.row.areaM2, planned: d.planned, faces: d.state.faces })),
  );
  return { progressByArea: p.byArea, hoursDone: p.hoursDone, hoursAll: p.hoursAll };
}

function machinesOf(snapshot: Snapshot): MachinesResponse {
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

/** The serialised answers of one snapshot are kept with it: forty tablets asking cost one derivation. */
const serialised = new WeakMap<Snapshot, Map<string, string>>();

function jsonOnce(snapshot: Snapshot, key: string, make: () => unknown): string {
  let bySnapshot = serialised.get(snapshot);
  if (!bySnapshot) {
    bySnapshot = new Map<string, string>();
    serialised.set(snapshot, bySnapshot);
  }
  let text = bySnapshot.get(key);
  if (text === undefined) bySnapshot.set(key, (text = JSON.stringify(make())));
  return text;
}

export function benchRoutes(deps: Deps): Router {
  const router = Router();
  router.get('/bench', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    res.type('json').send(jsonOnce(snapshot, 'bench', () => benchOf(snapshot)));
  });
  router.get('/machines', async (_req, res) => {
    const snapshot = await needSnapshot(deps);
    res.type('json').send(jsonOnce(snapshot, 'machines', () => machinesOf(snapshot)));
  });
  return router;
}
