import { recent } from '../../base/recent.ts';
import type { Survey } from '../../part/survey.ts';
import { isFerrous, metalOf } from '../../products/traits.ts';
import { COAT_KINDS_OF_STEP, type RouteStep } from '../route.ts';
import { actOf } from './acts.ts';
import { indexOfMatter, PRESENT, type Matter } from './matter.ts';
import { seedSurface } from './seed.ts';
import type { Seen } from './seen.ts';
import { afterAct, wash, washed, type Surface, type Wash } from './state.ts';

const ALL = PRESENT;
const ABRADING = wash({ 'loose-rust': ALL, oxide: 12 }, ['dust']);
/** A brush of abrasive over all bare metal: it takes the glaze off and leaves a key. */
export function afterAbrading(from: Surface, s: Survey): Surface {
  const ferrous = isFerrous(metalOf(s.substrate));
  return {
    ...washed(from, ABRADING),
    clean: ferrous ? Math.max(from.clean, 1) : from.clean,
    profileUm: from.profileUm ?? (ferrous ? [10, 25] : null),
    isBurnished: false,
    isKeyed: true,
  };
}
const DUST_LAID = wash({}, ['dust']);
/** The kept coat keyed all over, every edge feathered. */
export const afterKeying = (from: Surface, s: Survey): Surface => ({
  ...washed(afterAct(from, actOf('keep')!, s), DUST_LAID),
  isKeyed: true,
});
const DEGREASE = wash({ oil: ALL, 'soaked-oil': 8, wax: ALL, silicone: 8, glue: 8, dust: ALL });
export const afterDegrease = (from: Surface): Surface => washed(from, DEGREASE);
const WARM_OUT = wash({ oil: ALL, 'soaked-oil': ALL, wax: ALL });
export const afterWarmOut = (from: Surface): Surface => washed(from, WARM_OUT);

/** Magnesium comes back from the specialist stripped and treated. */
const TREATED = wash({
  oxide: ALL,
  'white-corrosion': ALL,
  'sound-paint': ALL,
  'loose-paint': ALL,
  underseal: ALL,
  'old-filler': ALL,
  soot: ALL,
  verdigris: ALL,
  tar: ALL,
});
export const afterSpecialist = (from: Surface): Surface => ({ ...washed(from, TREATED), isConverted: true });

const WASHES: Readonly<Record<string, Wash>> = {
  dust: wash({ dust: ALL }),
  wipe: wash({ dust: ALL, oil: ALL, wax: 8 }),
  rinse: wash({ chemical: ALL, salts: 12, dust: ALL, 'white-corrosion': 8 }, ['water']),
  steam: wash({ oil: ALL, wax: ALL, soot: ALL, salts: ALL, dust: ALL, 'soaked-oil': 8 }, ['water']),
  'zinc-salts': wash({ 'white-corrosion': ALL, dust: ALL }, ['water']),
};
const GLUE_OFF = wash({ glue: ALL });
const DRIED = wash({ water: ALL });

/** Eyes decide: rust, paint and oil as they were seen. */
export function reseeded(from: Surface, seen: Seen): Surface {
  const rust = { none: [0, 0, 0], stains: [0, 4, 0], firm: [0, 16, 4], pits: [0, 16, 16] }[seen.rust];
  const paint = { none: 0, traces: 4, patches: 16 }[seen.paint];
  const amounts = [...from.amounts];
  const set = (m: Matter, x: number): void => void (amounts[indexOfMatter(m)] = x);
  set('loose-rust', rust[0]!);
  set('tight-rust', rust[1]!);
  set('pit-rust', rust[2]!);
  set('sound-paint', 0);
  set('loose-paint', paint);
  set('oil', seen.water === 'breaks' ? PRESENT : 0);
  return { ...from, amounts };
}

/** Steps that change the metal; the rest leave it as it is. */
const CHANGING: readonly RouteStep['kind'][] = [
  'degrease',
  'strip',
  'pretreat',
  'refer',
  'abrade',
  'wash',
  'dry',
];

/**
 * A surface on the way with what each step has made of it: a survey's routes share the beginnings of their preparation by
 * the hundred, so each step is worked out once.
 */
export interface Footing {
  readonly surface: Surface;
  readonly next: Map<RouteStep['kind'], Map<string | undefined, Footing>>;
}
const footing = (surface: Surface): Footing => ({ surface, next: new Map() });

/** Where every route over a survey begins. */
export const startOf = recent((s: Survey) => footing(seedSurface(s)));

/** The surface after one step. */
export function afterStep(from: Footing, step: RouteStep, s: Survey): Footing {
  if (!CHANGING.includes(step.kind)) return from;
  let byWhat = from.next.get(step.kind);
  if (!byWhat) from.next.set(step.kind, (byWhat = new Map<string | undefined, Footing>()));
  let at = byWhat.get(step.what);
  if (!at) byWhat.set(step.what, (at = footing(stepped(from.surface, step, s))));
  return at;
}

function stepped(from: Surface, step: RouteStep, s: Survey): Surface {
  switch (step.kind) {
    case 'degrease':
      return step.what === 'glue'
        ? washed(from, GLUE_OFF)
        : step.what === 'warm-out'
          ? afterWarmOut(from)
          : afterDegrease(from);
    case 'strip': {
      const act = actOf(step.what ?? '');
      // Keeping is a decision; the keying that goes with it is a step of its own.
      return act && act.actId !== 'keep' ? afterAct(from, act, s) : from;
    }
    case 'pretreat': {
      const act = actOf(step.what ?? '');
      return act ? afterAct(from, act, s) : from;
    }
    case 'refer':
      return step.what === 'magnesium' ? afterSpecialist(from) : from;
    case 'abrade':
      return step.what === 'key' || step.what === 'key-wet' ? afterKeying(from, s) : afterAbrading(from, s);
    case 'wash':
      return washed(from, WASHES[step.what ?? 'dust'] ?? WASHES['dust']!);
    case 'dry':
      return washed(from, DRIED);
    default:
      return from;
  }
}

/** The surface before each step and after the last, up to the first coat: coats change it no more. `seen` re-seeds it at the inspection. */
export function surfacesThrough(s: Survey, steps: readonly RouteStep[], seen?: Seen): Surface[] {
  let at = startOf(s);
  const out = [at.surface];
  let isCoated = false;
  for (const step of steps) {
    isCoated ||= COAT_KINDS_OF_STEP.includes(step.kind);
    if (!isCoated) at = afterStep(at, step, s);
    if (seen && step.kind === 'inspect') at = footing(reseeded(at.surface, seen));
    out.push(at.surface);
  }
  return out;
}
