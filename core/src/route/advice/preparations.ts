import { prepSteps } from '../build.ts';
import { UNKNOWN_AREA_M2 } from '../../work/area.ts';
import { firstHindrance, judge } from '../judge.ts';
import { isFerrous, metalOf } from '../../products/traits.ts';
import { gripOf, takesOf, type Takes } from '../score.ts';
import type { ActId } from '../surface/act.ts';
import type { Sequence } from '../surface/search.ts';
import { viewOf, type RouteView } from '../view.ts';
import type { ZoneInput } from './ruleSets.ts';

/** A preparation written out, with what it takes and how well it holds. */
export interface Ready {
  readonly sequence: Sequence;
  readonly view: RouteView;
  readonly takes: Takes;
  readonly grip: number;
  readonly preferences: number;
  readonly worth: number;
}

/** Preparations of one survey, each written out, read and weighed once, whoever asks. */
export class Preparations {
  private readonly z: ZoneInput;
  private readonly views = new Map<string, RouteView>();
  private readonly weighed = new Map<Sequence, Ready | null>();

  constructor(z: ZoneInput) {
    this.z = z;
  }

  view(acts: readonly ActId[]): RouteView {
    const key = acts.join();
    let v = this.views.get(key);
    if (!v) {
      const { survey, means, families } = this.z;
      this.views.set(key, (v = viewOf(survey, means, prepSteps(survey, means, acts), families)));
    }
    return v;
  }

  /** Null: its acts may not be together. */
  ready(q: Sequence): Ready | null {
    let r = this.weighed.get(q);
    if (r === undefined) this.weighed.set(q, (r = this.weigh(q)));
    return r;
  }

  /**
   * How good a preparation is: what it reaches against what service wants, then hands and days (docs/surface.md 7; common
   * practice). Harsh places want more of it.
   */
  private weigh(q: Sequence): Ready | null {
    const { survey, families, rules } = this.z;
    const view = this.view(q.acts);
    // Each act may be; whether they may be together is judged here, once for all systems.
    if (firstHindrance(view, rules.prepRefusing)) return null;
    const takes = takesOf(survey, view.steps, families, this.z.pace);
    const grip = gripOf(q.end, q.keeps, isFerrous(metalOf(survey.substrate)));
    const preferences = judge(view, rules.prepPrefer).preferences.length;
    const isHarsh = ['C3', 'C4', 'C5', 'CX', 'immersed'].includes(survey.category);
    const worth =
      grip * (isHarsh ? 20 : 12) +
      preferences -
      takes.hours / (1 + (survey.areaM2 ?? UNKNOWN_AREA_M2)) -
      takes.waitHours / (24 * 30);
    return { sequence: q, view, takes, grip, preferences, worth };
  }
}
