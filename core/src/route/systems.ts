import type { Survey } from '../part/survey.ts';
import { metalOf } from '../products/traits.ts';
import type { Family } from '../products/catalogue/index.ts';
import { windowRule } from '../cure/windows.ts';
import type { LayerChoice } from './coats.ts';
import { capUm } from './caps.ts';
import { coatsFor, leastUm } from './exposure.ts';
import type { StepKind } from './route.ts';

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
  [['heat-primer'], ['engine', 'engine2']],
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
/** Finish coats as the trade lays them: two of gloss, three of enamel, two metallic and two clear (docs/trade.md 5; common practice). */
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

const KIND_OF_ROLE: Readonly<Record<Family['sheet']['role'], StepKind>> = {
  etch: 'etch',
  primer: 'prime',
  filler: 'level',
  intermediate: 'intermediate',
  finish: 'topcoat',
  clear: 'topcoat',
  cavity: 'cavity',
};
/** The step that lays a family on. */
export const coatKindOf = (f: Family): StepKind => KIND_OF_ROLE[f.sheet.role];

/** A system as layers for a part: levelling where the finish asks for it, coats enough for the exposure, no more than it may carry. */
export function layersOf(system: System, s: Survey, families: ReadonlyMap<string, Family>): LayerChoice[] {
  const layers: LayerChoice[] = system.primers.map((f) => ({
    kind: coatKindOf(f),
    familyId: f.familyId,
    coats: 1,
  }));
  const surfacer = families.get('surfacer-2k');
  const lastPrimer = system.primers[system.primers.length - 1];
  const firstFinish = system.finishes[0];
  if (
    wantsLevelling(s) &&
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
  return capped(thickened(layers, system, s, families), s, families);
}

/** Pits under a finish that shows them are levelled; never on a pressure part, where pits stay visible. */
export const wantsLevelling = (s: Survey): boolean =>
  s.concealed !== 'yes' &&
  s.category !== 'immersed' &&
  (s.heatC ?? 0) <= 80 &&
  !s.criticality.includes('pressure') &&
  ((s.finish === 'show' && s.pits !== 'none') || (s.finish === 'as-built' && s.pits === 'deep'));

/** Fewer coats, from the last down, until the part's form can carry them: it is thin because it must be. */
function capped(layers: LayerChoice[], s: Survey, families: ReadonlyMap<string, Family>): LayerChoice[] {
  const most = capUm(s);
  if (most === null) return layers;
  const list = [...layers];
  const um = (): number =>
    list.reduce((sum, l) => sum + l.coats * (l.dftUm ?? families.get(l.familyId)!.sheet.dftUm), 0);
  for (let i = list.length - 1; i >= 0 && um() > most; i--)
    while (list[i]!.coats > 1 && um() > most) list[i] = { ...list[i]!, coats: list[i]!.coats - 1 };
  return list;
}

/** The film a published table asks of this system on blasted steel here, µm; 0 where it says nothing. */
function tableUm(system: System, s: Survey): number {
  const isZinc = system.primers[0]?.traits.pigment === 'zinc-metal';
  const alkyd = [...system.primers, ...system.finishes].some(
    (f) => f.sheet.binder === 'alkyd-1k' || f.sheet.binder === 'oil-1k',
  );
  const kind = alkyd ? 'alkyd' : isZinc ? 'zinc-epoxy-urethane' : 'epoxy-urethane';
  return metalOf(s.substrate) === 'steel' ? (leastUm(kind, s.category, s.durability) ?? 0) : 0;
}

/** Adds primer coats until the film reaches what the exposure asks, where a table or a sheet covers it. */
function thickened(
  layers: LayerChoice[],
  system: System,
  s: Survey,
  families: ReadonlyMap<string, Family>,
): LayerChoice[] {
  if (s.category === 'immersed') return immersed(layers, s, families);
  const builder = layers.findIndex(
    (l) => l.kind === 'prime' && families.get(l.familyId)!.traits.pigment !== 'zinc-metal',
  );
  const grow = builder >= 0 ? builder : layers.length - 1;
  const um = (l: LayerChoice): number => l.coats * families.get(l.familyId)!.sheet.dftUm;
  const others = layers.reduce((sum, l, i) => sum + (i === grow ? 0 : um(l)), 0);
  const family = families.get(layers[grow]!.familyId)!;
  const needUm = tableUm(system, s);
  const wanted = needUm > others ? coatsFor(needUm - others, family.sheet.dftUm, 'epoxy-urethane') : 1;
  const most = Math.max(1, Math.floor(family.traits.totalMaxUm / family.sheet.dftUm));
  return layers.map((l, i) =>
    i === grow ? { ...l, coats: Math.min(Math.max(l.coats, wanted), most, 8) } : l,
  );
}

/** Under a fluid: at least two coats of what stands it, each anywhere between its sheet's least and most. */
function immersed(
  layers: readonly LayerChoice[],
  s: Survey,
  families: ReadonlyMap<string, Family>,
): LayerChoice[] {
  const stands = (l: LayerChoice): boolean => {
    const { fluids } = families.get(l.familyId)!.traits;
    return s.fluids.every((f) => fluids.includes(f));
  };
  const grow = layers.findIndex((l) => l.kind !== 'etch' && stands(l));
  if (grow < 0) return [...layers];
  const { sheet, traits } = families.get(layers[grow]!.familyId)!;
  const coats = Math.max(2, Math.ceil(traits.immersedLeastUm / sheet.dftMaxUm));
  const dftUm = Math.max(sheet.dftUm, Math.ceil(traits.immersedLeastUm / coats));
  return layers.map((l, i) =>
    i === grow ? { ...l, coats, ...(dftUm === sheet.dftUm ? {} : { dftUm }) } : l,
  );
}
