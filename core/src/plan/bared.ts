import type { Span } from '../base/time.ts';
import { mendOpId } from './ids.ts';
import type { PlanItem, PlanOp, PlanPart } from './problem.ts';

interface Done {
  readonly op: PlanOp;
  readonly isMend: boolean;
  readonly item: PlanItem;
}

/** Work on a part in the order of time, mending abrasions among it. */
function doneOf(part: PlanPart, itemOf: ReadonlyMap<string, PlanItem>): readonly Done[] {
  const done = part.ops.flatMap((op) => {
    const [mend, item] = [itemOf.get(mendOpId(op.opId)), itemOf.get(op.opId)];
    return [
      ...(mend ? [{ op, isMend: true, item: mend }] : []),
      ...(item ? [{ op, isMend: false, item }] : []),
    ];
  });
  return done.sort((a, b) => a.item.spans[0]!.fromMs - b.item.spans[0]!.fromMs);
}

/** Where and when a part's metal lies bare until it is coated, by a plan. What is oiled in place of a coat is not among it. Pure. */
export function baredSpans(
  part: PlanPart,
  itemOf: ReadonlyMap<string, PlanItem>,
  nowMs: number,
): readonly (Span & { readonly placeId: string })[] {
  const out: (Span & { placeId: string })[] = [];
  let { placeId } = part;
  let sinceMs: number | null = part.bare && nowMs;
  let inBath = false;
  const end = (toMs: number): void => {
    if (sinceMs !== null && toMs > sinceMs) out.push({ placeId, fromMs: sinceMs, toMs });
  };
  for (const { op, isMend, item } of doneOf(part, itemOf)) {
    const [startMs, endMs] = [item.spans[0]!.fromMs, item.spans[item.spans.length - 1]!.toMs];
    if (isMend) {
      if (sinceMs !== null) sinceMs = endMs;
      continue;
    }
    if (inBath) sinceMs = startMs;
    inBath = op.bares !== null && op.waitHours > 0;
    if (op.bares) sinceMs = inBath ? null : endMs;
    if (op.kind === 'carry') {
      end(endMs);
      placeId = part.carry!.placeId;
      if (sinceMs !== null) sinceMs = endMs;
    }
    if (op.coat) end(startMs);
    if (op.coat || op.kind === 'preserve') sinceMs = null;
  }
  return out;
}
