/**
 * An independent judge of a written route, for tests only. Written from trade.md §§ 2–5, 9 and 10, sharing no code and no
 * data with the rules: its own table of families, its own order of work. It answers with what is wrong, or nothing.
 */
interface Step {
  readonly kind: string;
  readonly what?: string;
  readonly familyId?: string;
  readonly coats: number;
  readonly dftUm: number | null;
  readonly tool?: string;
  readonly waitHours: number;
}
interface Part {
  readonly substrate: string;
  readonly thicknessMm: number | null;
  readonly coating: string;
  readonly legacy: string;
  readonly features: readonly string[];
  readonly criticality: readonly string[];
  readonly hardened: string;
  readonly assembled: string;
  readonly lagging: string;
  readonly heatC: number | null;
  readonly sun: string;
  readonly concealed: string;
  readonly phosphated: string;
  readonly rust: string;
  readonly salt: string;
  readonly category: string;
  readonly colourUndecided: boolean;
  readonly glue: string;
  readonly priorPrimer: string;
  readonly primerDays: number | null;
}

/** [packs, class, most °C, may stand in the sun] of each family as trade.md 5 describes it. */
const BOOK: Readonly<Record<string, readonly [1 | 2, string, number, boolean]>> = {
  'epoxy-primer': [2, 'epoxy', 120, false],
  'epoxy-mastic': [2, 'epoxy', 120, false],
  'epoxy-aero': [2, 'epoxy', 120, false],
  'epoxy-build': [2, 'epoxy', 120, false],
  'tie-coat': [2, 'epoxy', 120, false],
  'zinc-epoxy': [2, 'zinc', 150, false],
  'zinc-silicate': [2, 'zinc', 400, false],
  'etch-2k': [2, 'etch', 90, false],
  'etch-1k': [1, 'etch', 90, false],
  'zp-alkyd': [1, 'alkyd', 90, false],
  enamel: [1, 'alkyd', 90, true],
  'engine-enamel': [1, 'alkyd', 180, true],
  linseed: [1, 'oil', 90, true],
  'red-lead': [1, 'oil', 90, false],
  'chromate-primer': [1, 'alkyd', 90, false],
  'surfacer-2k': [2, 'surfacer', 120, false],
  'gloss-2k': [2, 'urethane', 120, true],
  'engine-2k': [2, 'urethane', 150, true],
  'metallic-base': [1, 'base', 90, false],
  'clear-2k': [2, 'urethane', 120, true],
  // Moisture-cured urethane sets hard like a two-pack, out of one tin.
  'moisture-primer': [2, 'moisture', 110, false],
  'moisture-finish': [2, 'moisture', 110, true],
  cellulose: [1, 'lacquer', 90, true],
  waterborne: [1, 'water', 90, true],
  'heat-black': [1, 'heat', 500, true],
  'heat-aluminium': [1, 'heat', 600, true],
  'tank-lining': [2, 'epoxy', 120, false],
  powder: [1, 'powder', 150, true],
  bitumen: [1, 'bitumen', 60, false],
  'cavity-wax': [1, 'wax', 80, false],
};
const IRON = ['grey-iron', 'ductile-iron', 'cast-steel', 'steel-plate', 'steel-sheet', 'timber-backed-steel'];
const PAINT = ['etch', 'prime', 'level', 'intermediate', 'topcoat'];
const SCRATCHES = ['grit-blast', 'bead-blast', 'wire-wheel', 'disc', 'needle-gun', 'hand', 'keep'];

