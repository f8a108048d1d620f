import { MINUTE_MS, type Span } from '../base/time.ts';
import { RUN_MIN } from '../work/minutes.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import type { Lay } from './lay.ts';
import type { Skill, Binding, Plan, PlanRun } from './problem.ts';
import type { Timetable } from './timetable.ts';
import type { OpenRun, Ready } from './way.ts';

/** A gun waits in its run for the next part no longer than this. */
const MOST_PAUSE_MS = 60 * MINUTE_MS;

/** A place for a coat in a run, taken. */
interface Taken {
  readonly run: OpenRun;
  readonly startMs: number;
  readonly binds: Binding;
}

/** The runs of a plan while it is made: coats join one that is there, or open their own. */
export class RunBook {
  private readonly table: Timetable;
  private readonly all: OpenRun[] = [];
  private readonly inSession: readonly OpenRun[][];

  constructor(table: Timetable) {
    this.table = table;
    this.inSession = table.sessions.map(() => []);
  }

  asRuns(): readonly PlanRun[] {
    return this.all.map(({ runId, head, fromMs, toMs, opIds, mixes }) => ({
      runId,
      ...head,
      fromMs,
      toMs,
      opIds,
      mixes,
    }));
  }

  private add(run: OpenRun): void {
    this.all.push(run);
    this.inSession[run.session]!.push(run);
    this.table.take(run.session, run, 1, run.skill);
    this.table.remember(() => {
      this.all.pop();
      this.inSession[run.session]!.pop();
    });
  }

  /** Runs with the coats that stay; one that loses its last is as much shorter. */
  keep(plan: Plan, kept: ReadonlySet<string>, skillOfCoat: (opId: string) => Skill): void {
    const itemOf = new Map(plan.items.map((i) => [i.opId, i]));
    for (const { runId, fromMs, toMs, opIds, mixes, ...head } of plan.runs) {
      const stay = opIds.filter((id) => kept.has(id) && itemOf.has(id));
      const session = this.table.sessionAt(fromMs);
      if (stay.length === 0 || session >= this.table.sessions.length) continue;
      const lastEndMs = Math.max(...stay.map((id) => itemOf.get(id)!.spans[0]!.toMs));
      const key = [head.sheetId, head.colour ?? '', head.tool, head.placeId].join('|');
      const endMs = Math.min(toMs, lastEndMs + RUN_MIN[head.tool].cleanUp * MINUTE_MS);
      // Its mix is as old as it is: what joins it brings one of its own.
      this.add({
        runId,
        key,
        session,
        head,
        fromMs,
        toMs: endMs,
        lastEndMs,
        goneMs: lastEndMs,
        mixes,
        opIds: stay,
        skill: skillOfCoat(stay[0]!),
      });
    }
  }

  /** Lays it at the end of a run of its kind in this session, where one is. */
  join(lay: Lay, session: number, at: Ready): Taken | null {
    for (const run of this.inSession[session]!) {
      if (run.key !== lay.runKey) continue;
      const startMs = upToGrid(Math.max(at.ms, run.lastEndMs));
      if (startMs - run.lastEndMs > MOST_PAUSE_MS) continue;
      const endMs = startMs + lay.lengthMs;
      const isSpent = endMs > run.goneMs;
      const mixMs = isSpent ? lay.mixMs(startMs) : 0;
      const from = startMs + mixMs;
      const toMs = from + lay.lengthMs + lay.cleanMs;
      if (toMs > this.table.sessions[session]!.toMs) continue;
      if (this.table.handsMissing(session, { fromMs: run.toMs, toMs }, 1, run.skill) !== null) continue;
      if (lay.stop(from)) continue;
      const before = { ...run };
      this.table.take(session, { fromMs: run.toMs, toMs }, 1, run.skill);
      this.table.remember(() => Object.assign(run, before));
      run.toMs = toMs;
      run.lastEndMs = from + lay.lengthMs;
      run.opIds = [...run.opIds, lay.op.opId];
      if (isSpent) {
        run.mixes++;
        run.goneMs = lay.goneMs(startMs);
      }
      return { run, startMs: from, binds: at.binds };
    }
    return null;
  }

  /** Opens a run of its own in this session. */
  open(lay: Lay, session: number, at: Ready): Taken | null {
    const s = this.table.sessions[session]!;
    let { binds } = at;
    const begin = upToGrid(Math.max(at.ms, s.fromMs + lay.setUpMs));
    for (let startMs = begin; startMs + lay.lengthMs + lay.cleanMs <= s.toMs && startMs < lay.lastMs();) {
      const mixMs = lay.mixMs(startMs);
      const span = { fromMs: startMs - lay.setUpMs - mixMs, toMs: startMs + lay.lengthMs + lay.cleanMs };
      const hands =
        span.fromMs < s.fromMs ? span.fromMs : this.table.handsMissing(session, span, 1, lay.skill);
      const stop =
        span.fromMs < s.fromMs
          ? { by: 'session' as const, nextMs: startMs + (s.fromMs - span.fromMs) }
          : hands !== null
            ? { by: 'people' as const, nextMs: hands + (startMs - span.fromMs) }
            : lay.stop(startMs);
      if (stop === null) {
        const run = this.newRun(lay, session, span, startMs - mixMs);
        run.lastEndMs = startMs + lay.lengthMs;
        return { run, startMs, binds };
      }
      binds = { by: stop.by, opId: null, edgeMs: stop.nextMs };
      lay.stopped = stop.by;
      startMs = Math.max(startMs + GRID_MS, upToGrid(stop.nextMs));
    }
    return null;
  }

  private newRun(lay: Lay, session: number, span: Span, mixedMs: number): OpenRun {
    const { sheet, colour, tool } = lay.op.coat!;
    const run: OpenRun = {
      runId: `${session}/${span.fromMs}/${lay.runKey}`,
      key: lay.runKey,
      session,
      head: { sheetId: sheet.sheetId, colour, tool, placeId: lay.way.placeId },
      ...span,
      lastEndMs: span.toMs,
      goneMs: lay.goneMs(mixedMs),
      mixes: 1,
      opIds: [lay.op.opId],
      skill: lay.skill,
    };
    this.add(run);
    return run;
  }
}
