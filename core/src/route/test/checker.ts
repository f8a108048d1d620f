import {
  aimedUm,
  CAST,
  faceOf,
  harmOf,
  inTheWay,
  IRON,
  MAKES_DUST,
  walkStep,
  wrongUnder,
  type First,
  type Part as SurfacePart,
  type Step,
} from './checkSurface.ts';

/**
 * An independent judge of a written route, for tests only. Written from docs/trade.md §§ 2–5, 9 and 10 and docs/surface.md, sharing no code and no
 * data with the rules: its own table of families, its own order of work. It answers with what is wrong, or nothing.
 */
interface Part extends SurfacePart {
  readonly finish: string;
  readonly fuel: string;
  readonly metallic: string;
  readonly reach: string;
  readonly lagging: string;
  readonly sun: string;
  readonly concealed: string;
  readonly clearanceUm: number | null;
  readonly colourUndecided: boolean;
  readonly priorPrimer: string;
  readonly primerDays: number | null;
  readonly durability: string;
  readonly leaks: string;
}
/** What the shop has, and its practice where a rule hangs on it. */
interface Shop {
  readonly facilities: readonly string[];
  readonly schools: { readonly wireWheel: string; readonly undecided: string };
}

/** A family as docs/trade.md 5 and its sheet describe it. */
interface Entry {
  readonly packs: 1 | 2;
  readonly family: string;
  readonly hotC: number;
  readonly sun: boolean;
  readonly role: string;
  /** Usual, most in one coat, and most altogether, µm. */
  readonly um: readonly [usual: number, coat: number, all: number];
  readonly tools: string;
}
/** packs class °C sun role usual/coat/all tools: g gun, b brush, r roller, a aerosol */
const BOOK_LINES = `
epoxy-primer 2 epoxy 120 - primer 60/100/400 gbr
epoxy-mastic 2 epoxy 120 - primer 100/200/400 gbr
epoxy-aero 2 epoxy 120 - primer 25/40/400 gbr
epoxy-build 2 epoxy 120 - intermediate 120/200/400 gbr
tie-coat 2 epoxy 120 - intermediate 25/40/400 gbr
zinc-epoxy 2 zinc 150 - primer 60/90/120 g
zinc-silicate 2 zinc 400 - primer 75/100/120 g
etch-2k 2 etch 90 - etch 10/13/13 gba
etch-1k 1 etch 90 - etch 15/25/25 ga
zp-alkyd 1 alkyd 90 - primer 45/60/200 gbr
heat-primer 1 heat-primer 200 - primer 20/25/50 gbr
enamel 1 alkyd 90 sun finish 35/45/200 gbr
engine-enamel 1 alkyd 180 sun finish 30/40/200 gbr
linseed 1 oil 90 sun finish 35/45/150 b
red-lead 1 oil 90 - primer 40/50/150 b
chromate-primer 1 alkyd 90 - primer 20/30/200 gbr
surfacer-2k 2 surfacer 120 - filler 80/150/300 gbr
gloss-2k 2 urethane 120 sun finish 45/60/300 gbr
engine-2k 2 urethane 150 sun finish 45/60/300 gbr
metallic-base 1 base 90 - intermediate 15/20/120 ga
clear-2k 2 urethane 120 sun clear 45/60/300 gbr
moisture-primer 2 moisture 110 - primer 60/90/300 gbr
moisture-finish 2 moisture 110 sun finish 50/75/300 gbr
cellulose 1 lacquer 90 sun finish 20/30/150 ga
waterborne 1 water 90 sun finish 40/60/150 gbr
heat-black 1 heat 500 sun finish 22/25/50 gba
heat-aluminium 1 heat 600 sun finish 20/25/50 gba
tank-lining 2 epoxy 120 - finish 150/250/400 gb
powder 1 powder 150 sun finish 80/120/150 g
bitumen 1 bitumen 60 - finish 75/150/300 gbr`;
const BOOK = new Map(
  BOOK_LINES.trim()
    .split('\n')
    .map((line): [string, Entry] => {
      const [id, packs, family, hotC, sun, role, um, tools] = line.split(' ');
      const [usual, coat, all] = um!.split('/').map(Number) as [number, number, number];
      return [
        id!,
        {
          packs: Number(packs) as 1 | 2,
          family: family!,
          hotC: Number(hotC),
          sun: sun === 'sun',
          role: role!,
          um: [usual, coat, all],
          tools: tools!,
        },
      ];
    }),
);
const PAINT = ['etch', 'prime', 'level', 'intermediate', 'topcoat'];
const SCRATCHES = [...MAKES_DUST.filter((m) => m !== 'heat-gun'), 'pad', 'keep'];
const WORKED_WET = ['fresh-water', 'brine', 'splash', 'mineral-oil', 'diesel'];
/** Fluids that a family stands for good. */
const stands = (id: string, e: Entry): readonly string[] =>
  id === 'engine-enamel'
    ? ['mineral-oil']
    : e.family === 'epoxy'
      ? WORKED_WET
      : e.family === 'urethane' || e.family === 'surfacer'
        ? ['splash']
        : [];

