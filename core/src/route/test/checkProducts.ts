import { BOOK, stands, type Entry, type Look, type Part } from './checkBook.ts';
import { CAST, faceOf, type Step } from './checkSurface.ts';

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
export function leastFilm(
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
export function products({ part, shop, steps, paint, keeps, bad }: Look): void {
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
      me.role === 'etch' && s.kind === 'etch' && below !== undefined && below.role !== 'etch',
      'etch over a coat',
    );
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
export function service({ part, shop, steps, paint, keeps, bad }: Look): void {
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
