/**
 * The independent checker's own walk over the surface, for tests only: its own copy of tables 2 and 3 of docs/surface.md,
 * kept as lines of text and fractions, and its own way of reading a survey. It shares no code and no data with the rules.
 */
export interface Part {
  readonly substrate: string;
  readonly kind: string;
  readonly thicknessMm: number | null;
  readonly massKg: number | null;
  readonly rust: string;
  readonly pits: string;
  readonly scale: string;
  readonly oil: string;
  readonly salt: string;
  readonly glue: string;
  readonly coating: string;
  readonly coatKind: string;
  readonly soundShare: number | null;
  readonly solventRub: string;
  readonly legacy: string;
  readonly phosphated: string;
  readonly oldFiller: string;
  readonly plating: string;
  readonly alsoOn: readonly string[];
  readonly tooBigFor: readonly string[];
  readonly seamsRinse: string;
  readonly features: readonly string[];
  readonly criticality: readonly string[];
  readonly hardened: string;
  readonly assembled: string;
  readonly category: string;
  readonly fluids: readonly string[];
  readonly heatC: number | null;
}
export interface Step {
  readonly kind: string;
  readonly what?: string;
  readonly familyId?: string;
  readonly coats: number;
  readonly dftUm: number | null;
  readonly tool?: string;
  readonly policy?: string;
  readonly waitHours: number;
  readonly gate?: { readonly field: string; readonly passes: readonly string[] };
}

export const IRON = [
  'grey-iron',
  'ductile-iron',
  'cast-steel',
  'steel-plate',
  'steel-sheet',
  'timber-backed-steel',
];
const STEEL = IRON.slice(2);
export const CAST = [
  'grey-iron',
  'ductile-iron',
  'cast-steel',
  'aluminium-cast',
  'magnesium',
  'zinc-diecast',
];
const LIGHT = /aluminium/;

/**
 * Table 2 in lines: what an act takes as a share of what is there; `!` marks what a repeat takes again; then what it leaves:
 * a grade, a profile in µm, `dust`, `wet`, `chem`; what other metals get of it.
 */
const TABLE_2 = `
grit-blast: paint 1 1 | loose 1 tight 1 pits 1 scale 1 filler 1 phosphate 1 oxide 1 white 1 verdigris 1 soot 1 tar 1 | Sa2.5 40-75 dust
fine-blast: paint 1 1 | loose 1 tight 1 pits 1 scale 1 filler 1 phosphate 1 oxide 1 white 1 verdigris 1 soot 1 tar 1 | Sa2.5 15-40 dust swept
spot-blast: paint 1 1 | loose 1 tight 1 pits 1 scale .5 filler 1 phosphate 1 oxide 1 white 1 verdigris 1 soot 1 tar 1 | Sa2.5 15-40 dust
bead-blast: paint 1 .5 | loose 1 tight AB pits .5 filler 1 phosphate 1 oxide 1 white 1 verdigris 1 soot 1 | Sa2 5-15 dust swept
vapour-blast: paint 1 .5 | oil .5 loose 1 tight 1 pits .5 oxide 1 white 1 verdigris 1 soot 1 | Sa2 wet
sweep: | white 1 oxide 1 | dust swept
plastic-media: paint 1 1 | loose .5 soot 1 | dust
dry-ice: paint .25 .25 | oil 1 glue .5 soot 1 wax 1 | wet
rotary-bristle: paint 1 .5 | loose 1 tight 1 pits .5 scale 1 filler 1 phosphate 1 soot 1 | Sa2 40-75 dust
needle-gun: paint 1 .5 | loose 1 tight 1 pits .5 scale 1 filler 1 soot 1 | St3 10-25 dust
wire-wheel: paint .5 .5 | loose 1 tight .5 soot 1 | St3 burnished dust
disc: paint 1 1 | loose 1 tight FLAT scale .5 filler 1 phosphate 1 oxide .75 white 1 verdigris 1 soot 1 | St3 10-25 dust keyed
spot-disc: paint 0 0 | loose 1 tight FLAT oxide .75 white 1 verdigris 1 | St3 10-25 dust
spot-wet: paint 0 0 | loose 1 tight .5 oxide .75 white 1 verdigris 1 | St2 wet
hand: paint 1! .5! | glue .5 loose 1 tight .5! white 1 verdigris 1 oxide .75 filler .5! phosphate .5! soot .5! | St2 10-25 dust keyed
scrape: | glue 1 underseal 1! tar 1! wax .5 |
chelating-bath: | loose 1 tight 1 pits 1 phosphate 1 | Be wet chem
citric-bath: | loose 1 tight 1 pits 1 scale .5 phosphate 1 | Be wet chem
electrolysis: paint .5 0 | oil .5 loose 1 tight 1 pits .5 scale .5 | Be wet chem
hot-caustic: paint 1 .5 | oil 1 soaked 1 glue .5 underseal 1 soot 1 wax 1 | wet chem
solvent-stripper: paint 1! .75! | oil .5 glue 1 underseal .5! | chem
heat-gun: paint 1 .5 | glue .5 underseal 1 filler 1 |
pad: | oxide 1 white 1 | dust keyed
phosphate: | loose 1 tight .5! pits .5! | film wet chem
conversion: | oxide 1 white .5 | wet chem converted
t-wash: | oxide 1 | wet chem converted`;