/** What an answer without paint ends in. */
const ENDS = ['send', 'replace', 'preserve', 'repair'];

/** Everything wrong with a written route on this part in this shop; each gate at every answer it lets through. */
export function faultsOf(part: Part, steps: readonly Step[], shop: Shop): string[] {
  const gates = steps.filter((s) => s.gate);
  const open = gates.filter((g) => {
    const got = (part as unknown as Record<string, string | number | null | undefined>)[g.gate!.field];
    return got === 'unknown' || got === null;
  });
  const value = (g: Step, text: string): unknown => (g.gate!.field === 'heatC' ? Number(text) : text);
  const start: Part = Object.assign(
    {},
    part,
    ...open.map((g) => ({ [g.gate!.field]: value(g, g.gate!.passes[0]!) })),
  );
  const others = open.flatMap((g) =>
    g.gate!.passes.slice(1).map((p): Part => ({ ...start, [g.gate!.field]: value(g, p) })),
  );
  const all = [start, ...others].flatMap((p) => faultsUnder(p, steps, shop));
  const strip = steps.findIndex((s) => s.kind === 'strip');
  steps.forEach((s, i) => {
    if (s.gate && strip >= 0 && i > strip) all.push('looked at too late');
  });
  for (const g of gates) {
    const got = (part as unknown as Record<string, string | number | null | undefined>)[g.gate!.field];
    if (got !== 'unknown' && got !== null && !g.gate!.passes.includes(String(got)))
      all.push('the look has failed');
  }
  return [...new Set(all)];
}

/** Bare quantities that the checks below share. */
interface Look {
  readonly part: Part;
  readonly shop: Shop;
  readonly steps: readonly Step[];
  readonly paint: readonly Step[];
  readonly does: (m: string) => boolean;
  readonly first: (test: (s: Step) => boolean) => number;
  readonly last: (test: (s: Step) => boolean) => number;
  readonly strip: number;
  readonly paint0: number;
  readonly paint1: number;
  readonly keeps: boolean;
  readonly iron: boolean;
  readonly bad: (yes: boolean, why: string) => void;
}

function faultsUnder(part: Part, steps: readonly Step[], shop: Shop): string[] {
  const faults: string[] = [];
  const first = (test: (s: Step) => boolean): number => {
    const i = steps.findIndex(test);
    return i < 0 ? Infinity : i;
  };
  const last = (test: (s: Step) => boolean): number => steps.findLastIndex(test);
  const isPaint = (s: Step): boolean => PAINT.includes(s.kind) && s.what !== 'open';
  const does = (m: string): boolean => steps.some((s) => s.kind === 'strip' && s.what === m);
  const look: Look = {
    part,
    shop,
    steps,
    paint: steps.filter(isPaint),
    does,
    first,
    last,
    strip: first((s) => s.kind === 'strip'),
    paint0: first(isPaint),
    paint1: last(isPaint),
    keeps: does('keep'),
    iron: IRON.includes(part.substrate),
    bad: (yes, why) => {
      if (yes) faults.push(why);
    },
  };
  hazards(look);
  methods(look);
  const isPainted = look.paint.length > 0 || steps.some((s) => s.what === 'open');
  if (!isPainted) {
    look.bad(
      !steps.some((s) => ENDS.includes(s.kind) || s.kind === 'cavity') &&
        !isWatched(part, steps) &&
        !steps.some((s) => s.kind === 'refer' && !NOT_EXPERTS.includes(s.what ?? '')),
      'no coat, and no other end',
    );
    return faults;
  }
  order(look);
  surface(look);
  products(look);
  service(look);
  return faults;
}
/** Left as it is and looked at: for sound paint without rust. */
const isWatched = (p: Part, steps: readonly Step[]): boolean =>
  steps.some((s) => s.kind === 'care' && s.what === 'look-yearly') &&
  (p.coating === 'sound' || (p.coating === 'partly' && (p.soundShare ?? 0.5) >= 0.5)) &&
  ['none', 'A'].includes(p.rust);
const NOT_EXPERTS = [
  'asbestos',
  'gas-free',
  'tar',
  'legacy-removal',
  'inspection',
  'magnesium',
  're-balance',
];

