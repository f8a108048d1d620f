import type { Span } from '../base/time.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { laidFilm, stageMs, touchEndMs, touchMsOf, type LaidFilm } from './films.ts';
import { GRID_MS } from './grid.ts';
import { skillOf } from './hands.ts';
import type { PlanItem, PlanOp, PlanProblem } from './problem.ts';
import type { CoatReading } from './reading.ts';
import { waitMs } from './steps.ts';
import { mostOf, type Held } from './things.ts';
import { DUST_SETTLES_MS, ISOCYANATE_MS, OIL_MS, SOLVENT_MS, type Timetable } from './timetable.ts';
import { isIsocyanate, type Stop, type Way } from './way.ts';
import type { PlanWeather } from './weather.ts';

/** What all parts share: hands, the air of their places, room to hang, and the shop's things. */
export class Shared {
  private readonly problem: PlanProblem;
  private readonly weather: PlanWeather;
  private readonly table: Timetable;

  constructor(problem: PlanProblem, weather: PlanWeather, table: Timetable) {
    this.problem = problem;
    this.weather = weather;
    this.table = table;
  }

  /** What stops work of hands in a span of a session. */
  stopOf(way: Way, op: PlanOp, session: number, span: Span, people: number): Stop | null {
    const placeId = placeOf(way, op);
    const thing = this.thingFull(op, span);
    if (thing !== null) return { by: 'thing', nextMs: thing };
    const hands = this.table.handsMissing(session, span, people, skillOf(op));
    if (hands !== null) return { by: 'people', nextMs: hands };
    const masked = this.table.airTaken(placeId, 'isocyanate', span);
    if (masked !== null) return { by: 'dust', nextMs: masked };
    const air = this.fireUntil(placeId, op, span) ?? this.oilUntil(placeId, op, span);
    if (air !== null) return { by: 'dust', nextMs: air };
    const settled = { ...span, toMs: span.toMs + DUST_SETTLES_MS };
    const wet = op.makesDust ? this.table.airTaken(placeId, 'wet', settled) : null;
    return wet === null ? null : { by: 'dust', nextMs: wet };
  }

  /** Work of hands over a span of a session. */
  take(way: Way, op: PlanOp, session: number, span: Span, people: number): void {
    this.table.take(session, span, people, skillOf(op));
    this.table.fill(placeOf(way, op), 'work', span);
    this.fill(placeOf(way, op), op, span);
    this.hold(op, span);
  }

  /** What work of hands leaves in the air. */
  private fill(placeId: string, { makesDust, isHot, usesSolvent, oils }: PlanOp, span: Span): void {
    if (makesDust) this.table.fill(placeId, 'dust', span);
    if (isHot) this.table.fill(placeId, 'hot', span);
    if (usesSolvent) this.table.fill(placeId, 'solvent', span);
    if (oils) this.table.fill(placeId, 'oil', span);
  }

  /** Until when wet film or solvent keeps a flame away, or a flame solvent; null: nothing does. */
  private fireUntil(placeId: string, { isHot, usesSolvent }: PlanOp, span: Span): number | null {
    const { fromMs, toMs } = span;
    const solvent = isHot
      ? this.table.airTaken(placeId, 'solvent', { fromMs: fromMs - SOLVENT_MS, toMs })
      : null;
    if (solvent !== null) return solvent + SOLVENT_MS;
    const wet = isHot ? this.table.airTaken(placeId, 'wet', span) : null;
    if (wet !== null) return wet;
    return usesSolvent ? this.table.airTaken(placeId, 'hot', { fromMs, toMs: toMs + SOLVENT_MS }) : null;
  }

  /** Until when bare metal or wet film keeps wax and oil away; null: nothing does. */
  private oilUntil(placeId: string, { oils }: PlanOp, { fromMs, toMs }: Span): number | null {
    if (!oils) return null;
    const misty = { fromMs, toMs: toMs + OIL_MS };
    return this.table.airTaken(placeId, 'bared', misty) ?? this.table.airTaken(placeId, 'wet', misty);
  }

  /** Whether metal may lie bare over a span in a place: no wax or oil is laid on there meanwhile, nor was just before. */
  isCleanFor(placeId: string, { fromMs, toMs }: Span): boolean {
    return this.table.airTaken(placeId, 'oil', { fromMs: fromMs - OIL_MS, toMs }) === null;
  }

  /** Metal that lay bare in a place's air until it was coated or carried away. */
  bared(placeId: string, span: Span): void {
    if (span.toMs > span.fromMs) this.table.fill(placeId, 'bared', span);
  }

  /** When a thing that work holds over a span has room for it; null: it has. */
  private thingFull(op: PlanOp, span: Span): number | null {
    for (const h of op.holds) {
      const most = mostOf(this.problem.capacity, h.thing);
      const freeMs =
        most === null ? null : this.table.fullUntil(h.thing, heldOver(h, op, span), h.amount, most);
      if (freeMs !== null) return Math.max(span.fromMs + GRID_MS, freeMs);
    }
    return null;
  }

  private hold(op: PlanOp, span: Span): void {
    for (const h of op.holds) this.table.hold(h.thing, heldOver(h, op, span), h.amount);
  }

  /** It stays in its tub past its time, until somebody pulls it out. False: the tub is wanted by then. */
  stays(op: PlanOp, fromMs: number, pulledMs: number): boolean {
    const span = { fromMs: fromMs + waitMs(op), toMs: pulledMs };
    for (const h of op.holds) {
      if (h.until !== 'next' || span.toMs <= span.fromMs) continue;
      const most = mostOf(this.problem.capacity, h.thing);
      if (most !== null && this.table.fullUntil(h.thing, span, h.amount, most) !== null) return false;
      this.table.hold(h.thing, span, h.amount);
    }
    return true;
  }

