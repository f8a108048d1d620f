import type { Survey } from '../../part/survey.ts';
import { MOST_GATES, openGates } from '../gates.ts';
import { firstHindrance } from '../judge.ts';
import type { RouteStep, StepGate } from '../route.ts';
import { viewOf } from '../view.ts';
import type { ZoneInput } from './candidates.ts';

/**
 * The gates that a route worked out for hoped-for answers rests on: for each answer that is open, the values under which
 * every rule still holds. Null: more than three, or a value hoped for does not hold. Pure.
 */
export function gatesOf(z: ZoneInput, asked: Survey, steps: readonly RouteStep[]): StepGate[] | null {
  const gates: StepGate[] = [];
  for (const g of openGates(asked)) {
    const passes = g.values.filter((value) => {
      const v = viewOf({ ...z.survey, [g.field]: value }, z.means, steps, z.families);
      return firstHindrance(v, z.rules.refusing) === null;
    });
    if (passes.length === g.values.length) continue;
    if (passes.length === 0 || gates.length === MOST_GATES) return null;
    const first = passes.includes(g.hoped) ? [g.hoped, ...passes.filter((x) => x !== g.hoped)] : passes;
    gates.push({ field: g.field, passes: first.map(String), otherwise: null });
  }
  return gates;
}
