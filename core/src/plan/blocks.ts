import type { PlanOp, PlanPart } from './problem.ts';

/** Longer than bare metal lasts in the driest air, however it is laid: no session can hold it. */
export function isTooLong(block: readonly PlanOp[]): boolean {
  const last = block.findLastIndex((o) => o.bares);
  const limit = block[last]?.bares;
  if (!limit || limit.kind === 'none' || limit.kind === 'unknown') return false;
  const rest = block.slice(last + 1);
  const minutes = rest.reduce((sum, o) => sum + o.handsMin / o.mostPeople + o.waitHours * 60, 0);
  return minutes > 60 * (limit.kind === 'hours' ? limit.hours : limit.capHours);
}

/** Carried where it is coated before it is laid bare there: what a damp shed does not allow. */
export function carriedFirst(block: readonly PlanOp[]): readonly PlanOp[] | null {
  const carry = block.findIndex((o) => o.kind === 'carry');
  return carry > 0 ? [block[carry]!, ...block.filter((_, i) => i !== carry)] : null;
}

/** What must hold together from a step on: all of it while metal is bare, else the step alone. */
export function blockAt({ ops, bare }: PlanPart, i: number): readonly PlanOp[] {
  const isBare = ops[i]!.bares !== null || (i === 0 && bare !== null);
  return ops.slice(i, (isBare ? blockEnd(ops, i) : i) + 1);
}

/** The end of what must hold together while metal is bare: the first coat on it, or the oil that keeps it. */
function blockEnd(ops: readonly PlanOp[], from: number): number {
  const end = ops.findIndex((o, i) => i >= from && (o.coat !== null || o.kind === 'preserve'));
  return end < 0 ? ops.length - 1 : end;
}