interface Row {
  readonly paint: readonly [number, number];
  readonly again: boolean;
  readonly takes: Readonly<Record<string, readonly [share: string, again: boolean]>>;
  readonly leaves: readonly string[];
}
const ROWS = new Map<string, Row>(
  TABLE_2.trim()
    .split('\n')
    .map((line): [string, Row] => {
      const [id, rest] = line.split(':') as [string, string];
      const [paint, takes, leaves] = rest.split('|').map((x) => x.trim()) as [string, string, string];
      const shares = paint === '' ? ['0', '0'] : paint.replace('paint ', '').split(' ');
      const words = takes.split(' ').filter(Boolean);
      const table: Record<string, readonly [string, boolean]> = {};
      for (let i = 0; i < words.length; i += 2)
        table[words[i]!] = [words[i + 1]!.replace('!', ''), words[i + 1]!.endsWith('!')];
      return [
        id,
        {
          paint: [parseFloat(shares[0]!), parseFloat(shares[1]!)],
          again: paint.includes('!'),
          takes: table,
          leaves: leaves.split(' ').filter(Boolean),
        },
      ];
    }),
);
/** Whether an act throws dust or fume. */
export const MAKES_DUST = [
  'grit-blast',
  'fine-blast',
  'spot-blast',
  'bead-blast',
  'sweep',
  'plastic-media',
  'rotary-bristle',
  'needle-gun',
  'wire-wheel',
  'disc',
  'spot-disc',
  'hand',
  'heat-gun',
];

/** The face of the metal as the checker keeps it: fractions of what was there. */
export interface Face {
  stuff: Record<string, number>;
  grade: number;
  pickled: boolean;
  profile: [number, number] | null;
  burnished: boolean;
  held: Set<string>;
  did: Set<string>;
}
const GRADES = ['', 'St2', 'St3', 'Sa2', 'Sa2.5'];

