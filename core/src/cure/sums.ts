import { reachOn, type SurfaceStretch } from '../part/thermal/track.ts';
import { gainedOver, type Lean } from './lean.ts';
import type { RateTable } from './rate.ts';

/** Stretches summed at a time, when a clock needs more than is there. */
const AHEAD = 128;

/**
 * Progress of one stage along a track, summed once: every film of that product on a part that shares the track finds its edges by
 * looking up instead of walking. Summed only as far as a clock has asked. Stretches the sheet says nothing about count nothing and are
 * remembered as breaks, as gaps of the record are.
 */
export class Sums {
  private readonly track: readonly SurfaceStretch[];
  private readonly table: RateTable;
  private readonly lean: Lean;
  /** `before[i]`: gained over the stretches ahead of i, at the sheet's own pace; from the first stretch that was asked about. */
  private readonly before: number[] = [];
  private readonly begin: number;
  private summed: number;
  /** Ascending: no clock that began earlier runs past the beginning of these. */
  private readonly breaks: number[] = [];

  constructor(track: readonly SurfaceStretch[], table: RateTable, lean: Lean, begin: number) {
    this.track = track;
    this.table = table;
    this.lean = lean;
    this.begin = begin;
    this.summed = begin;
    this.before.push(0);
  }

  /** It holds what a clock asks that begins with this stretch. */
  reachesBackTo(index: number): boolean {
    return this.begin <= index;
  }

  private at(index: number): number {
    return this.before[index - this.begin]!;
  }

  private sumTo(index: number): void {
    while (this.track.length < index && reachOn(this.track));
    const end = Math.min(this.track.length, index);
    for (let i = this.summed; i < end; i++) {
      const s = this.track[i]!;
      const gain = gainedOver(s, this.table, this.lean);
      const hasGap = i > 0 && s.fromMs > this.track[i - 1]!.toMs + 1;
      if (gain < 0 || hasGap) this.breaks.push(i);
      this.before.push(this.at(i) + Math.max(0, gain));
    }
    this.summed = Math.max(this.summed, end);
  }

  /** Gained over whole stretches, from one up to but not including another. */
  between(from: number, to: number): number {
    this.sumTo(to);
    return this.at(to) - this.at(from);
  }

  /** The first stretch from `from` on, before `to`, that no clock runs into; −1 without one. */
  breakIn(from: number, to: number): number {
    this.sumTo(to);
    let low = 0;
    let high = this.breaks.length;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.breaks[mid]! < from) low = mid + 1;
      else high = mid;
    }
    const at = this.breaks[low];
    return at !== undefined && at < to ? at : -1;
  }

  /** The stretch, from `from` on, in which `need` has been gained; the track's length when it never is. */
  reaching(from: number, need: number): number {
    this.sumTo(from);
    const goal = this.at(from) + need;
    while (this.at(this.summed) < goal && (this.summed < this.track.length || reachOn(this.track)))
      this.sumTo(this.summed + AHEAD);
    let low = from;
    let high = this.summed;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (this.at(mid + 1) >= goal) high = mid;
      else low = mid + 1;
    }
    return low;
  }
}

const shared = new WeakMap<readonly SurfaceStretch[], Map<RateTable, Map<Lean, Sums>>>();

/** The sums of a track that are there already and reach back to this stretch, else new ones. A track is never changed once it is made. */
export function sumsOf(track: readonly SurfaceStretch[], table: RateTable, lean: Lean, begin: number): Sums {
  let byTable = shared.get(track);
  if (!byTable) shared.set(track, (byTable = new Map<RateTable, Map<Lean, Sums>>()));
  let byLean = byTable.get(table);
  if (!byLean) byTable.set(table, (byLean = new Map<Lean, Sums>()));
  let sums = byLean.get(lean);
  if (!sums?.reachesBackTo(begin)) byLean.set(lean, (sums = new Sums(track, table, lean, begin)));
  return sums;
}
