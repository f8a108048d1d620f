import { cameBook } from '../people/absence.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { agendaOf, type AgendaLine, type AgendaSession } from './agenda.ts';
import { whoComes } from './hands.ts';
import type { Hand, Plan, PlanAsk } from './problem.ts';
import { handsJob, runJob, shareOut, type Job } from './rota.ts';

/** A session as one person has it: what falls to them of it, and what nobody has for the whole of it. */
export interface OwnSession extends AgendaSession {
  /** Lines of the whole session; where nobody was asked for by name they are all of theirs. */
  readonly of: number;
}

/**
 * The sessions of a stored plan to which somebody comes, with their own work in them. A plan of so many, whoever it is, has the whole of
 * each session for everybody. Pure.
 */
export function ownAgenda(
  snapshot: Snapshot,
  { ask, plan }: { readonly ask: PlanAsk; readonly plan: Plan },
  name: string,
): readonly OwnSession[] {
  const book = cameBook(snapshot.shop.stock, snapshot.shop.workshop.zone, snapshot.nowMs);
  return agendaOf(snapshot, plan).flatMap((session): OwnSession[] => {
    const of = session.lines.length;
    if (ask.people !== null) return [{ ...session, of }];
    const who = whoComes(snapshot, ask, book, session.fromMs);
    if (!who.some((h) => h.name === name)) return [];
    return [{ ...theirs(session, who, name), of }];
  });
}

function theirs(session: AgendaSession, who: readonly Hand[], name: string): AgendaSession {
  const rota = shareOut(who, jobsOf(session));
  const turns = rota?.people.find((p) => p.name === name)?.turns ?? [];
  // What is handed over from one to the next is everybody's.
  const own = [...turns, ...(rota?.shared ?? [])];
  const isTheirs = (l: AgendaLine): boolean =>
    own.some((t) => (l.runId === null ? t.opId === l.opId && t.fromMs === l.fromMs : t.runId === l.runId));
  return {
    ...session,
    lines: session.lines.filter(isTheirs),
    runs: session.runs.filter((r) => own.some((t) => t.runId === r.runId)),
  };
}

/** Gun-loads with isocyanate first, then the others, then all else in the order of time: fewest may do what comes first. */
function jobsOf({ lines, runs }: AgendaSession): readonly Job[] {
  const loads = [...runs].sort((a, b) => Number(b.isPoison) - Number(a.isPoison) || a.fromMs - b.fromMs);
  return [
    ...loads.map((r) => runJob(r, lines.find((l) => l.runId === r.runId)?.opId ?? r.runId, r.isPoison)),
    ...lines.filter((l) => l.runId === null).map(handsJob),
  ];
}