/** What the survey says is on it; at worst where it does not say. */
export function faceOf(p: Part): Face {
  const iron = IRON.includes(p.substrate);
  const yes = (a: string): number => (a === 'no' ? 0 : 1);
  const bad = p.rust === 'unknown';
  const painted = p.coating !== 'none' && p.coatKind !== 'bitumen';
  const share = { sound: 1, partly: p.soundShare ?? 0.5, unsound: 0, unknown: 1, none: 0 }[p.coating] ?? 0;
  const sound = painted ? Math.round(share * 16) / 16 : 0;
  const pits =
    { none: p.rust === 'D' ? 1 : 0, light: 0.25, deep: 1 }[p.pits] ?? (p.rust === 'D' || bad ? 1 : 0);
  const rolled = STEEL.includes(p.substrate) && p.substrate !== 'cast-steel';
  const scale =
    !rolled && p.substrate !== 'timber-backed-steel'
      ? 0
      : p.scale === 'yes'
        ? 1
        : p.scale === 'unknown' && (['A', 'B'].includes(p.rust) || bad)
          ? 1
          : 0;
  const on = (x: string): number => (p.alsoOn.includes(x) ? 1 : 0);
  return {
    stuff: {
      oil: p.oil === 'none' ? 0 : 1,
      soaked: CAST.includes(p.substrate) && ['soaked', 'unknown'].includes(p.oil) ? 1 : 0,
      wax: on('wax'),
      silicone: on('silicone'),
      glue: yes(p.glue),
      salts: iron && p.rust !== 'none' ? yes(p.salt) : 0,
      loose: !iron || p.rust === 'none' ? 0 : p.rust === 'A' ? 0.25 : 1,
      tight: !iron || p.rust === 'none' || p.rust === 'A' ? 0 : 1,
      pits: iron ? pits : 0,
      scale,
      sound,
      flaking: painted ? (p.coating === 'unknown' ? 1 : 1 - sound) : 0,
      underseal: (p.coating !== 'none' && p.coatKind === 'bitumen') || on('underseal') ? 1 : 0,
      tar: on('tar'),
      filler: p.coating === 'none' ? 0 : yes(p.oldFiller),
      phosphate: iron ? yes(p.phosphated) : 0,
      oxide: /aluminium|magnesium|galvanised|zinc|copper/.test(p.substrate) ? 1 : 0,
      white: on('white-corrosion'),
      verdigris: on('verdigris'),
      soot: on('soot'),
      dust: 0,
      chem: 0,
      wet: 0,
    },
    grade: 0,
    pickled: false,
    profile: null,
    burnished: false,
    held: new Set(),
    did: new Set(),
  };
}

/** A sixteenth is the least that is told apart; halves never vanish. */
const left = (x: number, share: number): number => Math.ceil(Math.round(x * (1 - share) * 256) / 16) / 16;
const off = (f: Face, ...what: string[]): void => what.forEach((w) => (f.stuff[w] = 0));
const less = (f: Face, what: string, share: number): void =>
  void (f.stuff[what] = left(f.stuff[what] ?? 0, share));

function act(f: Face, p: Part, id: string): void {
  const row = ROWS.get(id);
  if (!row) return;
  const again = f.did.has(id);
  f.did.add(id);
  for (const [what, [share, repeats]] of Object.entries(row.takes)) {
    if (again && !repeats) continue;
    const s =
      share === 'AB'
        ? ['A', 'B'].includes(p.rust)
          ? 1
          : 0.5
        : share === 'FLAT'
          ? CAST.includes(p.substrate)
            ? 0.5
            : 1
          : parseFloat(share);
    less(f, what, s);
  }
  if (!again || row.again) takePaint(f, p, id, row);
  for (const l of row.leaves) leave(f, l);
}

/** Sound and flaking paint by its kind; the kind not known counts as the worst of three. */
function takePaint(f: Face, p: Part, id: string, row: Row): void {
  const [one, two] = row.paint;
  const hasPaint = one > 0 || two > 0 || id.startsWith('spot-');
  if (!hasPaint) return;
  const flaking = (sound: number, kind: string): number => {
    if (id === 'electrolysis') return kind === 'one-pack' ? 0.5 : 0;
    if (id === 'solvent-stripper') return kind === 'one-pack' ? 1 : 0.75;
    if (['wire-wheel', 'dry-ice', 'spot-disc', 'spot-wet'].includes(id)) return 1;
    return kind === 'one-pack' ? 1 : sound === 0.5 ? 0.75 : 1;
  };
  const sound = (kind: string): number =>
    kind === 'one-pack' ? one : kind === 'powder' && id === 'solvent-stripper' ? 0.5 : two;
  const kinds =
    p.coatKind === 'unknown'
      ? ['one-pack', 'two-pack', 'powder']
      : p.coatKind === 'bitumen'
        ? []
        : [p.coatKind];
  if (kinds.length === 0) return;
  less(f, 'sound', Math.min(...kinds.map(sound)));
  less(f, 'flaking', Math.min(...kinds.map((k) => flaking(sound(k), k))));
}

