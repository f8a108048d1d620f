import { placeOfAct } from '../facilities.ts';
import { firstCoat, type CoatView, type RouteView } from '../view.ts';
import type { Act } from './act.ts';
import { actsThatTake } from './acts.ts';
import { askOf, unmetBy, type SurfaceAsk, type Unmet } from './asks.ts';
import type { Matter } from './matter.ts';
import type { Category, Survey } from '../../part/survey.ts';

/** What the first coat of this route asks here; where the place is not known, as in a dry shed. */
export function askHere(v: RouteView, first: CoatView, category?: Category): SurfaceAsk {
  const at = category ?? (v.survey.category === 'unknown' ? 'C2' : v.survey.category);
  return askOf(
    first.family,
    v.survey,
    v.keeps,
    at,
    v.paint.some((c) => c.family.traits.needsBlast),
  );
}

const NONE: readonly Unmet[] = [];

/** Everything that is wrong with the surface under the first coat; nothing where there is no coat. */
export function unmetHere(v: RouteView): readonly Unmet[] {
  if (v.worked.unmet) return v.worked.unmet;
  const first = firstCoat(v);
  return (v.worked.unmet = first ? unmetBy(v.surface(), askHere(v, first)) : NONE);
}

/** Something of this kind would be wrong in a harsh place, and where the part lives is not known: it must be asked. */
export function onlyUnder(v: RouteView, code: Unmet['code']): boolean {
  const first = firstCoat(v);
  if (v.survey.category !== 'unknown' || !first) return false;
  return unmetBy(v.surface(), askHere(v, first, 'C5')).some((u) => u.code === code);
}

/** Acts that take a matter off, those this shop can do first: for naming what would mend a refusal. */
function mendersOf(matter: Matter, s: Survey, can: (a: Act) => boolean): Act[] {
  const list = actsThatTake(matter, s).filter((a) => a.actId !== 'keep');
  return [...list.filter(can), ...list.filter((a) => !can(a))];
}

/** The same as ids in a line, at most three; where only washing takes it off, that. */
export function takers(v: RouteView, matter: Matter): string {
  const wash = {
    dust: 'wipe',
    chemical: 'rinse',
    water: 'dry',
    salts: 'rinse',
    oil: 'degrease',
    wax: 'degrease',
    silicone: 'degrease',
    'soaked-oil': 'warm-out',
    glue: 'glue',
  } as const;
  if (matter in wash) return wash[matter as keyof typeof wash];
  const fits = (a: Act): boolean => a.metals.includes(v.metal) && placeOfAct(a, v.survey, v.means) !== null;
  return mendersOf(matter, v.survey, fits)
    .filter((a) => a.metals.includes(v.metal))
    .slice(0, 3)
    .map((a) => a.actId)
    .join(', ');
}
