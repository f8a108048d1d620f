import type { Survey } from '../../part/survey.ts';
import type { Family } from '../../products/catalogue/index.ts';
import type { Way } from '../surface/act.ts';
import { askOf, meets, unmetBy, type SurfaceAsk } from '../surface/asks.ts';
import { endOf, type Sequence } from '../surface/search.ts';
import type { Surface } from '../surface/state.ts';
import type { Preparations, Ready } from './preparations.ts';

/** A first coat and whether any coat over it wants blasted steel. */
export interface Foot {
  readonly first: Family;
  readonly needsBlast: boolean;
}

/** Cheapest sequences of a way that are worth writing out; the rest only add work. */
const CHEAPEST = 4;
/** And the cheapest of those that bare the metal well. */
const CLEANEST = 2;
const BARED_WELL = 3;

/** Which sequences a first coat takes: asked for a few dozen coats over the same sequences, so kept by them. */
export class Reach {
  readonly sequences: readonly Sequence[];
  private readonly survey: Survey;
  private readonly prepared: Preparations;
  private readonly cheapestFirst: readonly Sequence[];
  /** The shorter sequences that each contains. */
  private readonly contained: ReadonlyMap<Sequence, readonly Sequence[]>;
  /** The surfaces that each would leave without one of its acts; null: it could not begin. */
  private readonly without = new Map<Sequence, readonly (Surface | null)[]>();
  private readonly best = new Map<Family, (readonly Ready[] | undefined)[]>();
  private readonly near = new Map<Family, (Sequence | null | undefined)[]>();

  constructor(survey: Survey, sequences: readonly Sequence[], prepared: Preparations) {
    this.survey = survey;
    this.sequences = sequences;
    this.prepared = prepared;
    this.cheapestFirst = [...sequences].sort((a, b) => a.hours - b.hours || a.acts.length - b.acts.length);
    this.contained = new Map(
      sequences.map((q) => [
        q,
        sequences.filter((o) => o.acts.length < q.acts.length && (o.mask & ~q.mask) === 0),
      ]),
    );
  }

  /** Of the sequences that a first coat takes, the best of each way. */
  bestByWay(foot: Foot): readonly Ready[] {
    const list = kept(this.best, foot);
    return (list[Number(foot.needsBlast)] ??= this.bestOf(foot));
  }

  /** The sequence that leaves least wrong for a first coat. */
  nearest(foot: Foot): Sequence | null {
    const list = kept(this.near, foot);
    const known = list[Number(foot.needsBlast)];
    if (known !== undefined) return known;
    const asks = this.asksOf(foot);
    let near: Sequence | null = null;
    let fewest = Infinity;
    for (const q of this.sequences) {
      const wrong = unmetBy(q.end, asks(q)).length;
      if (wrong < fewest) [near, fewest] = [q, wrong];
    }
    return (list[Number(foot.needsBlast)] = near);
  }

  private asksOf({ first, needsBlast }: Foot): (q: Sequence) => SurfaceAsk {
    // Where the place is not known, what the harshest would ask.
    const category = this.survey.category === 'unknown' ? 'C5' : this.survey.category;
    const bare = askOf(first, this.survey, false, category, needsBlast);
    const keeping = askOf(first, this.survey, true, category, needsBlast);
    return (q) => (q.keeps ? keeping : bare);
  }

  private bestOf(foot: Foot): Ready[] {
    const asks = this.asksOf(foot);
    const met = new Set<Sequence>();
    for (const q of this.cheapestFirst) if (meets(q.end, asks(q))) met.add(q);
    const byWay = new Map<Way, Sequence[]>();
    for (const q of met) {
      // With an act that it would do without it is only more work: what a shorter one reaches is not offered again.
      if (this.contained.get(q)!.some((o) => met.has(o))) continue;
      const list = byWay.get(q.way);
      if (list) list.push(q);
      else byWay.set(q.way, [q]);
    }
    const out: Ready[] = [];
    for (const list of byWay.values()) {
      const strong = list.slice(CHEAPEST).filter((q) => q.end.clean >= BARED_WELL);
      let best: Ready | null = null;
      for (const q of [...list.slice(0, CHEAPEST), ...strong.slice(0, CLEANEST)]) {
        if (!this.needsAll(q, asks(q))) continue;
        const r = this.prepared.ready(q);
        if (r && (best === null || r.worth > best.worth)) best = r;
      }
      if (best) out.push(best);
    }
    return out;
  }

  /** Whether the coat would refuse the surface with any one act left out. */
  private needsAll(q: Sequence, ask: SurfaceAsk): boolean {
    let ends = this.without.get(q);
    if (!ends) {
      const acts = q.acts.map((_, i) => q.acts.filter((_, k) => k !== i));
      // To keep the old coat is a decision, not work that could be left out.
      ends = acts.filter((_, i) => q.acts[i] !== 'keep').map((less) => endOf(this.survey, less, q.abrades));
      this.without.set(q, ends);
    }
    return ends.every((end) => end === null || !meets(end, ask));
  }
}

function kept<T>(of: Map<Family, T[]>, { first }: Foot): T[] {
  let list = of.get(first);
  if (!list) of.set(first, (list = []));
  return list;
}