export function faultsOf(part: Part, steps: readonly Step[]): string[] {
  const faults: string[] = [];
  const bad = (yes: boolean, why: string): void => {
    if (yes) faults.push(why);
  };
  const first = (test: (s: Step) => boolean): number => {
    const i = steps.findIndex(test);
    return i < 0 ? Infinity : i;
  };
  const last = (test: (s: Step) => boolean): number => steps.findLastIndex(test);
  const isPaint = (s: Step): boolean => PAINT.includes(s.kind) && s.what !== 'open';
  const paint = steps.filter(isPaint);
  const [paint0, paint1] = [first(isPaint), last(isPaint)];
  const strip = first((s) => s.kind === 'strip');
  const lastBare = last((s) => ['strip', 'abrade', 'pretreat'].includes(s.kind));
  const does = (m: string): boolean => steps.some((s) => s.kind === 'strip' && s.what === m);
  const iron = IRON.includes(part.substrate);
  const keeps = does('keep');
  const blasted = does('grit-blast') || does('bead-blast');

  // The order of the work.
  bad(strip === Infinity, 'nothing strips or keys it');
  bad(paint.length === 0, 'no coat');
  bad(paint0 < strip, 'paint before stripping');
  bad(paint0 < lastBare, 'bared or keyed again after the first coat');
  const scratch = first(
    (s) => s.kind === 'abrade' || (s.kind === 'strip' && SCRATCHES.includes(s.what ?? '')),
  );
  bad(first((s) => s.kind === 'degrease') > scratch, 'abrasive before degreasing');
  bad(part.coating !== 'none' && first((s) => s.kind === 'record') > strip, 'not recorded before it goes');
  bad(
    first((s) => s.kind === 'inspect') > paint0 || first((s) => s.kind === 'inspect') < strip,
    'not inspected bare',
  );
  bad(
    blasted && !steps.some((s, i) => (s.kind === 'wash' || s.kind === 'degrease') && i > strip && i < paint0),
    'blast dust under paint',
  );
  bad(
    does('wire-wheel') && !steps.some((s, i) => s.kind === 'abrade' && i > strip && i < paint0),
    'burnished by the wheel',
  );
  bad(keeps && first((s) => s.kind === 'abrade') > paint0, 'old coat not keyed');
  bad(
    first((s) => s.kind === 'cure' || s.kind === 'bake') < paint1 ||
      first((s) => s.kind === 'cure' || s.kind === 'bake') === Infinity,
    'no cure after the last coat',
  );
  const cavity = first((s) => s.kind === 'cavity');
  bad(cavity < paint1, 'wax before the last coat');
  bad(part.features.includes('box-section') && cavity === Infinity, 'box section not waxed');
  bad(
    part.features.includes('close-fit') &&
      (first((s) => s.kind === 'test-fit') > paint0 || first((s) => s.kind === 'test-fit') < strip),
    'not fitted bare',
  );
  const guarded = part.features.some((f) =>
    ['machined', 'threads', 'bores', 'seals', 'glass', 'drains-ports'].includes(f),
  );
  bad(guarded && !steps.some((s, i) => s.kind === 'mask' && i < paint0), 'not masked before paint');
  bad(
    guarded &&
      steps.some((s) => s.kind === 'mask' && s.what === 'before-paint') &&
      (first((s) => s.kind === 'unmask') < paint1 || first((s) => s.kind === 'unmask') === Infinity),
    'unmasked too soon',
  );
  bad(
    (part.features.includes('white-metal') || part.features.includes('machined')) &&
      blasted &&
      first((s) => s.kind === 'mask') > strip,
    'blasted unmasked',
  );
  bad(
    iron && !keeps && steps.some((s, i) => i > lastBare && i < paint0 && s.waitHours > 24),
    'bare iron left standing',
  );

  bad(
    part.glue !== 'no' && first((s) => s.kind === 'degrease' && s.what === 'glue') > strip,
    'glue under the abrasive',
  );
  bad(
    keeps && part.priorPrimer === 'zinc-rich' && !steps.some((s) => s.what === 'zinc-salts'),
    'white salts kept under paint',
  );
  bad(
    keeps &&
      (part.priorPrimer === 'unknown' ||
        (part.priorPrimer === 'etch' && (part.primerDays === null || part.primerDays > 2))),
    'an old etch kept, or what may be one',
  );
  const open = first((s) => s.what === 'open');
  bad(open !== Infinity && (!part.colourUndecided || open < paint1), 'left open without need');

  // What each method must never meet.
  const thin = part.thicknessMm ?? (part.substrate === 'steel-sheet' ? 1 : null);
  bad(does('grit-blast') && (thin === null || thin < 2), 'grit on thin or unmeasured metal');
  bad(does('grit-blast') && !iron && part.substrate !== 'galvanised', 'iron media on another metal');
  bad(does('grit-blast') && part.substrate === 'galvanised', 'grit on galvanising');
  bad(blasted && part.assembled !== 'no', 'blasted assembled');
  bad(
    !iron && ['chelating-bath', 'citric-bath', 'electrolysis', 'hot-caustic', 'wire-wheel'].some(does),
    'ferrous method on another metal',
  );
  bad(
    (does('citric-bath') || does('electrolysis') || steps.some((s) => s.what === 'phosphate')) &&
      part.hardened !== 'no' &&
      part.substrate !== 'grey-iron' &&
      part.substrate !== 'ductile-iron',
    'acid on steel that may be hardened',
  );
  bad(does('solvent-stripper') && part.substrate === 'glass-fibre', 'stripper on glass-fibre');
  bad(
    does('heat-gun') && part.coating !== 'none' && part.legacy !== 'none',
    'heat on paint that may hold lead',
  );
  bad(steps.some((s) => s.what === 'phosphate') && !iron, 'phosphate on another metal');
  bad(
    steps.some((s) => s.what === 'conversion') && !/aluminium|magnesium/.test(part.substrate),
    'conversion on another metal',
  );
  const dusty = ['grit-blast', 'bead-blast', 'wire-wheel', 'disc', 'needle-gun', 'keep'].some(does);
  bad(
    part.coating !== 'none' &&
      part.legacy !== 'none' &&
      dusty &&
      first((s) => s.kind === 'test' && s.what === 'legacy') > strip,
    'old paint made dust untested',
  );
  bad(
    part.lagging !== 'no' && first((s) => s.kind === 'refer' && s.what === 'asbestos') > strip,
    'lagging touched',
  );
  bad(
    part.criticality.includes('fuel') && first((s) => s.what === 'gas-free') > strip,
    'fuel tank not certified',
  );
  const watched = part.criticality.some((c) => c !== 'fuel');
  bad(
    watched &&
      !steps.some((s, i) => s.kind === 'refer' && s.what === 'inspection' && i > strip && i < paint0),
    'hidden before a licensed look',
  );
  bad(
    part.criticality.includes('control-surface') && last((s) => s.what === 're-balance') < paint1,
    'not re-balanced',
  );
  bad(
    part.substrate === 'zinc-diecast' && first((s) => s.what === 'adhesion-trial') > paint0,
    'die-cast without a trial',
  );
  bad(
    part.substrate === 'magnesium' && first((s) => s.what === 'magnesium') > paint0,
    'magnesium without a specialist',
  );
  bad(
    iron && !keeps && part.salt !== 'no' && part.rust !== 'none' && first((s) => s.what === 'salt') > paint0,
    'salt not tested',
  );

  // What goes on what.
  paint.forEach((s, i) => {
    const me = BOOK[s.familyId ?? ''];
    if (!me) {
      faults.push(`no such product: ${s.familyId ?? ''}`);
      return;
    }
    const below = i > 0 ? BOOK[paint[i - 1]!.familyId ?? ''] : undefined;
    bad(s.coats < 1 || !(s.dftUm! > 0), 'a coat of nothing');
    bad(part.heatC === null || me[2] < part.heatC, `${s.familyId} does not stand the heat`);
    bad(
      below !== undefined && below[1] !== 'etch' && below[1] !== 'base' && below[0] === 1 && me[0] === 2,
      'two-pack over one-pack',
    );
    bad(
      below?.[1] === 'etch' && !['surfacer', 'lacquer', 'base', 'epoxy'].includes(me[1]),
      'not a follower of an etch',
    );
    bad(
      below?.[1] === 'etch' && me[1] === 'epoxy' && s.familyId !== 'epoxy-aero',
      'an epoxy its etch does not list',
    );
    bad(below?.[1] === 'zinc' && (me[1] === 'alkyd' || me[1] === 'oil'), 'soap on zinc');
    bad(
      below !== undefined && ['alkyd', 'oil', 'water'].includes(below[1]) && me[1] === 'lacquer',
      'lacquer lifts it',
    );
    bad(below !== undefined && me[1] === 'heat' && below[1] !== 'heat', 'heat finish over paint');
    bad(
      me[1] === 'etch' &&
        (i > 0 || keeps || steps.some((x) => x.what === 'phosphate' || x.what === 'conversion')),
      'etch not on bare metal',
    );
    bad(me[1] === 'etch' && s.coats * (s.dftUm ?? 0) > 25, 'etch too thick');
    bad(
      me[1] === 'zinc' &&
        (i > 0 ||
          !does('grit-blast') ||
          s.tool !== 'gun' ||
          part.phosphated !== 'no' ||
          !/steel/.test(part.substrate)),
      'zinc-rich out of place',
    );
    bad(
      (me[1] === 'alkyd' || me[1] === 'oil') &&
        i === 0 &&
        !keeps &&
        /galvanised|zinc|aluminium|magnesium|copper|stainless|glass/.test(part.substrate) &&
        s.familyId !== 'engine-enamel',
      'alkyd on the wrong metal',
    );
    bad(
      me[1] === 'base' && !paint.slice(i + 1).some((x) => x.familyId === 'clear-2k'),
      'metallic without clear',
    );
    bad(me[1] === 'heat' && part.heatC !== null && part.heatC < 150, 'heat finish where it stays cold');
  });
  const top = BOOK[paint[paint.length - 1]?.familyId ?? ''];
  bad(
    top !== undefined && ['etch', 'zinc', 'surfacer', 'base'].includes(top[1]),
    'the last coat is no last coat',
  );
  bad(
    top !== undefined && !top[3] && part.concealed !== 'yes' && part.sun !== 'no' && open === Infinity,
    'chalks in the sun',
  );
  return faults;
}