/** The order of the work. */
function order({ part, steps, first, last, paint, paint0, paint1, strip, keeps, iron, bad }: Look): void {
  const lastBare = last((s) => ['strip', 'abrade', 'pretreat'].includes(s.kind));
  bad(paint.length === 0 && !steps.some((s) => s.what === 'open'), 'no coat');
  bad(
    steps.some((s, i) => (s.kind === 'strip' || s.kind === 'pretreat') && i > paint0),
    'stripped after the first coat',
  );
  const scratch = first(
    (s) => s.kind === 'abrade' || (s.kind === 'strip' && SCRATCHES.includes(s.what ?? '')),
  );
  bad(scratch < Infinity && first((s) => s.kind === 'degrease') > scratch, 'abrasive before degreasing');
  bad(part.coating !== 'none' && first((s) => s.kind === 'record') > strip, 'not recorded before it goes');
  const waits = steps.some((s, i) => i > lastBare && i < paint0 && (s.kind === 'repair' || s.waitHours > 24));
  bad(iron && !keeps && waits && paint.length > 0, 'bare iron left standing');
  const cavity = first((s) => s.kind === 'cavity');
  bad(cavity < Infinity && cavity < paint1, 'wax before the last coat');
  bad(
    part.features.includes('box-section') && cavity === Infinity && paint.length > 0,
    'box section not waxed',
  );
  const fit = first((s) => s.kind === 'test-fit');
  bad(part.features.includes('close-fit') && fit > paint0, 'not fitted bare');
  const masked = last((s) => s.kind === 'mask' && steps.indexOf(s) < paint0) >= 0;
  const guarded = part.features.some((f) =>
    ['machined', 'threads', 'bores', 'seals', 'glass', 'drains-ports'].includes(f),
  );
  bad(guarded && paint.length > 0 && !masked, 'not masked before paint');
  const forPaint = steps.some((s, i) => s.kind === 'mask' && s.what === 'before-paint' && i < paint0);
  bad(
    forPaint &&
      paint.length > 0 &&
      (first((s) => s.kind === 'unmask') === Infinity ? -1 : first((s) => s.kind === 'unmask')) < paint1,
    'unmasked too soon',
  );
  const um = 2 * paint.reduce((sum, s) => sum + s.coats * (s.dftUm ?? 0), 0);
  const anyMask = last((s) => s.kind === 'mask');
  bad(
    part.features.includes('close-fit') &&
      paint.length > 0 &&
      !(anyMask >= 0 && anyMask < paint0) &&
      (part.clearanceUm === null || um > part.clearanceUm),
    'paint in the fit',
  );
  const bright = part.features.some((f) => ['machined', 'bores', 'threads'].includes(f));
  const end = first((s) => s.kind === 'preserve');
  bad(bright && paint.length > 0 && (end === Infinity || end < paint1), 'bright metal without an end');
  bad(
    iron &&
      !keeps &&
      part.rust !== 'none' &&
      part.salt !== 'no' &&
      first((s) => s.kind === 'test' && s.what === 'salt') > paint0,
    'salt not tested',
  );
  const edges = part.features.includes('welds-rivets') || part.features.includes('thin-edges');
  bad(
    edges &&
      paint.length > 0 &&
      !['C1', 'C2'].includes(part.category) &&
      !steps.some((s) => s.kind === 'stripe'),
    'edges not striped',
  );
  bad(
    part.substrate === 'zinc-diecast' && first((s) => s.what === 'adhesion-trial') > paint0,
    'die-cast without a trial',
  );
  const back = first((s) => s.kind === 'reassemble');
  const cure = Math.max(
    steps.findIndex((s) => s.kind === 'cure'),
    steps.findIndex((s) => s.kind === 'bake'),
  );
  bad(back < Infinity && (cure < paint1 || cure > back), 'assembled before it cured');
}

