import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP, SMALL_SHOP, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { advise, type Advice } from './advise.ts';
import { judge } from './judge.ts';
import { CASES } from './test/allCases.ts';
import { RULES } from './rules/index.ts';
import { FAMILIES, given, PLAIN } from './test/given.ts';

/** What a decision must say. Families and methods by id; a refusal by the rule that must be among its reasons. */
interface Golden {
  readonly name: string;
  readonly s: Partial<Survey>;
  readonly means?: ShopMeans;
  /** In some advised route. */
  readonly advises?: readonly string[];
  /** Refused, by this rule. */
  readonly refuses?: readonly (readonly [string, string])[];
  /** In no advised route. */
  readonly never?: readonly string[];
  readonly warns?: readonly string[];
  /** Steps every advised route has, `kind` or `kind:what`. */
  readonly steps?: readonly string[];
  /** Not refused, whether or not it is among the best. */
  readonly allows?: readonly string[];
  readonly none?: true;
  readonly source: string;
}

const CP = 'trade.md, common practice, no published source';
const brush: ShopMeans = {
  facilities: ['bath', 'bead', 'grit'],
  schools: { ...FULL_SHOP.schools, tool: 'brush' },
};
const noMask: ShopMeans = {
  ...FULL_SHOP,
  facilities: FULL_SHOP.facilities.filter((f) => f !== 'air-fed-mask'),
};
const school = (over: Partial<ShopMeans['schools']>): ShopMeans => ({
  ...FULL_SHOP,
  schools: { ...FULL_SHOP.schools, ...over },
});
const alu: Partial<Survey> = { substrate: 'aluminium-wrought', rust: 'none', thicknessMm: 0.8, massKg: null };
const iron: Partial<Survey> = { substrate: 'grey-iron', thicknessMm: 12, massKg: 40 };
const old: Partial<Survey> = { coating: 'sound', coatKind: 'two-pack', rust: 'A' };

