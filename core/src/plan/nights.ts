import type { Span } from '../base/time.ts';
import { SECOND } from './ids.ts';
import type { PlanView } from './view.ts';

/** What stands in booth and on racks from one session to the next: films that may not be handled yet. */
export interface Night extends Span {
  /** After the session with this index. */
  readonly index: number;
  readonly parts: readonly {
    readonly partId: string;
    readonly name: string;
    /** When it may be handled at the worst; null: not within the plan. */
    readonly untilMs: number | null;
  }[];
  /** Painted faces of them, m². */
  readonly areaM2: number;
}

/** The nights of a plan, those with nothing standing too. A later coat on a face takes the place of the one below. Pure. */
export function nightsOf(view: Pick<PlanView, 'sessions' | 'lanes' | 'endMs'>): readonly Night[] {
  return view.sessions.map((s, index): Night => {
    const parts = view.lanes.flatMap((lane) => {
      const faces = [false, true].flatMap((isSecond) => {
        const last = lane.blocks.findLast(
          (b) => b.coat && b.spans[0]!.fromMs < s.toMs && b.opId.includes(SECOND) === isSecond,
        );
        const soft = last?.coat && (last.coat.handleMs === null || last.coat.handleMs > s.toMs);
        return soft ? [last.coat] : [];
      });
      if (faces.length === 0) return [];
      const until = faces.map((f) => f.handleMs);
      return [
        {
          partId: lane.partId,
          name: lane.name,
          untilMs: until.includes(null) ? null : Math.max(...until.map((ms) => ms!)),
          areaM2: faces.reduce((sum, f) => sum + f.areaM2, 0),
        },
      ];
    });
    return {
      index,
      fromMs: s.toMs,
      toMs: view.sessions[index + 1]?.fromMs ?? view.endMs,
      parts: parts.map(({ areaM2: _, ...p }) => p),
      areaM2: parts.reduce((sum, p) => sum + p.areaM2, 0),
    };
  });
}