  /** A coat that is laid: its place's air is wet until it is dry to the touch, and it hangs until it may be handled. */
  wet(
    placeId: string,
    op: PlanOp,
    coat: Pick<CoatReading, 'startMs' | 'endMs' | 'touchMs' | 'handleMs'>,
  ): void {
    const { startMs, endMs, touchMs, handleMs } = coat;
    const span = { fromMs: startMs, toMs: endMs };
    this.table.fill(placeId, 'wet', { fromMs: startMs, toMs: touchMs });
    this.table.fill(placeId, 'work', span);
    if (op.oils) this.table.fill(placeId, 'oil', span);
    const hangs = { fromMs: startMs, toMs: handleMs ?? touchMs };
    if (this.problem.ask.roomM2 !== null) this.table.hold('room', hangs, areaOf(op));
    if (isIsocyanate(op))
      this.table.fill(placeId, 'isocyanate', { fromMs: startMs, toMs: endMs + ISOCYANATE_MS });
    this.hold(op, span);
  }

  /** Work of a plan that stays where it is. `op` null: a mending abrasion. `nextMs`: when the next work on its part begins. */
  keep(
    item: PlanItem,
    op: PlanOp | null,
    placeId: string,
    coat: CoatReading | undefined,
    nextMs: number | null,
  ): void {
    if (coat && op) {
      this.wet(placeId, op, coat);
      return;
    }
    for (const span of item.spans) {
      this.table.fill(placeId, 'work', span);
      this.table.take(this.table.sessionAt(span.fromMs), span, item.people, op && skillOf(op));
      if (op) {
        this.fill(placeId, op, span);
        this.hold(op, span);
      } else this.table.fill(placeId, 'dust', span);
    }
    const endMs = item.spans[item.spans.length - 1]!.toMs;
    for (const h of op?.holds ?? [])
      if (h.until === 'next' && nextMs !== null && nextMs > endMs + waitMs(op!))
        this.table.hold(h.thing, { fromMs: endMs + waitMs(op!), toMs: nextMs }, h.amount);
  }

  /** When there is room to hang a coat until it may be handled; null: there is. */
  private roomUntil(way: Way, op: PlanOp, span: Span, below: readonly LaidFilm[]): number | null {
    const { roomM2 } = this.problem.ask;
    if (roomM2 === null) return null;
    const laid = laidFilm(way.stand, op.coat!, span.toMs, below);
    return this.table.fullUntil('room', hangs(laid, span), areaOf(op), roomM2);
  }

  /** Whether the air of the place and the weather let a coat be laid over a span. */
  readonly airStop = (way: Way, op: PlanOp, span: Span, below: readonly LaidFilm[]): Stop | null => {
    const { placeId } = way;
    const thing = this.thingFull(op, span);
    if (thing !== null) return { by: 'thing', nextMs: thing };
    const dusty = this.table.airTaken(placeId, 'dust', { ...span, fromMs: span.fromMs - DUST_SETTLES_MS });
    if (dusty !== null) return { by: 'dust', nextMs: dusty + DUST_SETTLES_MS };
    const masked = isIsocyanate(op)
      ? this.table.airTaken(placeId, 'work', { ...span, toMs: span.toMs + ISOCYANATE_MS })
      : this.table.airTaken(placeId, 'isocyanate', span);
    if (masked !== null) return { by: 'dust', nextMs: masked };
    const touchMs = touchMsOf(way.stand.surface.track, op.coat!, span.toMs);
    const room = this.roomUntil(way, op, span, below);
    if (room !== null) return { by: 'room', nextMs: room };
    const dust = this.table.airTaken(placeId, 'dust', { fromMs: span.fromMs, toMs: touchMs });
    const hot = this.table.airTaken(placeId, 'hot', { fromMs: span.fromMs, toMs: touchMs });
    if (dust !== null || hot !== null) return { by: 'dust', nextMs: span.fromMs + GRID_MS };
    const oil = this.oilUntil(placeId, op, span);
    if (oil !== null) return { by: 'dust', nextMs: oil };
    if (!op.oils && !this.isCleanFor(placeId, { fromMs: way.bareHereMs ?? span.fromMs, toMs: touchMs }))
      return { by: 'dust', nextMs: span.fromMs + GRID_MS };
    const { status } = this.weather.verdict(way.stand.surface, op.coat!.sheet, span.fromMs, touchMs);
    return status === 'pass' || status === 'marginal'
      ? null
      : { by: 'air', nextMs: span.fromMs + 3 * GRID_MS };
  };
}

/** Whose air it is done in: what is carried somewhere is set down in that air. */
const placeOf = (way: Way, op: PlanOp): string =>
  op.kind === 'carry' ? way.part.carry!.placeId : way.placeId;

/** It hangs where it was coated until it may be handled. */
const hangs = (laid: LaidFilm, span: Span): Span => ({
  fromMs: span.fromMs,
  toMs: stageMs(laid, 'handle') ?? touchEndMs(laid),
});
const areaOf = (op: PlanOp): number => op.coat!.areaM2 ?? UNKNOWN_AREA_M2;

/** From the beginning of the work until what it holds is free again; of a tub so far as it is known. */
const heldOver = (h: Held, op: PlanOp, { fromMs, toMs }: Span): Span => ({
  fromMs,
  toMs: h.until === 'end' ? toMs : toMs + waitMs(op),
});
