import { HOUR_MS, type Span } from '../base/time.ts';
import { endOf, NEAR_MS, say, startOf, type Judged } from './checkTypes.ts';
import type { PlanOp, PlanPart } from './problem.ts';

/** Something of the shop that is in use, by whom and how much. */
interface InUse extends Span {
  readonly opId: string;
  readonly thing: string;
  readonly amount: number;
}

/** At every moment no more in the tubs, the oven, the cabinet and on the hoist, and no more tools on the compressor, than they hold. */
export function things(j: Judged): void {
  const { cabinets, bathKg, ovenM2, hoists, airTools } = j.problem.capacity;
  const most = (thing: string): number => {
    if (thing.startsWith('bath ')) return bathKg ?? Infinity;
    if (thing === 'cabinet') return cabinets ?? 1;
    const said = { oven: ovenM2, hoist: hoists, air: airTools }[thing];
    return said ?? Infinity;
  };
  const all = j.problem.parts.flatMap((p) => p.ops.flatMap((op) => usesOf(j, p, op)));
  for (const one of all) {
    const now = all.filter((o) => o.thing === one.thing && o.fromMs <= one.fromMs && one.fromMs < o.toMs);
    const sum = now.reduce((m, o) => m + o.amount, 0);
    // What is larger than the whole of it is there alone.
    if (now.length > 1 && sum > most(one.thing) + 1e-6)
      say(
        j,
        'thing',
        now.map((o) => o.opId),
        sum,
        most(one.thing),
      );
  }
}

function usesOf(j: Judged, part: PlanPart, op: PlanOp): readonly InUse[] {
  const item = j.items.get(op.opId);
  if (!item) return [];
  const freeMs = endOf(item) + op.waitHours * HOUR_MS;
  const next = j.plan.items
    .filter((i) => i.opId.startsWith(`${part.partId}/`) && startOf(i) >= freeMs - NEAR_MS)
    .map(startOf);
  return op.holds.flatMap(({ thing, amount, until }): InUse[] => {
    const one = { opId: op.opId, thing, amount };
    if (until === 'end') return item.spans.map((s) => ({ ...one, ...s }));
    const toMs = until === 'waited' || next.length === 0 ? freeMs : Math.min(...next);
    return [{ ...one, fromMs: startOf(item), toMs }];
  });
}