/** Law, licence and poison. */
function hazards({ part, shop, steps, first, last, strip, paint0, paint1, paint, does, bad }: Look): void {
  const refer = (what: string): number => first((s) => s.kind === 'refer' && s.what === what);
  const dusty = MAKES_DUST.some(does);
  const isLead = part.legacy === 'lead' || part.legacy === 'chromate';
  const dryKey = steps.some((s) => s.kind === 'abrade' && s.what === 'key');
  if (part.coating !== 'none') {
    bad(part.legacy === 'unknown' && (dusty || dryKey), 'old paint made dust untested');
    bad(isLead && dryKey, 'lead keyed dry');
    bad(isLead && MAKES_DUST.some((m) => does(m) && !goesOut(part, shop, m)), 'lead made dust here');
    bad(isLead && dusty && refer('legacy-removal') > strip, 'lead blasted without licence');
    bad(does('heat-gun') && part.legacy !== 'none', 'heat on paint that may hold lead');
  }
  const hands = first((s) => ['mask', 'degrease', 'strip', 'abrade', 'wash', 'repair'].includes(s.kind));
  const early = (what: string): boolean => hands === Infinity || refer(what) < hands;
  bad(part.lagging !== 'no' && !early('asbestos'), 'lagging touched');
  bad(
    part.criticality.includes('fuel') && strip < Infinity && refer('gas-free') > strip,
    'fuel tank not certified',
  );
  bad(part.alsoOn.includes('tar') && strip < Infinity && refer('tar') > strip, 'tar scraped');
  const fibre =
    (part.coating !== 'none' && part.oldFiller !== 'no') ||
    part.alsoOn.includes('underseal') ||
    part.kind === 'wheel-brake';
  bad(
    fibre && strip < Infinity && first((s) => s.kind === 'test' && s.what === 'asbestos') > strip,
    'may hold asbestos',
  );
  const watched = part.criticality.some((c) => c !== 'fuel');
  const seen = steps.findIndex((s) => s.kind === 'refer' && s.what === 'inspection');
  bad(
    watched && paint.length > 0 && !(seen > steps.findIndex((s) => s.kind === 'strip') && seen < paint0),
    'hidden before a licensed look',
  );
  bad(
    part.criticality.includes('control-surface') &&
      paint.length > 0 &&
      last((s) => s.what === 're-balance') < paint1,
    'not re-balanced',
  );
  const touch = first((s) => ['strip', 'abrade', 'wash'].includes(s.kind));
  bad(
    part.substrate === 'magnesium' &&
      paint.length > 0 &&
      (refer('magnesium') > paint0 || refer('magnesium') > touch),
    'magnesium without a specialist',
  );
  const wet = first((s) => ['degrease', 'wash', 'strip'].includes(s.kind));
  bad(
    part.assembled !== 'no' &&
      wet < Infinity &&
      first((s) => s.kind === 'mask' && s.what === 'openings') > wet,
    'openings not masked',
  );
}

/** Whether an act is done at a contractor's, as this shop stands; null: nowhere. */
function goesOut(part: Part, shop: Shop, m: string): boolean | null {
  const needs: Readonly<Record<string, string>> = {
    'grit-blast': 'grit',
    'fine-blast': 'grit',
    'spot-blast': 'grit',
    sweep: 'grit',
    'bead-blast': 'bead',
    'rotary-bristle': 'bristle',
    'needle-gun': 'needle',
    'chelating-bath': 'bath',
    'citric-bath': 'bath',
    electrolysis: 'bath',
    'hot-caustic': 'caustic',
    'vapour-blast': 'nobody',
    'plastic-media': 'nobody',
    'dry-ice': 'nobody',
  };
  const need = needs[m];
  if (need === undefined) return false;
  const big =
    (need === 'bead' && part.tooBigFor.includes('cabinet')) ||
    (need === 'bath' && (part.tooBigFor.includes('bath') || (part.massKg ?? 0) > 25));
  if (shop.facilities.includes(need) && !big) return false;
  const out = !['rotary-bristle', 'needle-gun', 'chelating-bath', 'electrolysis'].includes(m);
  return out && shop.facilities.includes('contractor') ? true : null;
}

/** What each act must never meet, and what must be off before it. */
function methods({ part, shop, steps, first, strip, does, keeps, bad }: Look): void {
  const face = faceOf(part);
  for (const s of steps) {
    if (PAINT.includes(s.kind)) break;
    if (s.kind === 'strip' || s.kind === 'pretreat') {
      const id = s.what ?? '';
      for (const h of harmOf(part, id)) bad(true, h);
      for (const m of inTheWay(face, id)) bad(true, `${m} before ${id}`);
      if (s.kind === 'strip') bad(goesOut(part, shop, id) === null, `${id}: nobody to do it`);
      bad(
        ['chelating-bath', 'citric-bath', 'electrolysis'].includes(id) &&
          part.massKg === null &&
          goesOut(part, shop, id) === false,
        'weight for the bath not known',
      );
    }
    walkStep(face, part, s);
  }
  for (const s of steps.slice(
    Math.max(
      0,
      first((x) => PAINT.includes(x.kind)),
    ),
  ))
    if (s.kind === 'strip' || s.kind === 'pretreat') for (const h of harmOf(part, s.what ?? '')) bad(true, h);
  const blasts = [
    'grit-blast',
    'fine-blast',
    'spot-blast',
    'bead-blast',
    'vapour-blast',
    'sweep',
    'plastic-media',
  ].some(does);
  bad(does('keep') && ['none', 'unsound', 'unknown'].includes(part.coating), 'nothing sound to keep');
  bad(keeps && part.finish === 'show', 'a show finish on old paint');
  bad(
    keeps &&
      part.priorPrimer === 'zinc-rich' &&
      !(part.primerDays !== null && part.primerDays <= 2) &&
      !steps.some((s) => s.what === 'zinc-salts'),
    'white salts kept under paint',
  );
  bad(
    keeps &&
      ['unknown', 'etch'].includes(part.priorPrimer) &&
      (part.primerDays === null || part.primerDays > 2),
    'an old etch kept, or what may be one',
  );
  const mask = first((s) => s.kind === 'mask' && s.what === 'before-strip');
  const covered = mask < strip;
  bad(
    blasts && ['machined', 'threads', 'bores', 'oilways'].some((f) => part.features.includes(f)) && !covered,
    'blasted unmasked',
  );
  bad(
    (blasts || does('wire-wheel')) && part.features.includes('white-metal') && !covered,
    'grit in white metal',
  );
  bad(does('wire-wheel') && shop.schools.wireWheel === 'no', 'no wheel in this house');
  bad(
    part.glue !== 'no' &&
      strip < Infinity &&
      (first((s) => s.kind === 'degrease' && s.what === 'glue') === Infinity ||
        first((s) => s.kind === 'degrease' && s.what === 'glue') > (strip === Infinity ? -1 : strip)),
    'glue under the abrasive',
  );
  const warm = steps.some((s) => s.kind === 'degrease' && s.what === 'warm-out');
  const loose =
    CAST.includes(part.substrate) &&
    part.substrate !== 'magnesium' &&
    ['soaked', 'unknown'].includes(part.oil) &&
    part.assembled === 'no';
  bad(
    warm &&
      (!loose ||
        part.plating === 'cadmium' ||
        part.criticality.includes('fuel') ||
        ['white-metal', 'solder', 'seals', 'wiring'].some((f) => part.features.includes(f))),
    'warmed where it must not be',
  );
}

