import { MINUTE_MS, type Span } from '../base/time.ts';
import { GRID_MS, upToGrid } from './grid.ts';
import { capsOf, isManned, type Caps } from './hands.ts';
import type { Skill, PlanSession } from './problem.ts';

/** After dust nothing wet is begun for this long (docs/plan.md 8; common practice, no published source). */
export const DUST_SETTLES_MS = 30 * MINUTE_MS;
/** After isocyanate was sprayed nobody is in that air without a mask for this long. */
export const ISOCYANATE_MS = 30 * MINUTE_MS;

/** Something that fills a place's air, or must not be disturbed in it. */
type AirUse = 'dust' | 'wet' | 'isocyanate' | 'work';

/** What hands and air are taken up with, minute by minute of the sessions, with a way back. */
export class Timetable {
  readonly sessions: readonly PlanSession[];
  private readonly caps: readonly Caps[];
  private readonly busy: Uint8Array[];
  /** Hands taken by skill; who sprays with a mask is among `masked` alone. */
  private readonly skilled: Readonly<Record<Skill, Uint8Array[]>>;
  private readonly air = new Map<string, Span[]>();
  private readonly hung: (Span & { readonly areaM2: number })[] = [];
  private readonly undo: (() => void)[] = [];

  constructor(sessions: readonly PlanSession[]) {
    this.sessions = sessions;
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
    const taken = (s: Skill): number => this.skilled[s][session]![slot]! + (s === skill ? 1 : 0);
    return isManned(this.caps[session]!, taken('masked'), taken('spray'), taken('blast'));
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
    for (const s of this.air.get(`${use}:${placeId}`) ?? [])
      if (s.fromMs < span.toMs && s.toMs > span.fromMs) return s.toMs;
    return null;
  }

  fill(placeId: string, use: AirUse, span: Span): void {
    const key = `${use}:${placeId}`;
    let list = this.air.get(key);
    if (!list) this.air.set(key, (list = []));
    list.push(span);
    this.undo.push(() => list.pop());
  }

  /** When there is room for so much more over a span; null: there is. Room is asked for where it begins and at every later coat. */
  roomFrom(span: Span, areaM2: number, roomM2: number): number | null {
    const there = this.hung.filter((h) => h.fromMs < span.toMs && h.toMs > span.fromMs);
    const moments = [span.fromMs, ...there.map((h) => h.fromMs).filter((ms) => ms > span.fromMs)];
    for (const atMs of moments) {
      const now = there.filter((h) => h.fromMs <= atMs && h.toMs > atMs);
      const taken = now.reduce((sum, h) => sum + h.areaM2, 0);
      // What is larger than the room alone hangs there alone.
      if (now.length > 0 && taken + areaM2 > roomM2 + 1e-9) return Math.min(...now.map((h) => h.toMs));
    }
    return null;
  }

  hang(span: Span, areaM2: number): void {
    this.hung.push({ ...span, areaM2 });
    this.undo.push(() => this.hung.pop());
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
