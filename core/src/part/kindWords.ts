import { METALS_OF_KIND } from './kindFacts.ts';
import { PART_KINDS, type PartKind } from './kinds.ts';
import type { Substrate } from './substrate.ts';

/** What people call parts, in small letters (common practice, no published source): the beginning of a word is enough. */
const WORDS: Readonly<Record<PartKind, readonly string[]>> = {
  'frame-plate': [
    'frame',
    'main frame',
    'plate',
    'buffer beam',
    'drag box',
    'bunker',
    'stretcher',
    'footplate',
    'running plate',
    'headstock',
    'ashpan',
    'bulkhead',
  ],
  'rough-casting': [
    'casting',
    'cast bracket',
    'base',
    'base plate',
    'pedestal',
    'saddle',
    'counterweight',
    'bend',
    'track frame',
    'sprocket',
    'idler',
    'roller',
    'radiator shell',
    'column',
    'foot',
  ],
  'machined-casting': [
    'horn guide',
    'horn',
    'axlebox',
    'bearing housing',
    'housing',
    'flange',
    'pump body',
    'impeller',
    'volute',
    'flywheel',
    'pulley',
    'chuck',
    'headstock casting',
    'tailstock',
    'cover',
  ],
  bracket: [
    'bracket',
    'hanger',
    'mount',
    'body mount',
    'cross member',
    'iron',
    'stay',
    'step',
    'drawbar',
    'lug',
    'clip',
    'strap',
    'battery tray',
    'toolbox',
    'hinge',
  ],
  'sheet-panel': [
    'mudguard',
    'fender',
    'wing',
    'bonnet',
    'hood',
    'door',
    'panel',
    'cab side',
    'cab roof',
    'roof',
    'dome',
    'seat',
    'seat pan',
    'tool box',
    'floor',
    'tin',
    'valance',
    'guard',
    'lid',
  ],
  'thin-trim': [
    'trim',
    'moulding',
    'bead',
    'beading',
    'handrail',
    'rail',
    'strip',
    'badge',
    'bezel',
    'bumper',
  ],
  cladding: ['cladding', 'cleading', 'lagging sheet', 'jacket', 'shroud', 'clothing'],
  fasteners: ['bolt', 'nut', 'screw', 'washer', 'stud', 'rivet', 'split pin', 'fastener', 'fixing'],
  spring: ['spring', 'leaf', 'coil', 'torsion bar'],
  'shaft-pin-rod': [
    'shaft',
    'pin',
    'rod',
    'push rod',
    'connecting rod',
    'crank',
    'crankshaft',
    'camshaft',
    'spindle',
    'lead screw',
    'motion',
    'link',
    'half shaft',
    'track rod',
  ],
  'tube-frame': [
    'tube',
    'tubular',
    'fork',
    'bicycle',
    'motorcycle frame',
    'fuselage',
    'engine bearer',
    'roll bar',
    'undercarriage leg',
  ],
  'chassis-rail': [
    'chassis',
    'chassis rail',
    'box section',
    'sill',
    'outrigger',
    'sole bar',
    'solebar',
    'girder',
    'subframe',
    'axle beam',
  ],
  'water-tank': ['water tank', 'saddle tank', 'side tank', 'tender', 'header tank', 'cistern', 'trough'],
  'fuel-tank': ['fuel tank', 'petrol tank', 'diesel tank', 'gas tank', 'oil tank', 'tank'],
  boiler: ['boiler', 'receiver', 'air receiver', 'pressure vessel', 'firebox', 'steam drum', 'injector'],
  'smokebox-exhaust': [
    'smokebox',
    'exhaust',
    'manifold',
    'chimney',
    'silencer',
    'muffler',
    'stove',
    'flue',
    'heat shield',
    'downpipe',
  ],
  'engine-assembled': [
    'engine',
    'motor',
    'compressor',
    'generator',
    'dynamo',
    'magneto',
    'pump set',
    'starter',
  ],
  'engine-casting': [
    'crankcase',
    'cylinder',
    'cylinder block',
    'block',
    'cylinder head',
    'head',
    'sump',
    'rocker cover',
    'timing cover',
    'governor',
    'water jacket',
    'barrel',
  ],
  'gearbox-axle': [
    'gearbox',
    'axle',
    'rear axle',
    'differential',
    'transfer box',
    'final drive',
    'steering box',
    'bogie',
    'reduction gear',
    'worm',
  ],
  radiator: ['radiator', 'cooler', 'oil cooler', 'intercooler', 'condenser', 'fin tube', 'heater matrix'],
  'aircraft-skin': [
    'skin',
    'wing skin',
    'cowling',
    'tailplane',
    'fin',
    'strut',
    'strut fairing',
    'engine cowling',
    'airframe',
  ],
  'control-surface': ['aileron', 'elevator', 'rudder', 'flap', 'trim tab', 'control surface'],
  'float-hull': ['float', 'hull', 'boat', 'pontoon', 'hatch cover', 'keel'],
  'diecast-fitting': [
    'carburettor',
    'carburetor',
    'die-cast',
    'diecast',
    'door handle',
    'handle',
    'mascot',
    'lamp body',
    'fuel pump',
    'instrument case',
  ],
  'brass-fitting': [
    'brass',
    'bronze',
    'tap',
    'cock',
    'valve',
    'lubricator',
    'gauge',
    'whistle',
    'safety valve',
    'union',
    'nameplate',
    'bush',
  ],
  'galvanised-sheet': ['galvanised', 'galvanized', 'corrugated', 'galv', 'bin', 'gutter', 'bumper iron'],
  fairing: ['fairing', 'spat', 'spinner', 'glass-fibre', 'fibreglass', 'moulded', 'nose cone'],
  'wheel-brake': [
    'wheel',
    'brake',
    'brake drum',
    'drum',
    'disc',
    'caliper',
    'hub',
    'rim',
    'brake shoe',
    'tyre',
  ],
  'timber-panel': ['timber', 'wood', 'wooden', 'plank', 'coach panel', 'carriage panel', 'ash frame'],
  'bed-slide': [
    'bed',
    'lathe bed',
    'slide',
    'way',
    'saddle slide',
    'cross slide',
    'table',
    'knee',
    'anvil',
    'surface plate',
  ],
  unknown: [],
};

