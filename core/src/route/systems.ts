import type { Survey } from '../part/survey.ts';
import { metalOf } from '../products/traits.ts';
import type { Family } from '../products/catalogue/index.ts';
import { windowRule } from '../cure/windows.ts';
import type { LayerChoice } from './build.ts';
import { coatsFor, LEAST_FILM_UM } from './exposure.ts';
import type { Method, RoutePretreatment } from './route.ts';

const FINISHES = {
  none: [],
  gloss: ['gloss-2k'],
  enamel: ['enamel'],
  engine: ['engine-enamel'],
  engine2: ['engine-2k'],
  metallic: ['metallic-base', 'clear-2k'],
  heat: ['heat-black'],
  heatAluminium: ['heat-aluminium'],
  cellulose: ['cellulose'],
  linseed: ['linseed'],
  water: ['waterborne'],
  moisture: ['moisture-finish'],
  tank: ['tank-lining'],
  powder: ['powder'],
  bitumen: ['bitumen'],
} as const;
type FinishKey = keyof typeof FINISHES;

const FINE: readonly FinishKey[] = ['gloss', 'engine2', 'metallic', 'cellulose'];
/** Primers from the metal up, each with the finishes the trade puts over it; the sheets and the rules judge what is left. */
const SYSTEMS: readonly (readonly [primers: readonly string[], finishes: readonly FinishKey[]])[] = [
  [[], ['enamel', 'engine', 'linseed', 'heat', 'heatAluminium', 'tank', 'powder', 'bitumen']],
  [['epoxy-primer'], ['none', ...FINE, 'enamel', 'engine', 'linseed', 'water', 'moisture', 'tank']],
  [['epoxy-mastic'], ['none', ...FINE, 'enamel', 'engine', 'linseed', 'water', 'moisture']],
  [['epoxy-aero'], ['none', ...FINE, 'enamel']],
  [['zinc-epoxy'], ['none', 'gloss', 'moisture']],
  [
    ['zinc-epoxy', 'epoxy-mastic'],
    ['gloss', 'moisture', 'enamel'],
  ],
  [
    ['zinc-silicate', 'tie-coat'],
    ['gloss', 'moisture'],
  ],
  [
    ['etch-2k', 'epoxy-aero'],
    ['none', ...FINE, 'enamel'],
  ],
  [['etch-2k', 'surfacer-2k'], FINE],
  [['etch-1k', 'surfacer-2k'], FINE],
  [['zp-alkyd'], ['none', 'enamel', 'engine', 'linseed', 'water']],
  [['moisture-primer'], ['none', 'gloss', 'moisture', 'enamel']],
  [['red-lead'], ['linseed', 'enamel']],
  [['chromate-primer'], ['enamel', 'engine']],
];
/** Finish coats as the trade lays them: two of gloss, three of enamel, two metallic and two clear (trade.md 5; common practice). */
const FINISH_COATS: Readonly<Record<string, number>> = {
  enamel: 3,
  'engine-enamel': 3,
  linseed: 3,
  cellulose: 4,
  powder: 1,
  bitumen: 2,
  'tank-lining': 2,
};

const isFollowed = (below: Family, above: Family): boolean =>
  windowRule(below.sheet, above.sheet).kind === 'intervals';

/** Families in order of laying, whose every neighbour the sheet below allows. */
export interface System {
  readonly primers: readonly Family[];
  readonly finishes: readonly Family[];
}
export function systemsOf(families: ReadonlyMap<string, Family>): System[] {
  const out: System[] = [];
  const take = (ids: readonly string[]): Family[] | null => {
    const list = ids.map((id) => families.get(id));
    return list.every((f) => f !== undefined) ? list : null;
  };
  for (const [primerIds, finishKeys] of SYSTEMS) {
    const primers = take(primerIds);
    for (const key of finishKeys) {
      const finishes = take(FINISHES[key]);
      if (!primers || !finishes) continue;
      const chain = [...primers, ...finishes];
      if (chain.every((x, i) => i === 0 || isFollowed(chain[i - 1]!, x))) out.push({ primers, finishes });
    }
  }
  return out;
}