/** What stands under the first coat. */
function surface({ part, steps, paint, paint0, keeps, iron, bad }: Look): void {
  const top = paint[0];
  const e = BOOK.get(top?.familyId ?? '');
  if (!top || !e) return;
  const face = faceOf(part);
  for (const s of steps.slice(0, paint0)) walkStep(face, part, s);
  const first: First = {
    familyId: top.familyId!,
    family: e.family,
    blastAbove: paint.some((s) => ['zinc-epoxy', 'zinc-silicate', 'tank-lining'].includes(s.familyId ?? '')),
  };
  for (const w of wrongUnder(face, part, first, keeps)) bad(true, w);
  const aim = aimedUm(face, first);
  bad(
    iron &&
      !keeps &&
      aim !== null &&
      top.kind !== 'etch' &&
      e.family !== 'heat' &&
      top.coats * (top.dftUm ?? e.um[0]) < 1.5 * aim,
    'peaks stand out of the primer',
  );
  leastFilm(part, paint, face, keeps, bad);
}

/** ISO 12944-5 minimum film, its own copy of the rows (from memory). */
const LEAST: Readonly<Record<string, Readonly<Record<string, readonly (number | null)[]>>>> = {
  ep: {
    C2: [null, null, 120, 180],
    C3: [null, 120, 180, 240],
    C4: [120, 180, 240, 300],
    C5: [180, 240, 300, 360],
  },
  zn: {
    C2: [null, null, 60, 160],
    C3: [null, 60, 160, 200],
    C4: [60, 160, 200, 260],
    C5: [160, 200, 260, 320],
  },
  ak: {
    C2: [100, 100, 160, 200],
    C3: [100, 160, 200, 260],
    C4: [160, 200, 260, null],
    C5: [200, 260, null, null],
  },
};
function leastFilm(
  part: Part,
  paint: readonly Step[],
  face: ReturnType<typeof faceOf>,
  keeps: boolean,
  bad: Look['bad'],
): void {
  const steel = ['cast-steel', 'steel-plate', 'steel-sheet', 'timber-backed-steel'].includes(part.substrate);
  if (
    !steel ||
    face.grade < 4 ||
    !face.profile ||
    keeps ||
    formCap(part) !== null ||
    part.category === 'immersed' ||
    part.category === 'CX'
  )
    return;
  if (part.category === 'unknown') {
    bad(true, 'where it lives is not known');
    return;
  }
  if ((part.heatC ?? 60) > 120) return;
  const families = paint.map((s) => BOOK.get(s.familyId ?? '')?.family ?? '');
  const table = families.some((f) => ['alkyd', 'oil', 'heat-primer'].includes(f))
    ? 'ak'
    : families.every((f) => ['epoxy', 'urethane', 'surfacer', 'zinc', 'base'].includes(f))
      ? families[0] === 'zinc'
        ? 'zn'
        : 'ep'
      : null;
  if (table === null) return;
  const row = LEAST[table]![part.category === 'C1' ? 'C2' : part.category]!;
  const need = row.slice('LMHV'.indexOf(part.durability[0]!)).find((x) => x !== null);
  const um = paint.reduce((sum, s) => sum + s.coats * (s.dftUm ?? 0), 0);
  bad(um < (need ?? 0), 'film too thin for the place');
}
/** Most film that a form carries, µm. */
const isOilSpace = (p: Part): boolean =>
  p.category === 'immersed' &&
  p.fluids.includes('mineral-oil') &&
  ['engine-assembled', 'engine-casting', 'gearbox-axle', 'machined-casting'].includes(p.kind);
