import type { Span } from '../base/time.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { isMend, coatOpIdOf } from './ids.ts';
import type { Plan } from './problem.ts';

/** A line of a session, for a calendar or a paper. */
export interface AgendaLine extends Span {
  readonly partName: string;
  /** A step's kind, or `mend`, or `carry`. */
  readonly kind: string;
  readonly what: string | null;
  readonly productName: string | null;
  readonly no: number | null;
}
/** A session of a stored plan that has work in it. */
export interface AgendaSession extends Span {
  readonly lines: readonly AgendaLine[];
  readonly runs: readonly { readonly productName: string; readonly count: number; readonly fromMs: number }[];
}

/** A stored plan, session by session, in words' codes: what a calendar says of it. Work on parts that are gone is left out. Pure. */
export function agendaOf({ parts, shop }: Snapshot, plan: Plan): readonly AgendaSession[] {
  const within = (s: Span, ms: number): boolean => s.fromMs <= ms && ms < s.toMs;
  const nameOf = (sheetId: string): string => shop.sheets.get(sheetId)?.name ?? sheetId;
  return plan.sessions.flatMap((session): AgendaSession[] => {
    const lines = plan.items.flatMap((item): AgendaLine[] => {
      const [partId, stepId, no] = coatOpIdOf(item.opId).split('/') as [string, string, string?];
      const part = parts.get(partId);
      const step = part?.steps.find((s) => s.stepId === stepId);
      if (!part || item.people === 0) return [];
      const isCoat = no !== undefined && !isMend(item.opId);
      return item.spans
        .filter((s) => within(session, s.fromMs))
        .map((s) => ({
          ...s,
          partName: part.row.name,
          kind: isMend(item.opId) ? 'mend' : (step?.kind ?? stepId),
          what: isCoat || isMend(item.opId) ? null : (step?.what ?? null),
          productName: isCoat && step?.sheetId != null ? nameOf(step.sheetId) : null,
          no: isCoat ? Number(no) : null,
        }));
    });
    if (lines.length === 0) return [];
    const runs = plan.runs
      .filter((r) => within(session, r.fromMs))
      .map((r) => ({ productName: nameOf(r.sheetId), count: r.opIds.length, fromMs: r.fromMs }));
    return [{ ...session, lines: lines.sort((a, b) => a.fromMs - b.fromMs), runs }];
  });
}