/** A system as layers for a part: levelling where the finish asks for it, coats enough for the exposure. */
export function layersOf(system: System, s: Survey, families: ReadonlyMap<string, Family>): LayerChoice[] {
  const layers: LayerChoice[] = system.primers.map((f) => ({
    kind:
      f.sheet.role === 'etch'
        ? 'etch'
        : f.sheet.role === 'filler'
          ? 'level'
          : f.sheet.role === 'intermediate'
            ? 'intermediate'
            : 'prime',
    familyId: f.familyId,
    coats: 1,
  }));
  const surfacer = families.get('surfacer-2k');
  const lastPrimer = system.primers[system.primers.length - 1];
  const firstFinish = system.finishes[0];
  const needsLevel =
    s.concealed !== 'yes' &&
    ((s.finish === 'show' && s.pits !== 'none') || (s.finish === 'as-built' && s.pits === 'deep'));
  if (
    needsLevel &&
    surfacer &&
    lastPrimer &&
    firstFinish &&
    lastPrimer.familyId !== 'surfacer-2k' &&
    isFollowed(lastPrimer, surfacer) &&
    isFollowed(surfacer, firstFinish)
  )
    layers.push({ kind: 'level', familyId: 'surfacer-2k', coats: s.finish === 'show' ? 2 : 1 });
  for (const f of system.finishes) {
    const coats = FINISH_COATS[f.familyId] ?? 2;
    layers.push({
      kind: f.familyId === 'metallic-base' ? 'intermediate' : 'topcoat',
      familyId: f.familyId,
      coats,
    });
  }
  return thickened(layers, system, s, families);
}

/** Adds primer coats until the film reaches what the exposure asks, where a table covers it; else two of an epoxy. */
function thickened(
  layers: LayerChoice[],
  system: System,
  s: Survey,
  families: ReadonlyMap<string, Family>,
): LayerChoice[] {
  const builder = layers.findIndex(
    (l) => l.kind === 'prime' && families.get(l.familyId)!.traits.pigment !== 'zinc-metal',
  );
  const grow = builder >= 0 ? builder : layers.length - 1;
  const um = (l: LayerChoice): number => l.coats * families.get(l.familyId)!.sheet.dftUm;
  const others = layers.reduce((sum, l, i) => sum + (i === grow ? 0 : um(l)), 0);
  const family = families.get(layers[grow]!.familyId)!;
  const isZinc = system.primers[0]?.traits.pigment === 'zinc-metal';
  const alkyd = [...system.primers, ...system.finishes].some(
    (f) => f.sheet.binder === 'alkyd-1k' || f.sheet.binder === 'oil-1k',
  );
  const kind = alkyd ? 'alkyd' : isZinc ? 'zinc-epoxy-urethane' : 'epoxy-urethane';
  const category = s.category === 'C1' ? 'C2' : s.category;
  const row = metalOf(s.substrate) === 'steel' ? LEAST_FILM_UM[kind][category] : undefined;
  const order = ['L', 'M', 'H', 'VH'] as const;
  const needUm = row
    ? (order
        .slice(order.indexOf(s.durability))
        .map((d) => row[d])
        .find((x) => x !== undefined) ?? 0)
    : 0;
  const wanted = needUm > others ? coatsFor(needUm - others, family.sheet.dftUm, 'epoxy-urethane') : 1;
  const most = Math.max(1, Math.floor(family.traits.totalMaxUm / family.sheet.dftUm));
  return layers.map((l, i) =>
    i === grow ? { ...l, coats: Math.min(Math.max(l.coats, wanted), most, 8) } : l,
  );
}

/** Ways to bare or key the part that its metal and state leave open; the rules judge them. */
export interface PrepChoice {
  readonly methods: readonly Method[];
  readonly pretreat: RoutePretreatment | null;
}
const STRIPS: readonly (readonly Method[])[] = [
  ['grit-blast'],
  ['bead-blast'],
  ['keep'],
  ['chelating-bath'],
  ['wire-wheel'],
  ['disc'],
  ['solvent-stripper'],
  ['hand'],
  ['citric-bath'],
  ['electrolysis'],
  ['hot-caustic'],
  ['needle-gun', 'disc'],
  ['heat-gun'],
  ['dry-ice', 'disc'],
  ['solvent-stripper', 'chelating-bath'],
];
export function prepsFor(s: Survey): PrepChoice[] {
  const metal = metalOf(s.substrate);
  const pretreats: (RoutePretreatment | null)[] =
    metal === 'steel' || metal === 'iron'
      ? [null, 'phosphate']
      : metal === 'aluminium' || metal === 'magnesium'
        ? [null, 'conversion']
        : s.substrate === 'galvanised'
          ? ['t-wash', null]
          : [null];
  return STRIPS.filter(
    (m) =>
      s.coating !== 'none' ||
      !(
        m.includes('keep') ||
        m.includes('heat-gun') ||
        m.includes('solvent-stripper') ||
        m.includes('dry-ice')
      ),
  ).flatMap((methods) =>
    (methods.includes('keep') ? [null] : pretreats).map((pretreat) => ({ methods, pretreat })),
  );
}
