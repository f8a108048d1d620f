import type { PlanBlock, PlanLane, PlanView } from './view.ts';

/** A place that has to be warm by then, so that what is coated in it is as warm as it. */
export interface HeatBy {
  readonly placeId: string;
  readonly placeName: string;
  readonly airC: number;
  readonly byMs: number;
}

/** Heat that a session's coats need before they are begun: castings are as warm as their place hours later. Pure. */
export function heatBy(
  view: Pick<PlanView, 'places' | 'heated'>,
  coats: readonly { readonly lane: PlanLane; readonly block: PlanBlock }[],
): readonly HeatBy[] {
  return view.places.flatMap(({ placeId, name }): HeatBy[] => {
    const here = coats.filter((c) => c.block.coat !== null && c.block.placeId === placeId);
    const heat = view.heated.find(
      (h) =>
        h.placeId === placeId &&
        here.some((c) => h.fromMs <= c.block.spans[0]!.fromMs && c.block.spans[0]!.fromMs < h.toMs),
    );
    if (!heat) return [];
    const byMs = Math.min(...here.map((c) => c.block.spans[0]!.fromMs - c.lane.warmsMs));
    return [{ placeId, placeName: name, airC: heat.airC, byMs: Math.max(byMs, heat.fromMs) }];
  });
}

/** After this work that lays metal bare may not be begun: it could not be coated any more before it is out. */
export interface Cut {
  readonly partName: string;
  readonly block: PlanBlock;
  readonly lastMs: number;
}

/**
 * Until when in its session work that lays metal bare may still be begun: as much later as its gun-load may end before the session does, or,
 * where the coat comes another day, before the metal is out. Metal that never goes out has no line, nor has what lasts until people come again
 * and a gun-load can be laid, nor what nothing follows. Pure.
 */
export function cutsOf(
  view: Pick<PlanView, 'lanes' | 'runs'>,
  session: { readonly fromMs: number; readonly toMs: number },
  nextMs: number,
): readonly Cut[] {
  return view.lanes.flatMap((lane): Cut[] => {
    const at = lane.blocks.findLastIndex(
      (b) => b.bares && session.fromMs <= b.spans[0]!.fromMs && b.spans[0]!.fromMs < session.toMs,
    );
    const block = lane.blocks[at];
    const next = lane.blocks.slice(at + 1).find((b) => b.coat ?? b.bares);
    if (!block || !next?.coat || next.coat.slackMs === null || next.coat.shutsMs === null) return [];
    const run = view.runs.find((r) => r.runId === next.runId);
    const { fromMs, toMs } = run ?? next.spans[0]!;
    const isSame = next.spans[0]!.fromMs < session.toMs;
    const spareMs = Math.max(0, isSame ? session.toMs - toMs : next.coat.slackMs);
    // Begun later, the metal is out as much later.
    if (isSame && next.coat.shutsMs + spareMs >= nextMs + (toMs - fromMs)) return [];
    return [{ partName: lane.name, block, lastMs: block.spans[0]!.fromMs + spareMs }];
  });
}
