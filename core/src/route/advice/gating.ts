import type { Survey } from '../../part/survey.ts';
import { MOST_GATES, openGates, type GateField } from '../gates.ts';
import { firstHindrance } from '../judge.ts';
import type { RouteStep, StepGate } from '../route.ts';
import type { Rule } from '../rule.ts';
import { settled, viewOf } from '../view.ts';
import { stepsOf, type Candidate } from './candidates.ts';
import type { ZoneInput } from './ruleSets.ts';

type Value = Survey[keyof Survey];
const keyOf = (field: string, value: Value): string => `${field}${JSON.stringify(value)}`;

/**
 * Works out the gates that a route, chosen for hoped-for answers, rests on: for each answer that is open, the values under
 * which every rule still holds. A preparation and a set of coats are each tried once, however many routes they are in.
 */
export class Gating {
  private readonly open: readonly GateField[];
  private readonly known = new Map<object, Map<string, boolean>>();
  private readonly surveys = new Map<string, Survey>();
  private readonly z: ZoneInput;
  private readonly asked: Survey;

  constructor(z: ZoneInput, asked: Survey) {
    this.z = z;
    this.asked = asked;
    this.open = openGates(asked).filter((g) => z.survey[g.field] !== asked[g.field]);
  }

  /** Null: more than three looks, or one hoped for does not hold. */
  gatesOf(c: Candidate): StepGate[] | null {
    const gates: StepGate[] = [];
    for (const g of this.open) {
      // What holds with the answer open holds with any: unknown is read at its worst.
      if (this.holds(c, g, this.asked[g.field])) continue;
      if (gates.length === MOST_GATES) return null;
      const rest = g.values.filter((x) => x !== g.hoped && this.holds(c, g, x));
      gates.push({ field: g.field, passes: [g.hoped, ...rest].map(String), otherwise: null });
    }
    return gates;
  }

  private holds(c: Candidate, g: GateField, value: Value): boolean {
    const { prepRefusing, coatsRefusing, routeRefusing } = this.z.rules;
    return (
      this.stands(c.ready, c.ready.view.steps, g, value, prepRefusing) &&
      this.stands(c.laid, c.laid.view.steps, g, value, coatsRefusing) &&
      this.stands(c, stepsOf(c), g, value, routeRefusing)
    );
  }

  /** One object for one answer, so that what is worked out of it is kept. */
  private surveyWith(field: keyof Survey, value: Value): Survey {
    const key = keyOf(field, value);
    let s = this.surveys.get(key);
    if (!s) this.surveys.set(key, (s = settled({ ...this.z.survey, [field]: value })));
    return s;
  }

  private stands(
    of: object,
    steps: readonly RouteStep[],
    g: GateField,
    value: Value,
    rules: readonly Rule[],
  ): boolean {
    let known = this.known.get(of);
    if (!known) this.known.set(of, (known = new Map<string, boolean>()));
    const key = keyOf(g.field, value);
    let yes = known.get(key);
    if (yes === undefined) {
      const v = viewOf(this.surveyWith(g.field, value), this.z.means, steps, this.z.families);
      known.set(key, (yes = firstHindrance(v, rules) === null));
    }
    return yes;
  }
}
