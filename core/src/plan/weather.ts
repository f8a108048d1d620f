import { judgeGates, type AirLimits, type GateStatus } from '../air/gate.ts';
import { quantile } from '../base/quantile.ts';
import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { offsetByHourMs } from '../base/zone.ts';
import { conditionsAt, limitsOf } from '../bench/air.ts';
import { bareWorst, type BareLimit } from '../cure/bare.ts';
import { surfaceAt, type SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';
import { alongTrack } from './memo.ts';
import type { PlanProblem, PlanSurface } from './problem.ts';
import { LEAST_USUAL_DAYS, USUAL_DAYS } from './usual.ts';

/** The gates are looked at so often. */
const STEP_MS = HOUR_MS / 4;
/** A gate that held on fewer of the last weeks' days than this is not planned on. */
export const LEAST_ODDS = 0.5;
/** Days that must speak: of fourteen with readings, a span that is to be wholly past may miss one at either end. */
export const LEAST_DAYS = LEAST_USUAL_DAYS - 2;

/** Whether the air lets a coat go on and dry to the touch. */
export interface AirVerdict {
  /** Within the forecast the worst gate of the span; past it by the odds. */
  readonly status: GateStatus;
  /** Share of the last weeks' days on which no gate failed then; null: all of it is forecast. */
  readonly odds: number | null;
}

interface Judged {
  readonly toMs: number;
  readonly verdict: AirVerdict;
}

/** Gates of one sheet's limits along one track, looked at as far as somebody asks. */
class GateLine {
  private readonly track: readonly SurfaceStretch[];
  private readonly limits: AirLimits;
  private readonly first: number;
  /** By steps from the first on: 0 not looked at, else the place in `STATUSES` plus one. */
  private readonly known: Uint8Array;

  constructor(track: readonly SurfaceStretch[], limits: AirLimits, fromMs: number, toMs: number) {
    this.track = track;
    this.limits = limits;
    this.first = Math.floor(fromMs / STEP_MS);
    this.known = new Uint8Array(Math.ceil(toMs / STEP_MS) - this.first + 1);
  }

  /** The gates at the step an instant lies in; assumed air says nothing. */
  at(atMs: number): GateStatus {
    const i = Math.floor(atMs / STEP_MS) - this.first;
    if (i < 0 || i >= this.known.length) return 'unknown';
    const there = this.known[i]!;
    if (there > 0) return STATUSES[there - 1]!;
    const status = this.look((i + this.first + 0.5) * STEP_MS);
    this.known[i] = STATUSES.indexOf(status) + 1;
    return status;
  }

  private look(atMs: number): GateStatus {
    const point = surfaceAt(this.track, atMs);
    if (!point || point.source === 'assumed') return 'unknown';
    const now = conditionsAt(this.track, atMs);
    return now ? judgeGates(now, this.limits).status : 'unknown';
  }
}

const STATUSES: readonly GateStatus[] = ['pass', 'marginal', 'unknown', 'fail'];
/** The days that stand for a span: those with the heat on where it is on all through it. */
const daysFor = ({ days, warm }: PlanSurface, fromMs: number, toMs: number): readonly SurfaceStretch[] =>
  warm?.spans.some((s) => s.fromMs <= fromMs && toMs <= s.toMs) ? warm.days : days;

const WORSE: Readonly<Record<GateStatus, number>> = { pass: 0, marginal: 1, unknown: 2, fail: 3 };
const worse = (a: GateStatus, b: GateStatus): GateStatus => (WORSE[b] > WORSE[a] ? b : a);

/**
 * What a plan asks of the air: gates by the forecast, and past it by how the last weeks' days went at that clock time. Everything
 * is kept that was worked out once; tracks are never changed.
 */
export class PlanWeather {
  private readonly zone: string;
  private readonly nowMs: number;
  private readonly forecastEndMs: number;
  private readonly endMs: number;
  /** What is worked out of the days before hangs on when that is asked. */
  private readonly key: string;

  constructor(about: Pick<PlanProblem, 'zone' | 'nowMs' | 'forecastEndMs' | 'endMs'>) {
    this.zone = about.zone;
    this.nowMs = about.nowMs;
    this.forecastEndMs = about.forecastEndMs;
    this.endMs = about.endMs;
    this.key = `${about.nowMs}/${about.forecastEndMs}`;
  }

  private line(track: readonly SurfaceStretch[], sheet: ProductSheet): GateLine {
    const limits = limitsOf(sheet);
    const key = `gates ${this.nowMs}/${this.endMs} ${Object.values(limits).join(',')}`;
    return alongTrack(
      track,
      key,
      () => new GateLine(track, limits, this.nowMs - (USUAL_DAYS + 1) * DAY_MS, this.endMs),
    );
  }

  /** The same clock time so many days before, past a clock change too. */
  private daysBefore(atMs: number, days: number): number {
    const thenMs = atMs - days * DAY_MS;
    return thenMs + offsetByHourMs(this.zone, atMs) - offsetByHourMs(this.zone, thenMs);
  }

  /** The shift that lays a span of the future on each day of the last weeks that is wholly past, newest first. */
  private pastDays(fromMs: number, toMs: number): number[] {
    const first = Math.ceil((toMs - this.nowMs) / DAY_MS);
    return Array.from({ length: USUAL_DAYS }, (_, i) => this.daysBefore(fromMs, first + i) - fromMs);
  }

  /** Whether a coat of this sheet may go on over a span and dry to its end. Unknown is never a pass. */
  verdict(surface: PlanSurface, sheet: ProductSheet, fromMs: number, toMs: number): AirVerdict {
    const known = this.verdicts(surface.track, sheet);
    // Coats of one sheet that begin together mostly end together; one that does not is judged anew.
    const there = known.get(fromMs);
    if (there?.toMs === toMs) return there.verdict;
    const verdict = this.judge(surface, sheet, fromMs, toMs);
    known.set(fromMs, { toMs, verdict });
    return verdict;
  }

  private verdicts(track: readonly SurfaceStretch[], sheet: ProductSheet): Map<number, Judged> {
    return alongTrack(track, `air ${this.key} ${sheet.sheetId}`, () => new Map<number, Judged>());
  }

  private judge(surface: PlanSurface, sheet: ProductSheet, fromMs: number, toMs: number): AirVerdict {
    const line = this.line(surface.track, sheet);
    let status: GateStatus = 'pass';
    const knownMs = Math.min(toMs, this.forecastEndMs);
    for (let atMs = fromMs; atMs < knownMs && status !== 'fail'; atMs += STEP_MS)
      status = worse(status, line.at(atMs));
    if (toMs <= this.forecastEndMs || status === 'fail') return { status, odds: null };
    // A casting that was carried in is cold for hours, whatever the days before were like.
    if (line.at(fromMs) === 'fail') return { status: 'fail', odds: 0 };
    const days = daysFor(surface, Math.max(fromMs, this.forecastEndMs), toMs);
    return this.byDays(this.line(days, sheet), status, Math.max(fromMs, this.forecastEndMs), toMs);
  }

  private byDays(line: GateLine, before: GateStatus, fromMs: number, toMs: number): AirVerdict {
    let held = 0;
    let days = 0;
    for (const shift of this.pastDays(fromMs, toMs)) {
      let day: GateStatus = 'pass';
      for (let atMs = fromMs; atMs < toMs && day !== 'fail'; atMs += STEP_MS)
        day = worse(day, line.at(atMs + shift));
      if (day === 'unknown') continue;
      days++;
      if (day !== 'fail') held++;
    }
    if (days < LEAST_DAYS) return { status: 'unknown', odds: null };
    const odds = held / days;
    return { status: odds < LEAST_ODDS ? 'fail' : before, odds };
  }

  /**
   * When metal laid bare then is out. Within the forecast as the clocks say; past it the tenth part of the last weeks' days that is
   * shortest decides. Null: it has no limit. Not known: it is out at once.
   */
  bareEndMs(surface: PlanSurface, fromMs: number, limit: BareLimit): number | null {
    if (limit.kind === 'none') return null;
    if (limit.kind === 'unknown') return fromMs;
    const key = `${fromMs}#${limit.kind === 'hours' ? limit.hours : `rh${limit.capHours}`}`;
    return alongTrack(surface.track, `bare ${this.key} ${key}`, () => this.bareOut(surface, fromMs, limit));
  }

  private bareOut(surface: PlanSurface, fromMs: number, limit: BareLimit): number {
    const { track } = surface;
    const days = daysFor(surface, fromMs, fromMs + DAY_MS / 2);
    const worstOf = (atMs: number, on = days): number | null => {
      const edge = bareWorst(on, atMs, limit);
      return edge === null || edge.isUnknown ? null : (edge.worstMs ?? Infinity) - atMs;
    };
    if (fromMs < this.forecastEndMs) return fromMs + (worstOf(fromMs, track) ?? 0);
    const lasting = this.pastDays(fromMs, fromMs + DAY_MS)
      .filter((shift) => surfaceAt(days, fromMs + shift)?.source === 'lag')
      .flatMap((shift) => worstOf(fromMs + shift) ?? [])
      .sort((a, b) => a - b);
    return fromMs + (lasting.length < LEAST_DAYS ? 0 : Math.min(quantile(lasting, 0.1), 7 * DAY_MS));
  }
}
