import { compareLoss, isInMotion, type Orderable } from '../../bench/order.ts';
import type { DerivedPart } from '../part.ts';
import { partsInUse, type Snapshot } from '../snapshot.ts';
import { cardOf, type PartCard } from './card.ts';
import { momentOf, type Moment } from './moment.ts';
import { liveMixes, type MixView } from './shelf.ts';

export interface BenchResponse extends Moment {
  /** Cups that hold something. */
  readonly mixes: readonly MixView[];
  readonly rows: readonly PartCard[];
  readonly partCount: number;
}

function orderable(part: DerivedPart): Orderable & { readonly part: DerivedPart } {
  const { partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours } = part.state;
  return { part, partId, headline, lostAtMs, isLossUnknown, opensMs, redoHours };
}

/** A card is made of a derived part, the moment and the machines' names: while those stand it is the same card. */
const cards = new WeakMap<
  DerivedPart,
  { nowMs: number; machines: Snapshot['shop']['machines']; card: PartCard }
>();

function cardOnce(snapshot: Snapshot, part: DerivedPart): PartCard {
  const { nowMs, shop } = snapshot;
  const known = cards.get(part);
  if (known?.nowMs === nowMs && known.machines === shop.machines) return known.card;
  const card = cardOf(snapshot, part);
  cards.set(part, { nowMs, machines: shop.machines, card });
  return card;
}

/** Parts in motion, lost first. */
export function benchOf(snapshot: Snapshot): BenchResponse {
  const inUse = partsInUse(snapshot);
  const moving = inUse.filter((p) => isInMotion(p.state.headline)).map(orderable);
  return {
    ...momentOf(snapshot),
    mixes: liveMixes(snapshot),
    rows: moving.sort(compareLoss).map((o) => cardOnce(snapshot, o.part)),
    partCount: inUse.length,
  };
}