const formCap = (p: Part): number | null =>
  isOilSpace(p)
    ? 60
    : (({ spring: 150, fasteners: 80, radiator: 60 } as Record<string, number>)[p.kind] ?? null);

/** What goes on what. */
function products({ part, shop, steps, paint, keeps, bad }: Look): void {
  const zincMetal = /galvanised|zinc/.test(part.substrate);
  const held = steps.some((s) => s.what === 'open');
  paint.forEach((s, i) => {
    const id = s.familyId ?? '';
    const me = BOOK.get(id);
    if (!me) {
      bad(true, `no such product: ${id}`);
      return;
    }
    const below = i > 0 ? BOOK.get(paint[i - 1]!.familyId ?? '') : undefined;
    const same = i > 0 && paint[i - 1]!.familyId === id;
    bad(part.heatC === null || me.hotC < part.heatC, `${id} does not stand the heat`);
    bad(me.family === 'heat' && (part.heatC === null || part.heatC < 150), 'heat finish where it stays cold');
    bad(
      below !== undefined &&
        !['etch', 'base', 'heat-primer'].includes(below.family) &&
        below.packs === 1 &&
        me.packs === 2,
      'two-pack over one-pack',
    );
    bad(below?.family === 'heat-primer' && me.packs === 2 && id !== 'engine-2k', 'two-pack over one-pack');
    bad(below?.family === 'base' && me.packs === 2 && id !== 'clear-2k', 'two-pack over one-pack');
    const etchable =
      below?.family === 'etch' &&
      (paint[i - 1]!.familyId === 'etch-2k'
        ? ['epoxy-aero', 'surfacer-2k']
        : ['surfacer-2k', 'cellulose', 'metallic-base']);
    bad(Array.isArray(etchable) && me.role !== 'etch' && !etchable.includes(id), 'not a follower of an etch');
    bad(below?.role === 'etch' && s.kind !== 'etch' && me.role === 'etch', 'not a follower of an etch');
    const wet = i > 0 && paint[i - 1]!.familyId === 'etch-2k' && ['epoxy-aero', 'surfacer-2k'].includes(id);
    bad(s.policy === 'wet-on-wet' && i > 0 && !wet, 'wet-on-wet where its sheet gives no window');
    bad(
      below?.family === 'zinc' && ['alkyd', 'oil', 'heat-primer', 'bitumen'].includes(me.family),
      'soap on zinc',
    );
    bad(
      i > 0 && paint[i - 1]!.familyId === 'zp-alkyd' && ['urethane', 'epoxy', 'surfacer'].includes(me.family),
      'its sheet forbids it',
    );
    bad(
      below !== undefined &&
        ['alkyd', 'oil', 'water', 'heat-primer'].includes(below.family) &&
        ['lacquer', 'base'].includes(me.family),
      'lacquer lifts it',
    );
    bad(
      me.family === 'heat' &&
        (keeps || (paint[0] !== s && !same && BOOK.get(paint[0]!.familyId ?? '')?.family !== 'heat')),
      'heat finish over paint',
    );
    bad(below?.family === 'bitumen' && me.family !== 'bitumen', 'on bitumen');
    bad(
      me.role === 'etch' &&
        s.kind === 'etch' &&
        (steps.some((x) => x.what === 'conversion') || part.substrate === 'zinc-diecast'),
      'etch not on bare metal',
    );
    bad(
      me.family === 'zinc' &&
        (i > 0 ||
          keeps ||
          s.tool !== 'gun' ||
          !shop.facilities.includes('gun') ||
          part.reach !== 'gun' ||
          part.phosphated !== 'no' ||
          steps.some((x) => x.what === 'phosphate') ||
          !/steel/.test(part.substrate)),
      'zinc-rich out of place',
    );
    bad(['alkyd', 'oil'].includes(me.family) && i === 0 && !keeps && zincMetal, 'soap on zinc');
    bad(
      me.family === 'base' && !paint.slice(i + 1).some((x) => x.familyId === 'clear-2k'),
      'metallic without clear',
    );
    bad(id === 'clear-2k' && !paint.some((x) => x.familyId === 'metallic-base'), 'clear over a plain colour');
    bad(['red-lead'].includes(id) && /aluminium|magnesium/.test(part.substrate), 'lead on light metal');
    bad(
      ['red-lead', 'chromate-primer'].includes(id) && !shop.facilities.includes('legacy-licence'),
      'legacy product',
    );
    bad((s.dftUm ?? me.um[0]) > me.um[1], 'too thick a coat');
    const all = paint
      .filter((x) => x.familyId === id)
      .reduce((sum, x) => sum + x.coats * (x.dftUm ?? me.um[0]), 0);
    bad(all > me.um[2], 'too much of it');
    bad(s.kind === 'etch' && s.coats * (s.dftUm ?? me.um[0]) > me.um[2], 'too much of it');
    const tool = s.tool ?? 'gun';
    bad(
      me.family !== 'powder' && !me.tools.includes(tool[0]!) && !(tool === 'brush' && me.role === 'filler'),
      'not its tool',
    );
    bad(
      me.family !== 'powder' && tool === 'gun' && (!shop.facilities.includes('gun') || part.reach !== 'gun'),
      'no gun there',
    );
    bad(
      ['urethane', 'surfacer', 'moisture'].includes(me.family) &&
        ['gun', 'aerosol'].includes(tool) &&
        !shop.facilities.includes('air-fed-mask'),
      'isocyanate sprayed bare-faced',
    );
    bad(
      i === 0 && !keeps && !metalsOf(id, me).some((m) => m.test(part.substrate)),
      `${id} is not for this metal`,
    );
    bad(
      me.family === 'powder' &&
        (part.assembled !== 'no' ||
          keeps ||
          CAST.includes(part.substrate) ||
          !shop.facilities.includes('contractor') ||
          ['white-metal', 'seals', 'solder', 'internals'].some((f) => part.features.includes(f)) ||
          part.criticality.some((c) => c === 'airworthy' || c === 'control-surface')),
      'powder cannot be',
    );
  });
  const bakes = paint.some((s) => ['heat', 'powder'].includes(BOOK.get(s.familyId ?? '')?.family ?? ''));
  bad(
    bakes &&
      !(
        steps.some((s) => s.kind === 'bake') &&
        ['oven', 'heat', 'contractor'].some((f) => shop.facilities.includes(f))
      ),
    'not baked',
  );
  metallicAndBase(part, paint, keeps, held, bad);
}