function leave(f: Face, l: string): void {
  if (l === 'Be') f.pickled = true;
  else if (GRADES.includes(l)) f.grade = Math.max(f.grade, GRADES.indexOf(l));
  else if (/^\d+-\d+$/.test(l)) {
    f.profile = l.split('-').map(Number) as [number, number];
    f.burnished = false;
  } else if (l === 'burnished') {
    f.burnished = true;
    f.profile = null;
  } else if (l === 'dust' || l === 'wet' || l === 'chem') f.stuff[l] = 1;
  else if (l === 'film') f.stuff['phosphate'] = 1;
  else f.held.add(l);
}

/** One step, by the words of docs/surface.md 2. */
export function walkStep(f: Face, p: Part, s: Step): void {
  const iron = IRON.includes(p.substrate);
  switch (`${s.kind}:${s.what ?? ''}`) {
    case 'degrease:glue': {
      off(f, 'glue');
      return;
    }
    case 'degrease:warm-out': {
      off(f, 'oil', 'soaked', 'wax');
      return;
    }
    case 'abrade:key':
    case 'abrade:key-wet':
      less(f, 'loose', 0.5);
      less(f, 'oxide', 0.75);
      less(f, 'white', 0.75);
      less(f, 'verdigris', 0.75);
      if (p.coatKind !== 'bitumen') less(f, 'flaking', 0.5);
      f.stuff['dust'] = 1;
      f.held.add('keyed');
      return;
    case 'wash:rinse':
      off(f, 'chem', 'dust');
      less(f, 'salts', 0.75);
      less(f, 'white', 0.5);
      f.stuff['wet'] = 1;
      return;
    case 'wash:steam':
      off(f, 'oil', 'wax', 'soot', 'salts', 'dust');
      less(f, 'soaked', 0.5);
      f.stuff['wet'] = 1;
      return;
    case 'wash:zinc-salts':
      off(f, 'white', 'dust');
      f.stuff['wet'] = 1;
      return;
    case 'wash:wipe':
      off(f, 'dust', 'oil');
      less(f, 'wax', 0.5);
      return;
    case 'refer:magnesium':
      off(f, 'oxide', 'white', 'sound', 'flaking', 'underseal', 'filler', 'soot', 'verdigris', 'tar');
      f.held.add('converted');
      return;
  }
  if (s.kind === 'degrease') {
    off(f, 'oil', 'wax', 'dust');
    less(f, 'soaked', 0.5);
    less(f, 'silicone', 0.5);
    less(f, 'glue', 0.5);
  } else if (s.kind === 'abrade') {
    off(f, 'loose');
    less(f, 'oxide', 0.75);
    f.stuff['dust'] = 1;
    f.held.add('keyed');
    f.burnished = false;
    if (iron) {
      f.grade = Math.max(f.grade, 1);
      f.profile ??= [10, 25];
    }
  } else if (s.kind === 'wash') off(f, 'dust');
  else if (s.kind === 'dry') off(f, 'wet');
  else if ((s.kind === 'strip' && s.what !== 'keep') || s.kind === 'pretreat') act(f, p, s.what ?? '');
}

/**
 * Table 3 in lines: least grade of iron and steel, profile, and what is tolerated: `~` as traces. `B`: by blasting, `Be` does
 * not serve. Families not named take their class's line.
 */
