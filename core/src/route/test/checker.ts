import { BOOK, type Look, type Part, type Shop } from './checkBook.ts';
import { leastFilm, products, service } from './checkProducts.ts';
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
  type Step,
} from './checkSurface.ts';

/*
 * An independent judge of a written route, for tests only. Written from docs/trade.md §§ 2–5, 9 and 10 and docs/surface.md, sharing no code and no
 * data with the rules: its own table of families, its own order of work. It answers with what is wrong, or nothing.
 */

const PAINT = ['etch', 'prime', 'level', 'intermediate', 'topcoat'];
const SCRATCHES = [...MAKES_DUST.filter((m) => m !== 'heat-gun'), 'pad', 'keep'];
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
