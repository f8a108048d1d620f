import type { Span } from '../base/time.ts';
import { nightsOf } from './nights.ts';
import { cutsOf, heatBy, type Cut, type HeatBy } from './onTheDay.ts';
import { overlapMs, type PlanBlock, type PlanLane, type PlanRunView, type PlanView } from './view.ts';

/** Work of one session in its order, with what must be done then: else something is lost before people come again. */
export interface SessionEntry extends Span {
  readonly block: PlanBlock;
  readonly lane: PlanLane;
  readonly isMust: boolean;
}
export interface SessionCard {
  /** Places that must be warm before. */
  readonly heat: readonly HeatBy[];
  /** What lays metal bare may not be begun after these. */
  readonly cuts: readonly Cut[];
  readonly entries: readonly SessionEntry[];
  readonly runs: readonly PlanRunView[];
  /** Still on its hook when everybody goes home, and until when. */
  readonly overnight: readonly { readonly name: string; readonly handleMs: number | null }[];
}

export function sessionCard(
  view: Pick<PlanView, 'sessions' | 'lanes' | 'runs' | 'endMs' | 'places' | 'heated'>,
  index: number,
): SessionCard {
  const session = view.sessions[index]!;
  const nextMs = view.sessions[index + 1]?.fromMs ?? view.endMs;
  const all = view.lanes.flatMap((lane) =>
    lane.blocks.flatMap((block) =>
      block.spans.flatMap((span) =>
        overlapMs(span, session) > 0 ? [{ ...span, block, lane, isMust: mustBe(block, nextMs) }] : [],
      ),
    ),
  );
  // What comes before a coat that cannot wait cannot wait either.
  const must = new Map(all.filter((e) => e.isMust).map((e) => [e.lane.partId, e.fromMs]));
  const entries = all
    .map((e) => ({ ...e, isMust: e.fromMs <= (must.get(e.lane.partId) ?? -Infinity) }))
    .sort((a, b) => a.fromMs - b.fromMs || a.lane.name.localeCompare(b.lane.name));
  return {
    heat: heatBy(view, entries),
    cuts: cutsOf(view, session, nextMs),
    entries,
    runs: view.runs.filter((r) => overlapMs(r, session) > 0).sort((a, b) => a.fromMs - b.fromMs),
    overnight: nightsOf(view)[index]!.parts.map((p) => ({ name: p.name, handleMs: p.untilMs })),
  };
}

const mustBe = ({ coat }: PlanBlock, nextMs: number): boolean =>
  coat !== null && coat.shutsMs !== null && coat.shutsMs < nextMs;