const TABLE_3 = `
epoxy: St3 10-75 oil~ soaked~ pits~ filler phosphate old
epoxy-mastic: St2 any oil~ soaked~ tight pits scale filler phosphate old
tank-lining: Sa2.5B 50-75 old
zinc: Sa2.5B 40-75
etch: St3 3-40
alkyd: St2 any oil~ soaked~ tight~ pits~ filler phosphate old
enamel: St3 any oil~ soaked~ filler phosphate old
engine-enamel: St3 any oil~ soaked~ filler phosphate old
heat-primer: St3 0-40 phosphate
oil: St2 any oil~ soaked~ tight pits filler phosphate old
moisture: St2 any oil~ soaked~ tight pits wet filler phosphate old
lacquer: St3 any oil~ soaked~ filler phosphate
base: St3 any oil~ soaked~ filler phosphate
water: St3 any oil~ soaked~ filler phosphate old
urethane: St3 any oil~ soaked~ filler phosphate
surfacer: St3 any oil~ soaked~ filler phosphate
polyester: St3 any oil~ soaked~ filler phosphate
heat: Sa2.5 10-30
powder: Sa2.5 0-60 phosphate
bitumen: St3 any oil~ soaked~ filler phosphate old`;
const ASKS = new Map(
  TABLE_3.trim()
    .split('\n')
    .map((line) => {
      const [id, rest] = line.split(': ') as [string, string];
      const [grade, profile, ...tolerates] = rest.split(' ') as [string, string, ...string[]];
      return [
        id,
        {
          grade: GRADES.indexOf(grade.replace('B', '')),
          blast: grade.endsWith('B'),
          profile: profile === 'any' ? null : (profile.split('-').map(Number) as [number, number]),
          tolerates,
        },
      ];
    }),
);

export interface First {
  readonly familyId: string;
  readonly family: string;
  /** A coat above it wants blasted steel. */
  readonly blastAbove: boolean;
}

/** What is wrong with the face under a first coat; the place not known counts as the harshest. */
export function wrongUnder(f: Face, p: Part, first: First, keeps: boolean): string[] {
  const ask = ASKS.get(first.familyId) ?? ASKS.get(first.family);
  if (!ask) return [`no such first coat: ${first.familyId}`];
  const iron = IRON.includes(p.substrate);
  const place = p.category === 'unknown' ? 'C5' : p.category;
  const wetPlace = place === 'immersed';
  const harsh = ['C4', 'C5', 'CX', 'immersed'].includes(place);
  const mild = ['C1', 'C2'].includes(place);
  const epoxy = first.family === 'epoxy';
  const out: string[] = [];
  const may = (what: string): number => {
    if (what === 'oxide' || what === 'silicone') return 0.25;
    if (what === 'salts') return wetPlace ? 1 / 16 : 0.25;
    if (what === 'phosphate') return ask.tolerates.includes('phosphate') ? 1 : 1 / 16;
    if (what === 'filler') return ask.tolerates.includes('filler') && !wetPlace ? 1 : 1 / 16;
    if (what === 'sound') return keeps && ask.tolerates.includes('old') && !wetPlace ? 1 : 1 / 16;
    if (what === 'scale' && keeps && p.coating !== 'none') return 1;
    if (wetPlace) return 1 / 16;
    const full = ask.tolerates.includes(what);
    const traces = ask.tolerates.includes(`${what}~`);
    if (what === 'scale') return mild && full ? 1 : 1 / 16;
    if (what === 'pits' && epoxy && harsh) return full ? 0.25 : 1 / 16;
    return full ? 1 : traces ? 0.25 : 1 / 16;
  };
  for (const [what, x] of Object.entries(f.stuff)) if (x > may(what) + 1e-9) out.push(`${what} stands`);
  if (iron && !keeps) {
    const blast = ask.blast || first.blastAbove || wetPlace;
    let grade = ask.grade;
    if (first.family === 'heat' && p.heatC !== null && p.heatC <= 250) grade = Math.min(grade, 2);
    if (epoxy && !mild) grade = Math.max(grade, 2);
    if (blast) grade = 4;
    const served =
      f.pickled &&
      !blast &&
      first.familyId !== 'zinc-silicate' &&
      first.family !== 'heat' &&
      f.held.has('keyed');
    if (f.burnished) out.push('burnished');
    if (f.grade < grade && !served) out.push('not clean enough');
    if (ask.profile && !served) {
      const meets = f.profile
        ? Math.max(f.profile[0], ask.profile[0]) <= Math.min(f.profile[1], ask.profile[1])
        : ask.profile[0] === 0;
      if (!meets) out.push('wrong profile');
    }
  }
  if ((keeps || !iron) && f.held.size === 0) out.push('no key');
  if (
    wetPlace &&
    LIGHT.test(p.substrate) &&
    !keeps &&
    !(f.held.has('converted') && (f.held.has('keyed') || f.held.has('swept')))
  )
    out.push('not converted');
  return out;
}