const clean = (text: string): string =>
  ` ${text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `;
/** How well a word is meant, by its length in letters; 0: not at all. Each of its words begins a word of the text, in order. */
function fits(text: string, word: string): number {
  const wanted = clean(word).trimEnd();
  return text.includes(wanted) ? wanted.length : 0;
}
const isPossible = (kind: PartKind, substrate: Substrate | null): boolean =>
  substrate === null || (METALS_OF_KIND[kind]?.includes(substrate) ?? true);

/**
 * Kinds that a name or a search may mean, the longest word that fits first: “Chassis rail, left”, “mudguard”, “crank”. Of a
 * metal, where it is known: a kind that is never made of it is not offered. `names`: what the kinds are called on the screen. Pure.
 */
export function kindsFor(
  text: string,
  substrate: Substrate | null = null,
  names: Readonly<Partial<Record<PartKind, string>>> = {},
): PartKind[] {
  const said = clean(text);
  if (said.trim() === '') return [];
  return PART_KINDS.filter((k) => isPossible(k, substrate))
    .map((kind) => {
      const words = [...WORDS[kind], ...(names[kind] === undefined ? [] : [names[kind]])];
      // Typed so far: “mudg” means a mudguard as well.
      const begun = words.some((w) => clean(w).includes(said.trimEnd())) ? said.trim().length : 0;
      return { kind, rank: Math.max(begun, ...words.map((w) => fits(said, w))) };
    })
    .filter((x) => x.rank > 0)
    .sort((a, b) => b.rank - a.rank)
    .map((x) => x.kind);
}

/** Kinds usual for a metal, where a name says nothing: the ones a workshop sees most (common practice). */
const OFTEN: readonly PartKind[] = [
  'bracket',
  'sheet-panel',
  'frame-plate',
  'rough-casting',
  'engine-casting',
  'chassis-rail',
  'wheel-brake',
  'fasteners',
  'shaft-pin-rod',
];
const OF_METAL: Readonly<Partial<Record<Substrate, readonly PartKind[]>>> = {
  'steel-sheet': ['sheet-panel', 'fuel-tank', 'wheel-brake', 'cladding'],
  'steel-plate': ['frame-plate', 'bracket', 'chassis-rail', 'water-tank'],
  'grey-iron': ['rough-casting', 'machined-casting', 'engine-casting', 'bed-slide'],
  'ductile-iron': ['machined-casting', 'rough-casting', 'engine-casting'],
  'cast-steel': ['rough-casting', 'machined-casting'],
  'aluminium-wrought': ['aircraft-skin', 'control-surface', 'sheet-panel', 'float-hull'],
  'aluminium-cast': ['engine-casting', 'machined-casting', 'gearbox-axle'],
  magnesium: ['engine-casting', 'gearbox-axle', 'wheel-brake'],
};
/** The kinds to offer first: what its name says, then what its metal usually is; each once, the likeliest first. */
export function likelyKinds(name: string, substrate: Substrate): PartKind[] {
  const only = PART_KINDS.filter(
    (k) => METALS_OF_KIND[k]?.includes(substrate) && METALS_OF_KIND[k].length === 1,
  );
  const all = [...kindsFor(name, substrate), ...only, ...(OF_METAL[substrate] ?? []), ...OFTEN];
  return [...new Set(all)].filter((k) => isPossible(k, substrate));
}
