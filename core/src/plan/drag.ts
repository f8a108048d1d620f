import type { Span } from '../base/time.ts';
import type { PlanBlock, PlanView } from './view.ts';

/** What speaks against work in a session, as the rest of the plan stands; null: nothing that can be seen at once. */
export interface DragLimit {
  /** It comes before what it follows, before its window opens, or after it has shut. */
  readonly why: 'before' | 'opens' | 'shut';
  readonly limitMs: number;
}

const lengthMs = (b: PlanBlock): number => b.spans.reduce((ms, s) => ms + (s.toMs - s.fromMs), 0);

/**
 * Whether work could lie in a session, by what the plan on the page already knows: answered at every movement of a pointer, while the
 * planner is asked when it is let go. Work that would move along with it is taken where it is. Pure.
 */
export function dragLimit(view: Pick<PlanView, 'lanes'>, opId: string, session: Span): DragLimit | null {
  for (const lane of view.lanes) {
    const at = lane.blocks.findIndex((b) => b.opId === opId);
    const block = lane.blocks[at];
    if (!block) continue;
    const ms = lengthMs(block);
    const { opensMs = null, shutsMs = null } = block.coat ?? {};
    // A mending abrasion goes with its coat.
    const before = lane.blocks.slice(0, at).findLast((b) => !b.isMend);
    const doneMs = before?.spans.at(-1)?.toMs ?? -Infinity;
    const isMended = at > 0 && lane.blocks[at - 1]!.isMend;
    if (session.toMs < doneMs + ms) return { why: 'before', limitMs: doneMs };
    if (opensMs !== null && !isMended && session.toMs < opensMs + ms)
      return { why: 'opens', limitMs: opensMs };
    if (shutsMs !== null && !isMended && session.fromMs + ms > shutsMs)
      return { why: 'shut', limitMs: shutsMs };
    return null;
  }
  return null;
}