/** The roughness that the blaster aims at, µm; null: not blasted to Sa 2½. */
export function aimedUm(f: Face, first: First): number | null {
  const ask = ASKS.get(first.familyId) ?? ASKS.get(first.family);
  if (f.grade < 4 || !f.profile || !ask) return null;
  return ask.profile ? Math.max(f.profile[0], ask.profile[0]) : f.profile[0];
}

/** What must be off before an act, above traces. */
const BEFORE: Readonly<Record<string, readonly string[]>> = {
  'chelating-bath': ['oil', 'wax', 'glue', 'sound', 'flaking', 'underseal', 'tar'],
  'citric-bath': ['oil', 'wax', 'glue', 'sound', 'flaking', 'underseal', 'tar'],
  phosphate: ['oil', 'wax', 'glue', 'flaking', 'underseal'],
  conversion: ['oil', 'wax', 'glue', 'flaking', 'sound'],
  't-wash': ['oil', 'wax', 'glue', 'flaking', 'sound'],
};
const MEDIA = [
  'grit-blast',
  'fine-blast',
  'spot-blast',
  'bead-blast',
  'sweep',
  'plastic-media',
  'rotary-bristle',
];
export function inTheWay(f: Face, id: string): string[] {
  const must = MEDIA.includes(id) ? ['oil', 'glue', 'wax', 'underseal'] : (BEFORE[id] ?? []);
  return must.filter((m) => (f.stuff[m] ?? 0) > 0.25);
}

