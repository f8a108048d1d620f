import type { Span } from '../base/time.ts';
import { isBlast } from './hands.ts';
import type { Hand } from './problem.ts';
import { isPoisonous } from './way.ts';
import type { SessionCard } from './card.ts';
import type { PlanView } from './view.ts';

/** What somebody does in a session, in its order. */
export interface Turn extends Span {
  /** The gun-load they lay; null: other work. */
  readonly runId: string | null;
  /** The work itself; of a gun-load its first coat. */
  readonly opId: string;
}
export interface Rota {
  readonly people: readonly { readonly name: string; readonly turns: readonly Turn[] }[];
  /** Work that finds nobody who is free for the whole of it: hands change over at it. */
  readonly shared: readonly Turn[];
}

/** Work that somebody is wanted for. */
export interface Job extends Turn {
  readonly people: number;
  readonly may: (h: Hand) => boolean;
}

/** How much somebody is needed for other work: who may do less is sent first, so that painters stay free for paint. */
const wantedFor = (h: Hand): number => Number(h.sprays) + Number(h.isMasked) + Number(h.blasts);
const overlaps = (a: Span, b: Span): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

/**
 * Who does what in a session, by name: every job to people who may do it and are free for all of it, gun-loads first, then in the order of
 * time. One way among many that hold: a plan fixes when work is done, not by whom. Null where nobody was named. Pure.
 */
export function rotaOf(
  view: Pick<PlanView, 'sessions' | 'lanes'>,
  index: number,
  card: SessionCard,
): Rota | null {
  const who = view.sessions[index]?.who ?? [];
  return shareOut(who, [...runJobs(view, card), ...otherJobs(card)]);
}

/** Jobs, those that fewest may do first, shared out among who is there. Null where nobody was named. Pure. */
export function shareOut(who: readonly Hand[], jobs: readonly Job[]): Rota | null {
  if (!who.some((h) => h.name !== null)) return null;
  const taken = who.map((): Turn[] => []);
  const shared: Turn[] = [];
  for (const { people, may, ...turn } of jobs) {
    const free = who
      .map((h, i) => ({ h, i }))
      .filter(({ h, i }) => may(h) && !taken[i]!.some((t) => overlaps(t, turn)))
      .sort((a, b) => wantedFor(a.h) - wantedFor(b.h) || busyMs(taken[a.i]!) - busyMs(taken[b.i]!));
    if (free.length < people) shared.push(turn);
    else for (const { i } of free.slice(0, people)) taken[i]!.push(turn);
  }
  return {
    people: who.flatMap((h, i) =>
      h.name === null ? [] : [{ name: h.name, turns: taken[i]!.sort((a, b) => a.fromMs - b.fromMs) }],
    ),
    shared,
  };
}
const busyMs = (turns: readonly Turn[]): number => turns.reduce((ms, t) => ms + (t.toMs - t.fromMs), 0);

/** Gun-loads, those with isocyanate before the others: fewest may lay them. */
function runJobs(view: Pick<PlanView, 'lanes'>, card: SessionCard): Job[] {
  const blocks = view.lanes.flatMap((l) => l.blocks);
  return card.runs
    .map((r): Job & { readonly isPoison: boolean } => {
      const own = blocks.filter((b) => b.runId === r.runId && b.coat);
      const isPoison = own.some((b) => isPoisonous(r.tool, b.coat!.cautions));
      return { ...runJob(r, own[0]?.opId ?? r.runId, isPoison), isPoison };
    })
    .sort((a, b) => Number(b.isPoison) - Number(a.isPoison) || a.fromMs - b.fromMs);
}

/** A gun-load as a job: a painter, with a mask where it puts isocyanate into the air. */
export const runJob = (run: Span & { readonly runId: string }, opId: string, isPoison: boolean): Job => ({
  runId: run.runId,
  opId,
  fromMs: run.fromMs,
  toMs: run.toMs,
  people: 1,
  may: isPoison ? (h) => h.isMasked : (h) => h.sprays,
});

/** Other work as a job: anybody, but a blast takes a blaster. */
export const handsJob = (
  work: Span & {
    readonly opId: string;
    readonly kind: string;
    readonly what: string | null;
    readonly people: number;
  },
): Job => ({
  runId: null,
  opId: work.opId,
  fromMs: work.fromMs,
  toMs: work.toMs,
  people: Math.max(1, work.people),
  may: isBlast(work) ? (h) => h.blasts : () => true,
});

const otherJobs = (card: SessionCard): Job[] =>
  card.entries
    .filter((e) => e.block.runId === null)
    .map(({ block, fromMs, toMs }) => handsJob({ ...block, fromMs, toMs }));