/** Bare metals a family's sheet lists. */
function metalsOf(id: string, e: Entry): readonly RegExp[] {
  const iron = [/iron|steel(?!-less)/];
  if (e.family === 'epoxy') return [/./];
  if (id === 'chromate-primer') return [/cast-steel|steel-|timber/, /aluminium/, /magnesium/];
  if (['engine-enamel', 'heat-primer'].includes(id) || e.family === 'heat') return [...iron, /aluminium/];
  if (id === 'etch-2k') return [...iron, /aluminium/, /galvanised|zinc/, /copper/];
  if (id === 'etch-1k') return [/cast-steel|steel-|timber/, /aluminium/, /galvanised|zinc/];
  if (e.family === 'zinc') return [/cast-steel|steel-|timber/];
  if (e.family === 'powder') return [/cast-steel|steel-|timber/, /aluminium/];
  return ['alkyd', 'oil', 'moisture', 'bitumen'].includes(e.family) ? iron : [];
}

function metallicAndBase(
  part: Part,
  paint: readonly Step[],
  keeps: boolean,
  held: boolean,
  bad: Look['bad'],
): void {
  const base = paint.some((s) => s.familyId === 'metallic-base');
  bad(part.metallic !== 'yes' && base, 'a metallic nobody asked for');
  bad(
    part.metallic === 'yes' && !base && !held && part.concealed !== 'yes' && paint.length > 0,
    'no metallic',
  );
  const top = paint[0];
  const e = BOOK.get(top?.familyId ?? '');
  if (!top || !e || !keeps) return;
  const over =
    ['epoxy', 'alkyd', 'oil', 'moisture', 'water', 'bitumen'].includes(e.family) &&
    top.familyId !== 'heat-primer';
  bad(!over, 'not for old paint');
  const one = e.packs === 1 || top.familyId === 'moisture-primer' || top.familyId === 'moisture-finish';
  bad(!one && part.coatKind !== 'two-pack' && part.solventRub !== 'passed', 'may lift the old coat');
  bad(['bitumen', 'unknown'].includes(part.coatKind) && e.family !== 'bitumen', 'bleeds through');
}

