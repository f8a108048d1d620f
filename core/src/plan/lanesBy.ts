import type { Span } from '../base/time.ts';
import { rotaOf } from './rota.ts';
import { sessionCard } from './card.ts';
import type { PlanBlock, PlanRunView, PlanView } from './view.ts';

/** Work in a lane that is not its part's: a gun-load as one block, other work by itself. */
export interface LaneBlock extends Span {
  /** What is chosen by a touch: of a gun-load its first coat. */
  readonly opId: string;
  readonly run: PlanRunView | null;
  readonly work: { readonly block: PlanBlock; readonly partName: string } | null;
}
/** What a person does, or what is done in a place. What lies at the same time stands in rows below one another. */
export interface OtherLane {
  readonly key: string;
  readonly name: string;
  readonly rows: readonly (readonly LaneBlock[])[];
}

/** Blocks in as few rows as their overlaps let them, each in the first that is free (interval partitioning by start). */
function inRows(blocks: readonly LaneBlock[]): readonly (readonly LaneBlock[])[] {
  const rows: LaneBlock[][] = [];
  for (const b of [...blocks].sort((x, y) => x.fromMs - y.fromMs || y.toMs - x.toMs)) {
    const row = rows.find((r) => r[r.length - 1]!.toMs <= b.fromMs);
    if (row) row.push(b);
    else rows.push([b]);
  }
  return rows;
}

const runBlock = (view: Pick<PlanView, 'lanes'>, run: PlanRunView): LaneBlock => {
  const first = view.lanes.flatMap((l) => l.blocks).find((b) => b.runId === run.runId);
  return { fromMs: run.fromMs, toMs: run.toMs, opId: first?.opId ?? run.runId, run, work: null };
};

/** What is done in each place: its gun-loads and all other work. Places in which nothing is done are left out. Pure. */
export function placeLanes(view: Pick<PlanView, 'lanes' | 'runs' | 'places'>): readonly OtherLane[] {
  const work = view.lanes.flatMap((lane) =>
    lane.blocks.flatMap((block) =>
      block.runId !== null
        ? []
        : block.spans.map((s) => ({
            ...s,
            opId: block.opId,
            run: null,
            work: { block, partName: lane.name },
            placeId: block.placeId,
          })),
    ),
  );
  return view.places.flatMap(({ placeId, name }): OtherLane[] => {
    const runs = view.runs.filter((r) => r.placeId === placeId).map((r) => runBlock(view, r));
    const blocks = [...runs, ...work.filter((w) => w.placeId === placeId)];
    return blocks.length === 0 ? [] : [{ key: placeId, name, rows: inRows(blocks) }];
  });
}

/**
 * What each person does, in one way of sharing it out, and what changes hands. Null: people were only counted. A session's rota says no
 * more than its card does. Pure.
 */
export function personLanes(view: PlanView): readonly OtherLane[] | null {
  const blocks = new Map<string, LaneBlock[]>();
  const shared: LaneBlock[] = [];
  view.sessions.forEach((_, index) => {
    const card = sessionCard(view, index);
    const rota = rotaOf(view, index, card);
    if (!rota) return;
    const blockOf = (t: Span & { readonly opId: string; readonly runId: string | null }): LaneBlock => {
      const run = card.runs.find((r) => r.runId === t.runId) ?? null;
      const entry = card.entries.find((e) => e.block.opId === t.opId);
      const work = run === null && entry ? { block: entry.block, partName: entry.lane.name } : null;
      return { fromMs: t.fromMs, toMs: t.toMs, opId: t.opId, run, work };
    };
    for (const p of rota.people) {
      const own = blocks.get(p.name) ?? [];
      blocks.set(p.name, [...own, ...p.turns.map(blockOf)]);
    }
    shared.push(...rota.shared.map(blockOf));
  });
  if (blocks.size === 0) return null;
  const lanes = [...blocks].map(([name, own]): OtherLane => ({ key: name, name, rows: inRows(own) }));
  return shared.length === 0 ? lanes : [...lanes, { key: '', name: '', rows: inRows(shared) }];
}
