import type { Span } from '../base/time.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { isPoisonous } from './way.ts';
import { isFetch, isMend, readOpId } from './ids.ts';
import type { Plan } from './problem.ts';

/** A line of a session, for a calendar or a paper. */
export interface AgendaLine extends Span {
  readonly opId: string;
  /** The gun-load a coat is laid in; null: it is no coat. */
  readonly runId: string | null;
  readonly people: number;
  readonly partName: string;
  /** A step's kind, or `mend`, or `carry`. */
  readonly kind: string;
  readonly what: string | null;
  readonly productName: string | null;
  readonly no: number | null;
}
/** Work that no route has: a part is carried, or turned over. */
const moveKind = (stepId: string): string => stepId.replace(/\d+$/, '');

/** A gun-load of a session. */
export interface AgendaRun extends Span {
  readonly runId: string;
  readonly productName: string;
  readonly count: number;
  /** It puts isocyanate into the air. */
  readonly isPoison: boolean;
}
/** A session of a stored plan that has work in it. */
export interface AgendaSession extends Span {
  readonly lines: readonly AgendaLine[];
  readonly runs: readonly AgendaRun[];
}

/** A stored plan, session by session, in words' codes: what a calendar says of it. Work on parts that are gone is left out. Pure. */
export function agendaOf({ parts, shop }: Snapshot, plan: Plan): readonly AgendaSession[] {
  const within = (s: Span, ms: number): boolean => s.fromMs <= ms && ms < s.toMs;
  const nameOf = (sheetId: string): string => shop.sheets.get(sheetId)?.name ?? sheetId;
  return plan.sessions.flatMap((session): AgendaSession[] => {
    const lines = plan.items.flatMap((item): AgendaLine[] => {
      const { partId, stepId, coatNo } = readOpId(item.opId);
      const part = parts.get(partId);
      const step = part?.steps.find((s) => s.stepId === stepId);
      if (!part) return [];
      const isCoat = coatNo !== null && !isMend(item.opId);
      return item.spans
        .filter((s) => within(session, s.fromMs))
        .map((s) => ({
          ...s,
          opId: item.opId,
          runId: item.runId,
          people: item.people,
          partName: part.row.name,
          kind: isMend(item.opId) ? 'mend' : isFetch(item.opId) ? 'fetch' : (step?.kind ?? moveKind(stepId)),
          what: isCoat || isMend(item.opId) ? null : (step?.what ?? null),
          productName: isCoat && step?.sheetId != null ? nameOf(step.sheetId) : null,
          no: isCoat ? coatNo : null,
        }));
    });
    if (lines.length === 0) return [];
    const runs = plan.runs
      .filter((r) => within(session, r.fromMs))
      .map((r) => ({
        runId: r.runId,
        fromMs: r.fromMs,
        toMs: r.toMs,
        productName: nameOf(r.sheetId),
        count: r.opIds.length,
        isPoison: isPoisonous(r.tool, shop.sheets.get(r.sheetId)?.cautions ?? []),
      }));
    return [{ ...session, lines: lines.sort((a, b) => a.fromMs - b.fromMs), runs }];
  });
}

/** A part's next work in a stored plan. */
export interface NextPlanned extends Span {
  readonly opId: string;
  /** Other coats in the same gun-load; null: it is no coat. */
  readonly others: number | null;
  /** It is planned for a time that has gone by. */
  readonly isLate: boolean;
  /** What it stands in now is lost before then: worst edge, ms. */
  readonly lostMs: number | null;
}

/**
 * When the plan has a part's next work: its next coat where that is planned, else whatever comes first from now on. Null: the plan has
 * nothing more of it. Pure.
 */
export function nextPlanned(
  plan: Pick<Plan, 'items' | 'runs'>,
  part: {
    readonly partId: string;
    readonly next: { readonly stepId: string; readonly coatNo: number } | null;
    readonly lostAtMs: number | null;
  },
  nowMs: number,
): NextPlanned | null {
  const own = plan.items.filter((i) => i.opId.startsWith(`${part.partId}/`));
  const coatId = part.next && `${part.partId}/${part.next.stepId}/${part.next.coatNo}`;
  const item =
    own.find((i) => i.opId === coatId) ??
    own.filter((i) => i.spans[0]!.fromMs > nowMs).sort((a, b) => a.spans[0]!.fromMs - b.spans[0]!.fromMs)[0];
  if (!item) return null;
  const { fromMs, toMs } = item.spans[0]!;
  const run = item.runId === null ? undefined : plan.runs.find((r) => r.runId === item.runId);
  const { lostAtMs } = part;
  return {
    fromMs,
    toMs,
    opId: item.opId,
    others: run ? run.opIds.length - 1 : null,
    isLate: toMs < nowMs,
    lostMs:
      item.opId === coatId && lostAtMs !== null && lostAtMs > nowMs && lostAtMs < toMs ? lostAtMs : null,
  };
}
