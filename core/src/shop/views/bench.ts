import { compareLoss, isInMotion } from '../../bench/order.ts';
import type { PartState } from '../../bench/part.ts';
import type { Snapshot } from '../snapshot.ts';
import { cardOf, type PartCard } from './card.ts';
import { momentOf, type Moment } from './moment.ts';
import { liveMixes, type MixView } from './shelf.ts';

export interface BenchResponse extends Moment {
  /** Cups that hold something. */
  readonly mixes: readonly MixView[];
  readonly rows: readonly PartCard[];
  readonly partCount: number;
}

function orderable(state: PartState) {
  const { partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours } = state;
  return { partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours };
}

/** Parts in motion, lost first. */
export function benchOf(snapshot: Snapshot): BenchResponse {
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