const GOLDEN: readonly Golden[] = [
  {
    name: 'plate, blasted, outdoors',
    s: {},
    advises: ['epoxy-mastic'],
    steps: ['degrease', 'inspect', 'cure'],
    source: 'trade.md 3: epoxy',
  },
  {
    name: 'plate in a harsh place',
    s: { category: 'C5' },
    advises: ['zinc-epoxy'],
    source: 'ISO 12944-5 (from memory): zinc-rich systems',
  },
  {
    name: 'zinc-rich and an old phosphate film',
    s: { phosphated: 'yes', category: 'C5' },
    refuses: [['zinc-epoxy', 'zinc.phosphate']],
    source: CP,
  },
  {
    name: 'zinc-rich, phosphate not known',
    s: { phosphated: 'unknown', category: 'C5' },
    never: ['zinc-epoxy', 'zinc-silicate'],
    source: 'unknown never passes',
  },
  {
    name: 'zinc-rich without a blast',
    s: { category: 'C5' },
    means: { ...FULL_SHOP, facilities: ['gun', 'air-fed-mask'] },
    refuses: [['zinc-epoxy', 'zinc.blasted']],
    source: 'ISO 12944-5 (from memory)',
  },
  {
    name: 'zinc-rich by brush',
    s: { reach: 'brush', category: 'C5' },
    refuses: [['zinc-epoxy', 'zinc.gun']],
    source: CP,
  },
  { name: 'zinc-rich on cast iron', s: iron, refuses: [['zinc-epoxy', 'zinc.steel-only']], source: CP },
  {
    name: 'sheet of 1 mm is not blasted',
    s: { substrate: 'steel-sheet', thicknessMm: 1 },
    refuses: [['grit-blast', 'strip.blast-thin']],
    source: CP,
  },
  {
    name: 'thickness unknown is not thick',
    s: { thicknessMm: null },
    never: ['grit-blast'],
    source: 'unknown never passes',
  },
  {
    name: 'aluminium never meets iron media',
    s: alu,
    refuses: [
      ['grit-blast', 'strip.iron-media'],
      ['wire-wheel', 'strip.wire-aluminium'],
    ],
    source: CP,
  },
  { name: 'aluminium skin: no disc', s: alu, refuses: [['disc', 'strip.disc-clad']], source: CP },
  {
    name: 'aluminium skin: conversion, then epoxy',
    s: alu,
    steps: ['pretreat:conversion'],
    never: ['red-lead', 'zp-alkyd'],
    source: 'trade.md 3',
  },
  {
    name: 'copper and lead pigments off aluminium',
    s: { ...alu, sun: 'no' },
    refuses: [['red-lead', 'over.noble-metal']],
    source: CP,
  },
  {
    name: 'galvanised never takes alkyd',
    s: { substrate: 'galvanised', rust: 'none' },
    refuses: [['zp-alkyd', 'metal.listed']],
    never: ['linseed'],
    source: 'trade.md 3: saponifies',
  },
  {
    name: 'galvanised is washed or keyed',
    s: { substrate: 'galvanised', rust: 'none' },
    advises: ['epoxy-primer'],
    source: 'trade.md 3',
  },
  {
    name: 'zinc die-cast: trial first',
    s: { substrate: 'zinc-diecast', rust: 'none' },
    steps: ['test:adhesion-trial'],
    source: CP,
  },
  {
    name: 'magnesium: specialist',
    s: { substrate: 'magnesium', rust: 'none' },
    steps: ['refer:magnesium'],
    refuses: [['disc', 'metal.magnesium']],
    source: CP,
  },
  {
    name: 'stainless: no etch unless listed',
    s: { substrate: 'stainless', rust: 'none' },
    refuses: [['etch-2k', 'metal.listed']],
    advises: ['epoxy-primer'],
    source: 'trade.md 3',
  },
  {
    name: 'brass: etch or epoxy',
    s: { substrate: 'copper-alloy', rust: 'none' },
    advises: ['epoxy-primer'],
    refuses: [['zp-alkyd', 'metal.listed']],
    source: 'trade.md 3',
  },
  {
    name: 'glass-fibre: no stripper',
    s: { substrate: 'glass-fibre', rust: 'none', coating: 'unsound', coatKind: 'one-pack' },
    refuses: [['solvent-stripper', 'strip.solvent-plastics']],
    source: CP,
  },
  {
    name: 'rough casting, working, indoors, house: direct',
    s: { ...iron, category: 'C1', sun: 'no' },
    means: school({ castings: 'direct' }),
    advises: ['enamel'],
    source: 'trade.md 3, school (b)',
  },
  {
    name: 'rough casting outdoors is primed',
    s: { ...iron, category: 'C4' },
    means: school({ castings: 'direct' }),
    advises: ['epoxy-mastic'],
    source: 'trade.md 3',
  },
  {
    name: 'oil-soaked casting is degreased again',
    s: { ...iron, oil: 'soaked' },
    steps: ['degrease:again'],
    source: 'trade.md 2.3',
  },
  {
    name: 'oil-soaked with seals: no warming out',
    s: { ...iron, oil: 'soaked', features: ['seals'] },
    warns: ['prep.warm-out'],
    source: CP,
  },
  {
    name: 'smokebox at 400 °C',
    s: { heatC: 400 },
    advises: ['heat-black', 'heat-aluminium'],
    refuses: [['gloss-2k', 'heat.limit']],
    steps: ['bake'],
    source: 'trade.md 5',
  },
  {
    name: 'engine at 150 °C',
    s: { ...iron, heatC: 150, fuel: 'yes' },
    refuses: [['epoxy-primer', 'heat.limit']],
    never: ['gloss-2k'],
    source: 'trade.md 5',
  },
  {
    name: 'heat finish on a cold part',
    s: { heatC: 60 },
    refuses: [['heat-black', 'heat.only-hot']],
    source: CP,
  },
  { name: 'heat not known', s: { heatC: null }, none: true, source: 'unknown never passes' },
  {
    name: 'heat finish without any heat',
    s: { heatC: 300 },
    means: { ...FULL_SHOP, facilities: ['grit', 'gun'] },
    none: true,
    refuses: [['heat-black', 'heat.bake']],
    source: CP,
  },
  { name: 'epoxy alone in the sun', s: {}, never: ['tank-lining'], source: 'trade.md 5: chalks' },
  {
    name: 'epoxy alone where concealed',
    s: { concealed: 'yes', sun: 'no' },
    advises: ['epoxy-mastic'],
    source: 'trade.md 5: can stand alone where hidden',
  },
  { name: 'bitumen in the sun', s: iron, refuses: [['bitumen', 'finish.sun']], source: CP },
  {
    name: 'fuel on it: no enamel',
    s: { fuel: 'yes' },
    refuses: [['enamel', 'finish.fuel']],
    advises: ['gloss-2k'],
    source: CP,
  },
  {
    name: 'show finish',
    s: { finish: 'show' },
    refuses: [['enamel', 'finish.show-look']],
    advises: ['gloss-2k'],
    source: 'trade.md 5',
  },
  {
    name: 'show finish over light pits is levelled',
    s: { finish: 'show', pits: 'light' },
    advises: ['surfacer-2k'],
    source: CP,
  },
  {
    name: 'working finish is not levelled',
    s: { pits: 'light' },
    never: ['surfacer-2k', 'spray-filler'],
    source: 'trade.md 8: good enough, stop',
  },
  {
    name: 'metallic colour: ground and clear',
    s: { finish: 'show', metallic: 'yes' },
    advises: ['metallic-base', 'clear-2k'],
    refuses: [['gloss-2k', 'over.metallic']],
    source: 'trade.md 5',
  },
  {
    name: 'plain colour takes no clear',
    s: { finish: 'show' },
    never: ['metallic-base'],
    source: 'trade.md 5',
  },
  {
    name: 'no air-fed mask: isocyanate is brushed',
    s: {},
    means: noMask,
    allows: ['gloss-2k'],
    source: 'trade.md 9',
  },
  {
    name: 'no air-fed mask and show: none of it sprayed',
    s: { finish: 'show' },
    means: noMask,
    never: ['gloss-2k', 'clear-2k'],
    source: 'trade.md 9',
  },
  {
    name: 'brush shop',
    s: {},
    means: brush,
    advises: ['enamel'],
    never: ['cellulose', 'zinc-epoxy'],
    source: 'trade.md 5',
  },
  {
    name: 'small shop sends the blasting out',
    s: {},
    means: SMALL_SHOP,
    advises: ['epoxy-mastic'],
    source: 'trade.md 2.2: contractor',
  },
  {
    name: 'old paint, sound, kept by house practice',
    s: old,
    means: school({ oldPaint: 'keep' }),
    steps: ['record', 'degrease'],
    advises: ['keep'],
    source: 'trade.md 4: soundness school',
  },
  {
    name: 'flaking paint cannot be kept',
    s: { ...old, coating: 'unsound' },
    means: school({ oldPaint: 'keep' }),
    refuses: [['keep', 'strip.keep-unsound']],
    source: CP,
  },
  {
    name: 'old bitumen cannot be kept',
    s: { ...old, coatKind: 'bitumen' },
    means: school({ oldPaint: 'keep' }),
    never: ['keep'],
    source: CP,
  },
  {
    name: 'show finish not on old paint',
    s: { ...old, finish: 'show' },
    refuses: [['keep', 'strip.keep-show']],
    source: 'trade.md 4',
  },
  {
    name: 'old paint is recorded and tested first',
    s: { ...old, legacy: 'unknown' },
    steps: ['record', 'test:legacy'],
    source: 'trade.md 2.1, 9',
  },
  {
    name: 'lead paint: no heat gun',
    s: { ...old, legacy: 'lead' },
    refuses: [['heat-gun', 'strip.heat-gun-lead']],
    source: 'trade.md 9',
  },
  {
    name: 'lagging: licensed survey first',
    s: { lagging: 'yes' },
    steps: ['refer:asbestos'],
    source: 'trade.md 9; asbestos regulations',
  },
  { name: 'lagging not known', s: { lagging: 'unknown' }, none: true, source: 'unknown never passes' },
  {
    name: 'fuel tank: gas-free first',
    s: { criticality: ['fuel'] },
    steps: ['refer:gas-free'],
    source: 'trade.md 9',
  },
  {
    name: 'boiler plate: inspected bare',
    s: { criticality: ['pressure'] },
    steps: ['refer:inspection'],
    source: 'trade.md 9: coat, do not judge',
  },
  {
    name: 'control surface: re-balanced',
    s: { ...alu, criticality: ['airworthy', 'control-surface'] },
    steps: ['refer:inspection', 'refer:re-balance'],
    source: 'trade.md 2.16',
  },
  {
    name: 'hardened steel: no acid',
    s: { hardened: 'yes', massKg: 5 },
    refuses: [
      ['electrolysis', 'strip.hydrogen'],
      ['citric-bath', 'strip.hydrogen'],
    ],
    source: CP,
  },
  {
    name: 'hardness not known: no acid',
    s: { hardened: 'unknown', massKg: 5 },
    never: ['electrolysis', 'citric-bath'],
    source: 'unknown never passes',
  },
  {
    name: 'assembled unit: nothing blasted',
    s: { assembled: 'yes', features: ['internals'] },
    refuses: [['grit-blast', 'strip.blast-assembled']],
    source: CP,
  },
  {
    name: 'big part: no bath',
    s: { massKg: 300 },
    refuses: [['chelating-bath', 'strip.bath-size']],
    source: CP,
  },
  {
    name: 'mill scale: not by hand',
    s: { scale: 'yes' },
    refuses: [['hand', 'strip.scale-hand']],
    source: 'ISO 8501-1 grade A (from memory)',
  },
  {
    name: 'white metal is masked before blasting',
    s: { features: ['white-metal'] },
    steps: ['mask:before-strip'],
    source: 'trade.md 3',
  },
  {
    name: 'close fit: fitted bare and masked',
    s: { features: ['close-fit'], clearanceUm: 100 },
    steps: ['test-fit', 'mask:before-paint', 'unmask'],
    source: 'trade.md 2.6',
  },
  {
    name: 'box section: wax last',
    s: { features: ['box-section'] },
    steps: ['cavity'],
    source: 'trade.md 2.15',
  },
  {
    name: 'welds outdoors are striped',
    s: { features: ['welds-rivets'] },
    steps: ['stripe'],
    source: 'ISO 12944-3 (from memory)',
  },
  {
    name: 'coast and road: salt test',
    s: { salt: 'yes' },
    steps: ['test:salt'],
    source: 'ISO 8502-6, -9 (from memory)',
  },
  {
    name: 'copper bolted to steel',
    s: { otherMetal: 'copper-alloy' },
    warns: ['protect.galvanic'],
    source: 'MIL-STD-889 (from memory)',
  },
  {
    name: 'aluminium on steel passes the number',
    s: { otherMetal: 'aluminium-wrought', category: 'C2' },
    source: 'MIL-STD-889 (from memory)',
  },
  {
    name: 'colour group from one batch',
    s: { colourGroup: 'lining green' },
    warns: ['finish.one-batch'],
    source: CP,
  },
  { name: 'pair alike', s: { isPair: true }, warns: ['finish.pair-alike'], source: CP },
  {
    name: 'colour undecided: the primer is held',
    s: { colourUndecided: true },
    warns: ['finish.hold-primer'],
    advises: ['epoxy-mastic'],
    source: 'issue: rust-prevention route',
  },
  {
    name: 'under water',
    s: { category: 'immersed', sun: 'no' },
    advises: ['tank-lining'],
    refuses: [['gloss-2k', 'protect.immersion']],
    source: CP,
  },
  {
    name: 'etch school: hardened and scuffed',
    s: { substrate: 'steel-sheet', thicknessMm: 1, finish: 'show' },
    means: school({ etch: 'harden-scuff' }),
    advises: ['gloss-2k'],
    source: 'trade.md 5: school B',
  },
  {
    name: 'legacy products need a licence',
    s: { sun: 'no', concealed: 'yes' },
    refuses: [['chromate-primer', 'work.legacy-product']],
    source: 'trade.md 5',
  },
  {
    name: 'water trap is said',
    s: { features: ['water-traps'] },
    warns: ['protect.water-traps'],
    source: 'trade.md 5',
  },
];