/** What the part will live through. */
function service({ part, shop, steps, paint, keeps, bad }: Look): void {
  const held = steps.some((s) => s.what === 'open');
  const lastStep = paint[paint.length - 1];
  const top = BOOK.get(lastStep?.familyId ?? '');
  if (!lastStep || !top) return;
  const id = lastStep.familyId!;
  const alone =
    top.family === 'epoxy' ? true : !['primer', 'filler', 'intermediate', 'etch'].includes(top.role);
  bad(!alone, 'the last coat is no last coat');
  bad(!top.sun && part.concealed !== 'yes' && part.sun !== 'no' && !held, 'chalks in the sun');
  const proof =
    ['epoxy', 'urethane', 'surfacer', 'heat-primer', 'heat'].includes(top.family) || id === 'engine-enamel';
  bad(!proof && part.concealed !== 'yes' && part.fuel !== 'no', 'fuel softens it');
  bad(part.finish === 'show' && !['gun', 'aerosol'].includes(lastStep.tool ?? 'gun'), 'show by brush');
  const looks =
    ['urethane', 'lacquer'].includes(top.family) || id === 'surfacer-2k' || id === 'metallic-base';
  const excused =
    part.concealed === 'yes' ||
    (part.heatC ?? 0) > 150 ||
    held ||
    (part.category === 'immersed' && part.sun !== 'yes') ||
    formCap(part) !== null;
  bad(part.finish === 'show' && !looks && !excused, 'no show finish');
  bad(
    part.colourUndecided &&
      shop.schools.undecided === 'hold-primer' &&
      ['finish', 'clear'].includes(top.role),
    'a finish before the colour',
  );
  const pressure = part.criticality.includes('pressure');
  const levels = paint.some((s) => s.kind === 'level' || BOOK.get(s.familyId ?? '')?.role === 'filler');
  bad(pressure && levels, 'pits of a pressure part hidden');
  const shows =
    part.concealed !== 'yes' && part.category !== 'immersed' && (part.heatC ?? 0) <= 80 && !pressure;
  const deep = part.pits === 'deep' || part.pits === 'unknown';
  const wants = (part.finish === 'show' && part.pits !== 'none') || (part.finish === 'as-built' && deep);
  bad(
    shows &&
      wants &&
      !(keeps && part.pits !== 'unknown') &&
      !paint.some((s) => s.kind === 'level') &&
      !steps.some((s) => s.kind === 'repair'),
    'pits show through',
  );
  const first = BOOK.get(paint[0]!.familyId ?? '')!;
  const rough =
    ['grey-iron', 'ductile-iron', 'cast-steel'].includes(part.substrate) &&
    part.finish === 'working' &&
    ['C1', 'C2'].includes(part.category);
  const thinHere = (part.kind === 'radiator' && finned(paint[0]!.familyId!)) || isOilSpace(part);
  bad(
    paint[0]!.kind === 'topcoat' &&
      !keeps &&
      !['heat', 'powder'].includes(first.family) &&
      paint[0]!.familyId !== 'tank-lining' &&
      !rough &&
      !thinHere,
    'a finish on bare metal',
  );
  const um = paint.reduce((sum, s) => sum + s.coats * (s.dftUm ?? 0), 0);
  const cap = formCap(part);
  bad(cap !== null && um > cap, 'more than its form carries');
  bad(
    part.kind === 'spring' && paint.some((s) => ['zinc-silicate', 'powder'].includes(s.familyId ?? '')),
    'cracks on a spring',
  );
  bad(part.kind === 'radiator' && paint.some((s) => !finned(s.familyId ?? '')), 'not for fins');
  underFluid(part, paint, bad);
  bad(
    paint.some((s) => s.familyId === 'tank-lining') &&
      (part.category !== 'immersed' || part.sun === 'yes' || part.kind === 'float-hull'),
    'a lining outside',
  );
}
const finned = (id: string): boolean => ['engine-enamel', 'heat-black', 'heat-aluminium'].includes(id);

function underFluid(part: Part, paint: readonly Step[], bad: Look['bad']): void {
  const hard = part.fluids.find((f) => ['petrol', 'potable', 'brake-fluid'].includes(f));
  bad(hard !== undefined, 'a fluid for its maker');
  if (part.category !== 'immersed') return;
  bad(part.criticality.includes('pressure'), 'a water side coated');
  bad(part.fluids.length === 0, 'what it stands in is not known');
  const list = paint.flatMap((s) => {
    const e = BOOK.get(s.familyId ?? '');
    return e ? [{ s, e }] : [];
  });
  list.forEach(({ s, e }, i) => {
    const isTop =
      i === list.length - 1 &&
      i > 0 &&
      e.sun &&
      part.sun === 'yes' &&
      stands(s.familyId!, e).includes('splash');
    bad(
      !isTop && part.fluids.some((f) => !stands(s.familyId!, e).includes(f)),
      `${s.familyId} under a fluid it does not stand`,
    );
    bad(isOilSpace(part) && e.packs === 2 && e.family !== 'moisture', 'thick film in an oil space');
  });
  if (part.fluids.length === 0) return;
  const wet = list.filter(({ s, e }) => part.fluids.every((f) => stands(s.familyId!, e).includes(f)));
  const um = wet.reduce((sum, { s }) => sum + s.coats * (s.dftUm ?? 0), 0);
  const coats = wet.reduce((sum, { s }) => sum + s.coats, 0);
  const need = Math.max(0, ...wet.map(({ s }) => (s.familyId === 'engine-enamel' ? 30 : 300)));
  bad(wet.length > 0 && (um < need || coats < 2), 'film too thin under a fluid');
}