/** What an act must never meet on this part: table 2, last column. */
export function harmOf(p: Part, id: string): string[] {
  const out: string[] = [];
  const bad = (yes: boolean, why: string): void => {
    if (yes) out.push(`${id}: ${why}`);
  };
  const iron = IRON.includes(p.substrate);
  const steel = STEEL.includes(p.substrate);
  const galvanised = p.substrate === 'galvanised';
  const zinc = galvanised || p.substrate === 'zinc-diecast';
  const has = (...f: string[]): boolean => f.some((x) => p.features.includes(x));
  const isBlast = [
    'grit-blast',
    'fine-blast',
    'spot-blast',
    'bead-blast',
    'vapour-blast',
    'sweep',
    'plastic-media',
  ].includes(id);
  const isBath = ['chelating-bath', 'citric-bath', 'electrolysis'].includes(id);
  const stiff =
    CAST.includes(p.substrate) ||
    [
      'rough-casting',
      'machined-casting',
      'bracket',
      'tube-frame',
      'chassis-rail',
      'engine-casting',
      'engine-assembled',
      'gearbox-axle',
      'shaft-pin-rod',
      'wheel-brake',
    ].includes(p.kind);
  const least: Readonly<Record<string, readonly [number, number]>> = {
    'grit-blast': [3, 2],
    'fine-blast': [2, 0.9],
    'spot-blast': [0.8, 0.8],
    'bead-blast': [1.5, 0.8],
    'vapour-blast': [1, 0.8],
    'rotary-bristle': [1.5, 1.5],
    'needle-gun': [4, 4],
  };
  const mm = least[id];
  bad(
    mm !== undefined && (p.thicknessMm === null || p.thicknessMm < mm[stiff ? 1 : 0]),
    'too thin, or not measured',
  );
  bad(
    [
      'grit-blast',
      'spot-blast',
      'rotary-bristle',
      'needle-gun',
      'wire-wheel',
      'hot-caustic',
      'phosphate',
    ].includes(id) && !iron,
    'for iron and steel',
  );
  bad(isBath && (!iron || p.substrate === 'timber-backed-steel'), 'for bare iron and steel');
  bad(id === 'hot-caustic' && p.substrate === 'timber-backed-steel', 'timber behind it');
  bad(id === 'fine-blast' && (zinc || /magnesium|glass/.test(p.substrate)), 'wrong metal');
  bad(
    (id === 'bead-blast' || id === 'vapour-blast') && (galvanised || /magnesium|glass/.test(p.substrate)),
    'wrong metal',
  );
  bad((id === 'sweep' || id === 't-wash') && !galvanised, 'for zinc');
  bad(
    id === 'plastic-media' && !(steel || LIGHT.test(p.substrate) || p.substrate === 'stainless'),
    'wrong metal',
  );
  bad(id === 'pad' && !(LIGHT.test(p.substrate) || zinc), 'wrong metal');
  bad(id === 'conversion' && !LIGHT.test(p.substrate), 'for aluminium');
  bad(
    ['disc', 'spot-disc', 'spot-wet', 'hand', 'keep'].includes(id) && p.substrate === 'magnesium',
    'magnesium is not abraded',
  );
  bad(id === 'heat-gun' && (zinc || /magnesium|glass/.test(p.substrate)), 'no heat');
  bad(id === 'solvent-stripper' && p.substrate === 'glass-fibre', 'eats it');
  bad(galvanised && ['disc', 'dry-ice', 'heat-gun'].includes(id), 'takes the zinc');
  bad((isBlast || isBath || id === 'hot-caustic') && p.assembled !== 'no', 'assembled');
  bad(
    (isBath || id === 'hot-caustic' || id === 'heat-gun') && has('white-metal', 'solder'),
    'white metal in',
  );
  bad((isBlast || isBath || id === 'hot-caustic') && has('seals', 'glass', 'wiring'), 'seals in');
  bad(id === 'hot-caustic' && has('seams', 'box-section', 'bolted-joints'), 'lye in seams');
  bad(
    ['solvent-stripper', 'citric-bath', 'electrolysis'].includes(id) &&
      has('seams', 'box-section') &&
      p.seamsRinse !== 'yes',
    'not to be rinsed out',
  );
  const asked =
    ['spring', 'shaft-pin-rod', 'fasteners', 'gearbox-axle', 'unknown'].includes(p.kind) ||
    !['grey-iron', 'ductile-iron', 'steel-plate', 'steel-sheet', 'galvanised'].includes(p.substrate);
  const mayBeHard = steel && (p.hardened === 'yes' || (p.hardened === 'unknown' && asked));
  bad(
    ['citric-bath', 'electrolysis', 'phosphate'].includes(id) &&
      (mayBeHard || (steel && p.kind === 'spring')),
    'hydrogen',
  );
  bad(['needle-gun', 'rotary-bristle'].includes(id) && mayBeHard, 'peens hard steel');
  bad(
    p.kind === 'spring' && ['grit-blast', 'needle-gun', 'rotary-bristle', 'disc'].includes(id),
    'nicks a spring',
  );
  const skin =
    p.substrate === 'aluminium-wrought' &&
    (['aircraft-skin', 'control-surface'].includes(p.kind) ||
      p.criticality.some((c) => c === 'airworthy' || c === 'control-surface'));
  bad(
    skin && ['hand', 'spot-disc', 'disc', 'bead-blast', 'fine-blast', 'vapour-blast'].includes(id),
    'cuts the clad layer',
  );
  bad(
    p.substrate === 'aluminium-wrought' &&
      ['disc', 'bead-blast', 'fine-blast', 'vapour-blast'].includes(id) &&
      (p.thicknessMm === null || p.thicknessMm < 2),
    'cuts the clad layer',
  );
  bad(
    (p.plating === 'cadmium' || p.plating === 'unknown') &&
      (MAKES_DUST.includes(id) ||
        isBath ||
        ['phosphate', 'conversion', 't-wash', 'vapour-blast'].includes(id)),
    'cadmium',
  );
  bad(
    id === 'heat-gun' &&
      (p.criticality.includes('fuel') || (p.thicknessMm ?? (p.substrate === 'steel-sheet' ? 1 : 9)) < 1.2),
    'no heat here',
  );
  return out;
}
