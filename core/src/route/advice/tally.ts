import type { Survey } from '../../part/survey.ts';
import { judge, type Hindrance, type Reason } from '../judge.ts';
import type { Remedy, Rule } from '../rule.ts';
import type { RouteView } from '../view.ts';

/** Something that is in no advised route, with the rules that removed it. */
export interface Refused {
  readonly about: 'method' | 'family';
  readonly id: string;
  readonly reasons: readonly Reason[];
  readonly asks: readonly (keyof Survey)[];
}
export type About = Pick<Refused, 'about' | 'id'> & { readonly key: string };
export const aboutFamily = (id: string): About => ({ about: 'family', id, key: `family ${id}` });
export const aboutMethod = (id: string): About => ({ about: 'method', id, key: `method ${id}` });

interface Against {
  readonly about: About;
  /** The route it got farthest in: past the most rules. */
  sample: RouteView;
  rules: readonly Rule[];
  /** The rule that stopped it: those before it had nothing against it. */
  stoppedAt: number;
  reach: number;
  readonly asks: Map<keyof Survey, number>;
}

/** Counts what removed what, so that each method and family can say why it is not there. */
export class Tally {
  private readonly allowed = new Set<string>();
  private readonly against = new Map<string, Against>();
  private readonly asked = new Map<keyof Survey, number>();
  private readonly refusing = new Map<string, number>();

  allow(about: readonly About[]): void {
    for (const a of about) this.allowed.add(a.key);
  }
  isAllowed(about: About): boolean {
    return this.allowed.has(about.key);
  }
  /** A look that an advised route rests on. */
  ask(field: keyof Survey): void {
    bump(this.asked, field);
  }

  /** `stage` orders the sieves: a later one was reached only past the earlier. */
  refuse(
    about: readonly About[],
    v: RouteView,
    hindrance: Hindrance,
    rules: readonly Rule[],
    stage: number,
  ): void {
    for (const f of hindrance.asks) bump(this.asked, f);
    if (hindrance.asks.length === 0) bump(this.refusing, hindrance.ruleId);
    const reach = stage * 1000 + hindrance.index;
    for (const a of about) {
      const known = this.against.get(a.key);
      if (!known) {
        const asks = new Map(hindrance.asks.map((f) => [f, 1]));
        this.against.set(a.key, { about: a, sample: v, rules, stoppedAt: hindrance.index, reach, asks });
        continue;
      }
      for (const f of hindrance.asks) bump(known.asks, f);
      if (reach <= known.reach) continue;
      known.sample = v;
      known.rules = rules;
      known.stoppedAt = hindrance.index;
      known.reach = reach;
    }
  }

  /** Each thing in no allowed route, with every rule against the route it got farthest in. */
  refused(): Refused[] {
    const out: Refused[] = [];
    for (const [key, e] of this.against) {
      if (this.allowed.has(key)) continue;
      const verdict = judge(e.sample, e.rules.slice(e.stoppedAt));
      const open = verdict.open.flatMap((q) => q.asks);
      out.push({
        about: e.about.about,
        id: e.about.id,
        reasons: verdict.refusals,
        asks: [...new Set([...open, ...[...e.asks].sort((a, b) => b[1] - a[1]).map(([f]) => f)])],
      });
    }
    return out.sort((a, b) => (a.about === b.about ? (a.id < b.id ? -1 : 1) : a.about === 'method' ? -1 : 1));
  }

  questions(): { field: keyof Survey; opens: number }[] {
    return [...this.asked]
      .map(([field, opens]) => ({ field, opens }))
      .sort((a, b) => b.opens - a.opens || (a.field < b.field ? -1 : 1));
  }

  wouldHelp(rules: readonly Rule[]): { remedy: Remedy; count: number }[] {
    const counts = new Map<string, { remedy: Remedy; count: number }>();
    const add = (remedy: Remedy, n: number): void => {
      const key = JSON.stringify(remedy);
      const known = counts.get(key);
      if (known) known.count += n;
      else counts.set(key, { remedy, count: n });
    };
    for (const [id, n] of this.refusing)
      for (const remedy of rules.find((r) => r.id === id)?.remedies ?? [])
        if (remedy.by !== 'route') add(remedy, n);
    for (const [field, n] of this.asked) add({ by: 'survey', field }, n);
    return [...counts.values()].sort((a, b) => b.count - a.count);
  }
}

function bump<K>(map: Map<K, number>, key: K): void {
  map.set(key, (map.get(key) ?? 0) + 1);
}
