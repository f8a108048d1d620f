import type { Binding } from './problem.ts';
import type { PlanView } from './view.ts';

/** One link of the chain of what binds. */
export interface Reason {
  readonly opId: string;
  readonly binds: Binding;
}
/** Why a piece of work is not earlier, and why what it waits for is not: back to now. */
export function reasonChain(view: Pick<PlanView, 'lanes'>, opId: string): readonly Reason[] {
  const byId = new Map(view.lanes.flatMap((l) => l.blocks.map((b) => [b.opId, b] as const)));
  const out: Reason[] = [];
  for (let id: string | null = opId; id !== null && out.length < 60;) {
    const block = byId.get(id);
    if (!block || out.some((r) => r.opId === id)) break;
    out.push({ opId: id, binds: block.binds });
    id = block.binds.opId ?? before(view, id);
  }
  return out;
}

/** The work before it on its part, where it did not wait for another. */
function before(view: Pick<PlanView, 'lanes'>, opId: string): string | null {
  for (const lane of view.lanes) {
    const i = lane.blocks.findIndex((b) => b.opId === opId);
    if (i > 0) return lane.blocks[i - 1]!.opId;
  }
  return null;
}
