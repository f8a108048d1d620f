import type { Category, Durability } from '../part/survey.ts';
import { capUm } from './caps.ts';
import { paintOf, totalUm, type RouteView } from './view.ts';

type System = 'epoxy-urethane' | 'zinc-epoxy-urethane' | 'alkyd';
type Row = Readonly<Partial<Record<Durability, number>>>;

/**
 * Minimum dry film, µm, on blast-cleaned (Sa 2½) carbon steel by category and durability.
 * Source: ISO 12944-5:2018 tables C.2–C.5 (quoted from memory).
 */
export const LEAST_FILM_UM: Readonly<Record<System, Readonly<Partial<Record<Category, Row>>>>> = {
  'epoxy-urethane': {
    C2: { H: 120, VH: 180 },
    C3: { M: 120, H: 180, VH: 240 },
    C4: { L: 120, M: 180, H: 240, VH: 300 },
    C5: { L: 180, M: 240, H: 300, VH: 360 },
  },
  'zinc-epoxy-urethane': {
    C2: { H: 60, VH: 160 },
    C3: { M: 60, H: 160, VH: 200 },
    C4: { L: 60, M: 160, H: 200, VH: 260 },
    C5: { L: 160, M: 200, H: 260, VH: 320 },
  },
  alkyd: {
    C2: { L: 100, M: 100, H: 160, VH: 200 },
    C3: { L: 100, M: 160, H: 200, VH: 260 },
    C4: { L: 160, M: 200, H: 260 },
    C5: { L: 200, M: 260 },
  },
};
const ORDER: readonly Durability[] = ['L', 'M', 'H', 'VH'];
/** Least film of a system by category and durability, µm; an empty cell at the low end asks the next higher. C1 is designed as C2. */
export function leastUm(system: System, category: Category, durability: Durability): number | null {
  const row = LEAST_FILM_UM[system][category === 'C1' ? 'C2' : category];
  for (let i = ORDER.indexOf(durability); row && i < ORDER.length; i++) {
    const um = row[ORDER[i]!];
    if (um !== undefined) return um;
  }
  return null;
}
/** Years to first major maintenance; an expectation, not a guarantee. Source: ISO 12944-1:2018 (from memory). */
export const LIFE_YEARS: Readonly<Record<Durability, string>> = {
  L: 'up to 7',
  M: '7–15',
  H: '15–25',
  VH: 'over 25',
};

/** Least coats by film, µm: one to 120, two to 300, three above; zinc systems two to 200, three above (from memory). */
export function leastCoats(um: number, system: System): number {
  if (system === 'zinc-epoxy-urethane') return um <= 60 ? 1 : um <= 200 ? 2 : 3;
  return um <= 120 ? 1 : um <= 300 ? 2 : 3;
}

/** Coats that reach a film: never fewer than the table's. `zincUm` is taken by the zinc primer first. */
export function coatsFor(um: number, perCoatUm: number, system: System, zincUm = 0): number {
  const least = leastCoats(um, system);
  return system === 'zinc-epoxy-urethane'
    ? 1 + Math.max(least - 1, Math.ceil((um - zincUm) / perCoatUm))
    : Math.max(least, Math.ceil(um / perCoatUm));
}

export type LeastFilm =
  | { readonly kind: 'scope'; readonly um: number; readonly system: System }
  /** No published life: hand-prepared, kept paint, other metals, hot parts, CX and water. Advised by analogy. */
  | { readonly kind: 'no-published-life' }
  | { readonly kind: 'none-asked' }
  | { readonly kind: 'ask' };

const IN_SCOPE: readonly string[] = [
  'epoxy-2k',
  'urethane-2k',
  'zinc-epoxy-2k',
  'inorganic-zinc',
  'acrylic-1k',
];
/** The system a route counts as: the weakest class in it. */
function systemOf(v: RouteView): System | null {
  const paint = paintOf(v);
  if (paint.some((c) => c.family.sheet.binder === 'alkyd-1k' || c.family.sheet.binder === 'oil-1k'))
    return 'alkyd';
  if (!paint.every((c) => IN_SCOPE.includes(c.family.sheet.binder))) return null;
  return paint[0]?.family.traits.pigment === 'zinc-metal' ? 'zinc-epoxy-urethane' : 'epoxy-urethane';
}

/** The table holds for Sa 2½ by blasting, with a profile. */
const isBlasted = (v: RouteView): boolean => v.surface().clean === 4 && v.surface().profileUm !== null;

/** What film the exposure asks of a route, where a published table covers it. C1 is designed as C2. */
export function leastFilm(v: RouteView): LeastFilm {
  if (v.survey.category === 'unknown' && capUm(v.survey) === null)
    return v.metal === 'steel' && isBlasted(v) ? { kind: 'ask' } : { kind: 'no-published-life' };
  // Thin because it flexes, must go together or must give off heat: the form's cap beats the table.
  if (capUm(v.survey) !== null) return { kind: 'no-published-life' };
  const isInScope =
    v.metal === 'steel' &&
    !v.keeps &&
    (v.survey.heatC ?? 60) <= 120 &&
    v.survey.category !== 'CX' &&
    v.survey.category !== 'immersed' &&
    isBlasted(v);
  const system = isInScope ? systemOf(v) : null;
  if (system === null) return { kind: 'no-published-life' };
  const um = leastUm(system, v.survey.category, v.survey.durability);
  return um === null ? { kind: 'no-published-life' } : { kind: 'scope', um, system };
}

/** Expected years to first major maintenance, by the table's scope; null where nothing is published. */
export function lifeOf(v: RouteView): string | null {
  const need = leastFilm(v);
  if (need.kind !== 'scope' || v.survey.category === 'unknown') return null;
  const um = paintOf(v).reduce((sum, c) => sum + totalUm(c), 0);
  const row = LEAST_FILM_UM[need.system][v.survey.category === 'C1' ? 'C2' : v.survey.category] ?? {};
  const reached = (['VH', 'H', 'M', 'L'] as const).find((d) => row[d] !== undefined && um >= row[d]);
  return reached === undefined ? null : LIFE_YEARS[reached];
}
