import { MINUTE_MS } from '../base/time.ts';
import {
  carried,
  filmNow,
  laidFilm,
  stageMs,
  touchEndMs,
  windowOf,
  type LaidFilm,
  type Stand,
} from './films.ts';
import { upToGrid } from './grid.ts';
import { waitMs } from './steps.ts';
import type { PlanOp, PlanPart, PlanProblem, PlanSession } from './problem.ts';

/**
 * Before this no plan has a machine done: the longest chain of its parts as if each had the whole shop to itself, and its hands over
 * the hands there are. A later start never opens a window earlier, so the earliest start of each step is the earliest of all. It
 * leaves out shut edges, weather, dust and people taken by other parts: the truth lies later, and no gap is claimed. Null: past the
 * plan's end.
 */
export function boundOf(problem: PlanProblem, machineId: string): number | null {
  const parts = problem.parts.filter((p) => p.machineId === machineId);
  let latestMs = handsBound(problem, parts);
  for (const part of parts) {
    const doneMs = latestMs === null ? null : chainBound(problem, part);
    latestMs = latestMs === null || doneMs === null ? null : Math.max(latestMs, doneMs);
  }
  return latestMs;
}

/** When the shop's hands have done all of it, with nobody idle. */
function handsBound({ sessions, nowMs }: PlanProblem, parts: readonly PlanPart[]): number | null {
  let leftMs = parts.reduce((sum, p) => sum + p.ops.reduce((m, o) => m + o.handsMin, 0), 0) * MINUTE_MS;
  if (leftMs === 0) return nowMs;
  for (const s of sessions) {
    const here = (s.toMs - s.fromMs) * s.people;
    if (here >= leftMs) return s.fromMs + leftMs / s.people;
    leftMs -= here;
  }
  return null;
}

/** The end of work of so long that begins no earlier than an instant; what is longer than what is left goes on next time. */
function workEnd(
  sessions: readonly PlanSession[],
  fromMs: number,
  lengthMs: number,
  isSplit: boolean,
): number | null {
  let leftMs = lengthMs;
  for (const s of sessions) {
    const startMs = upToGrid(Math.max(fromMs, s.fromMs));
    const roomMs = s.toMs - startMs;
    if (roomMs <= 0) continue;
    if (roomMs >= leftMs) return startMs + leftMs;
    if (isSplit) leftMs -= roomMs;
  }
  return null;
}

function chainBound({ sessions, nowMs }: PlanProblem, part: PlanPart): number | null {
  let stand: Stand = { surface: part.surface, isOutdoors: part.isOutdoors };
  let films: { readonly id: string | null; readonly laid: LaidFilm }[] = part.films.map((f) => ({
    id: null,
    laid: filmNow(stand, f),
  }));
  let atMs = nowMs;
  let doneMs = nowMs;
  for (const op of part.ops) {
    const fromMs = readyMs(
      op,
      atMs,
      films.map((f) => f.laid),
    );
    const endMs =
      fromMs === null
        ? null
        : op.handsMin === 0
          ? fromMs
          : workEnd(sessions, fromMs, upToGrid((op.handsMin / op.mostPeople) * MINUTE_MS), op.isSplittable);
    if (endMs === null) return null;
    atMs = endMs + waitMs(op);
    doneMs = Math.max(doneMs, atMs);
    if (op.kind === 'carry') {
      const { isOutdoors, surfaceFrom } = part.carry!;
      stand = { surface: surfaceFrom(endMs), isOutdoors };
      films = films.map((f) => ({ ...f, laid: carried(f.laid, stand) }));
    }
    if (!op.coat) continue;
    const laid = laidFilm(stand, op.coat, endMs, []);
    const ids = new Set(op.coat.on.map((u) => (u.kind === 'op' ? u.opId : null)));
    films = [...films.filter((f) => !ids.has(f.id)), { id: op.opId, laid }];
    doneMs = Math.max(doneMs, stageMs(laid, 'handle') ?? touchEndMs(laid));
  }
  return doneMs;
}

/** When what is below lets it begin. Null: not within the plan. */
function readyMs(op: PlanOp, atMs: number, films: readonly LaidFilm[]): number | null {
  let readyMs = atMs;
  for (const laid of films) {
    const needed = op.needs === null ? null : stageMs(laid, op.needs);
    if (op.needs !== null && needed === null) return null;
    const opens =
      op.coat && op.coat.on.length > 0 ? (windowOf(laid, op.coat.sheet).open[0]?.fromMs ?? atMs) : atMs;
    readyMs = Math.max(readyMs, needed ?? 0, opens);
  }
  return readyMs;
}