const decide = (g: Golden, rules = RULES): Advice =>
  advise({ survey: { ...PLAIN, ...g.s }, means: g.means ?? FULL_SHOP, families: FAMILIES, rules });
const usedIn = (a: Advice): Set<string> =>
  new Set(a.routes.flatMap((r) => [...r.choice.methods, ...r.choice.layers.map((l) => l.familyId)]));

it('there are at least sixty, and each says where it is from', () => {
  expect(GOLDEN.length).toBeGreaterThanOrEqual(60);
  for (const g of GOLDEN) expect(g.source.length).toBeGreaterThan(5);
});

describe('golden decisions', () => {
  it.each(GOLDEN.map((g) => [`${g.name} (${g.source})`, g] as const))('%s', (_name, g) => {
    const a = decide(g);
    const used = usedIn(a);
    expect(a.routes.length > 0).toBe(g.none !== true);
    if (g.none) expect(a.wouldHelp.length).toBeGreaterThan(0);
    for (const id of g.allows ?? []) expect(a.refused.map((r) => r.id)).not.toContain(id);
    for (const id of g.advises ?? []) expect([...used]).toContain(id);
    for (const id of g.never ?? []) expect([...used]).not.toContain(id);
    for (const [id, rule] of g.refuses ?? []) {
      expect([...used]).not.toContain(id);
      const refused = a.refused.find((r) => r.id === id);
      expect([id, ...(refused?.reasons.map((r) => r.ruleId) ?? [])]).toContain(rule);
    }
    for (const r of a.routes) {
      for (const w of g.warns ?? []) expect(r.warnings.map((x) => x.ruleId)).toContain(w);
      const has = r.steps.flatMap((s) => [s.kind as string, `${s.kind}:${s.what ?? ''}`]);
      for (const s of g.steps ?? []) expect(has).toContain(s);
    }
  });
});

describe('every rule earns its place', () => {
  it('switching any one off changes a golden decision: an advice above, or the verdict on an edited route', () => {
    const before = GOLDEN.map((g) => JSON.stringify(decide(g)));
    const idle: string[] = [];
    for (const r of RULES) {
      const rest = RULES.filter((x) => x !== r);
      const edited = CASES[r.id]!.fires.some(
        (c) => JSON.stringify(judge(given(c), rest)) !== JSON.stringify(judge(given(c), RULES)),
      );
      if (!edited && !GOLDEN.some((g, i) => JSON.stringify(decide(g, rest)) !== before[i])) idle.push(r.id);
    }
    expect(idle).toEqual([]);
  });
});
