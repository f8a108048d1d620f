import { MINUTE_MS, type Span } from '../base/time.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { MIX_MIN, RUN_MIN } from '../work/minutes.ts';
import { mixGoneMs, mixStandsMs, windowOf, type LaidFilm } from './films.ts';
import { upToGrid } from './grid.ts';
import type { Skill, BindKind, PlanOp } from './problem.ts';
import { isIsocyanate, type Stop, type Way } from './way.ts';

/** Minutes of scuffing before a coat, by area (common practice, no published source). */
const scuffMinutes = (areaM2: number | null): number => Math.ceil(5 + 12 * (areaM2 ?? UNKNOWN_AREA_M2));

/** What the air of its place, and the weather, have against a coat over a span. */
type AirStop = (way: Way, op: PlanOp, span: Span, below: readonly LaidFilm[]) => Stop | null;

/** One coat to be placed: how long it takes, and when its metal or film lets it go on. */
export class Lay {
  readonly way: Way;
  readonly op: PlanOp;
  readonly below: readonly LaidFilm[];
  readonly lengthMs: number;
  readonly setUpMs: number;
  readonly cleanMs: number;
  readonly runKey: string;
  readonly skill: Skill;
  stopped: BindKind | null = null;
  openedBy: string | null = null;
  private readonly airStop: AirStop;
  private readonly spans: readonly (readonly Span[])[];

  constructor(airStop: AirStop, way: Way, op: PlanOp, below: readonly LaidFilm[]) {
    this.airStop = airStop;
    this.way = way;
    this.op = op;
    this.below = below;
    const { sheet, colour, tool, areaM2 } = op.coat!;
    const windows = below.map((b) => windowOf(b, sheet));
    this.skill = isIsocyanate(op) ? 'masked' : 'spray';
    this.spans = way.keyed ? below.map(() => [way.keyed!]) : windows.map((w) => w.open);
    const isScuffed = !way.keyed && windows.some((w) => w.open.some((o) => o.isScuffed));
    this.lengthMs = upToGrid((op.handsMin + (isScuffed ? scuffMinutes(areaM2) : 0)) * MINUTE_MS);
    this.setUpMs = RUN_MIN[tool].setUp * MINUTE_MS;
    this.cleanMs = RUN_MIN[tool].cleanUp * MINUTE_MS;
    this.runKey = [sheet.sheetId, colour ?? '', tool, way.placeId].join('|');
  }

  /** The first opening at or after an instant, of all it goes on. Infinity: it never opens again. */
  opensMs(fromMs: number): number {
    let atMs = fromMs;
    for (const spans of this.spans) {
      const span = spans.find((s) => s.toMs > atMs + this.lengthMs);
      if (!span) return Infinity;
      atMs = Math.max(atMs, span.fromMs);
    }
    const top = this.op.coat!.on.find((u) => u.kind === 'op');
    this.openedBy = top?.opId ?? null;
    return atMs;
  }

  /** From here on it cannot begin any more. */
  lastMs(): number {
    let lastMs = this.way.bareEndMs ?? Infinity;
    for (const spans of this.spans) lastMs = Math.min(lastMs, spans[spans.length - 1]?.toMs ?? -Infinity);
    return lastMs - this.lengthMs + 1;
  }

  /** To measure and mix, and what the sheet asks the mix to stand. */
  mixMs(layMs: number): number {
    const { track } = this.way.stand.surface;
    const standMs = mixStandsMs(this.op.coat!.sheet, track, layMs - MIX_MIN * MINUTE_MS);
    return upToGrid(MIX_MIN * MINUTE_MS + standMs);
  }
  goneMs(mixedMs: number): number {
    return mixGoneMs(this.op.coat!.sheet, this.way.stand.surface.track, mixedMs);
  }

  /** What stops it from beginning then. */
  stop(startMs: number): Stop | null {
    const endMs = startMs + this.lengthMs;
    if (this.way.bareEndMs !== null && endMs > this.way.bareEndMs) return { by: 'bare', nextMs: Infinity };
    for (const spans of this.spans) {
      if (spans.some((s) => s.fromMs <= startMs && endMs <= s.toMs)) continue;
      return { by: 'opens', nextMs: spans.find((s) => s.fromMs > startMs)?.fromMs ?? Infinity };
    }
    return this.airStop(this.way, this.op, { fromMs: startMs, toMs: endMs }, this.below);
  }
}
