import { MINUTE_MS, type Span } from '../base/time.ts';
import { ByDay } from './byDay.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import { capsOf, isManned, type Caps } from './hands.ts';
import type { Skill, PlanSession } from './problem.ts';

/** After dust nothing wet is begun for this long (docs/plan.md 8; common practice, no published source). */
export const DUST_SETTLES_MS = 30 * MINUTE_MS;
/** Solvent is in the air for so long after it stood open (common practice, no published source). */
export const SOLVENT_MS = 30 * MINUTE_MS;
/** After isocyanate was sprayed nobody is in that air without a mask for this long. */
export const ISOCYANATE_MS = 30 * MINUTE_MS;

/** A mist of wax or oil is in the air for so long after it was laid on (common practice, no published source). */
export const OIL_MS = 30 * MINUTE_MS;

/** Something that fills a place's air, or must not be disturbed in it. `bared`: metal that lies bare until it is coated. */
type AirUse = 'dust' | 'wet' | 'isocyanate' | 'work' | 'hot' | 'solvent' | 'oil' | 'bared';

/** What hands and air are taken up with, minute by minute of the sessions, with a way back. */
export class Timetable {
  readonly sessions: readonly PlanSession[];
  private readonly airs: Readonly<Record<string, string>>;
  private readonly caps: readonly Caps[];
  private readonly busy: Uint8Array[];
  /** Hands taken by skill; who sprays with a mask is among `masked` alone. */
  private readonly skilled: Readonly<Record<Skill, Uint8Array[]>>;
  /** By use and by whose air it is. */
  private readonly air: Record<AirUse, Map<string, ByDay<Span>>> = {
    dust: new Map<string, ByDay<Span>>(),
    wet: new Map<string, ByDay<Span>>(),
    isocyanate: new Map<string, ByDay<Span>>(),
    work: new Map<string, ByDay<Span>>(),
    hot: new Map<string, ByDay<Span>>(),
    solvent: new Map<string, ByDay<Span>>(),
    oil: new Map<string, ByDay<Span>>(),
    bared: new Map<string, ByDay<Span>>(),
  };
  private readonly held = new Map<string, ByDay<Span & { readonly amount: number }>>();
  private readonly undo: (() => void)[] = [];

  constructor(sessions: readonly PlanSession[], airs: Readonly<Record<string, string>> = {}) {
    this.sessions = sessions;
    this.airs = airs;
    this.caps = sessions.map((s) => capsOf(s.who));
    const slots = (s: PlanSession): number => Math.floor((s.toMs - s.fromMs) / GRID_MS);
    const none = (): Uint8Array[] => sessions.map((s) => new Uint8Array(slots(s)));
    this.busy = none();
    this.skilled = { spray: none(), masked: none(), blast: none() };
  }

  /** What is done from here on can be taken back. */
  mark(): number {
    return this.undo.length;
  }
  back(mark: number): void {
    while (this.undo.length > mark) this.undo.pop()!();
  }

  /** The first session that ends after an instant; the number of sessions when there is none. */
  sessionAt(atMs: number): number {
    let low = 0;
    let high = this.sessions.length;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.sessions[mid]!.toMs <= atMs) low = mid + 1;
      else high = mid;
    }
    return low;
  }

  private slots(session: number, span: Span): readonly [number, number] {
    const { fromMs } = this.sessions[session]!;
    return [Math.round((span.fromMs - fromMs) / GRID_MS), Math.round((span.toMs - fromMs) / GRID_MS)];
  }

  /** The first slot's end, in ms, at which hands are missing in a span of a session; null: there are enough. */
  handsMissing(session: number, span: Span, people: number, skill: Skill | null): number | null {
    const s = this.sessions[session]!;
    const [from, to] = this.slots(session, span);
    const busy = this.busy[session]!;
    for (let i = to - 1; i >= from; i--)
      if (busy[i]! + people > s.people || !this.isManned(session, i, skill))
        return s.fromMs + (i + 1) * GRID_MS;
    return null;
  }

  /** Whether one more of a skill finds hands in a slot. */
  private isManned(session: number, slot: number, skill: Skill | null): boolean {
    if (skill === null) return true;
    const { masked, spray, blast } = this.skilled;
    return isManned(
      this.caps[session]!,
      masked[session]![slot]! + (skill === 'masked' ? 1 : 0),
      spray[session]![slot]! + (skill === 'spray' ? 1 : 0),
      blast[session]![slot]! + (skill === 'blast' ? 1 : 0),
    );
  }

  take(session: number, span: Span, people: number, skill: Skill | null): void {
    const [from, to] = this.slots(session, span);
    const add = (by: number): void => {
      for (let i = from; i < to; i++) {
        this.busy[session]![i]! += by * people;
        if (skill !== null) this.skilled[skill][session]![i]! += by;
      }
    };
    add(1);
    this.undo.push(() => add(-1));
  }

  /** When the first thing of a kind that overlaps a span in a place's air is over; null: nothing does. */
  airTaken(placeId: string, use: AirUse, span: Span): number | null {
    return this.air[use].get(this.airs[placeId] ?? placeId)?.firstIn(span)?.toMs ?? null;
  }

  fill(placeId: string, use: AirUse, span: Span): void {
    const air = this.airs[placeId] ?? placeId;
    let spans = this.air[use].get(air);
    if (!spans) this.air[use].set(air, (spans = new ByDay()));
    this.undo.push(spans.add(span));
  }

  /**
   * When something that holds so much at once has room for so much more over a span; null: it has. Room is asked for where the span begins
   * and wherever something else comes in.
   */
  fullUntil(what: string, span: Span, amount: number, most: number): number | null {
    const there = this.held.get(what)?.allIn(span) ?? [];
    if (there.length === 0) return null;
    const moments = [span.fromMs, ...there.map((h) => h.fromMs).filter((ms) => ms > span.fromMs)];
    for (const atMs of moments) {
      const now = there.filter((h) => h.fromMs <= atMs && h.toMs > atMs);
      const taken = now.reduce((sum, h) => sum + h.amount, 0);
      // What is larger than the whole of it is there alone.
      if (now.length > 0 && taken + amount > most + 1e-9) return Math.min(...now.map((h) => h.toMs));
    }
    return null;
  }

  hold(what: string, span: Span, amount: number): void {
    let spans = this.held.get(what);
    if (!spans) this.held.set(what, (spans = new ByDay()));
    this.undo.push(spans.add({ ...span, amount }));
  }

  /** Something else that was changed, and how it is put back. */
  remember(back: () => void): void {
    this.undo.push(back);
  }

  /** Stretches of a session, from an instant on, in which so many hands are free. */
  free(session: number, fromMs: number, people: number): Span[] {
    const s = this.sessions[session]!;
    const busy = this.busy[session]!;
    const out: Span[] = [];
    let begin = -1;
    const first = Math.max(0, Math.round((upToGrid(fromMs) - s.fromMs) / GRID_MS));
    for (let i = first; i <= busy.length; i++) {
      const isFree = i < busy.length && busy[i]! + people <= s.people;
      if (isFree && begin < 0) begin = i;
      if (!isFree && begin >= 0) {
        out.push({ fromMs: s.fromMs + begin * GRID_MS, toMs: s.fromMs + i * GRID_MS });
        begin = -1;
      }
    }
    return out;
  }
}
