import type { PartKind } from './kinds.ts';
import { blankSurvey, USUAL_FIELDS, type Feature, type Survey, type UsualField } from './survey.ts';

type Usual = Partial<Pick<Survey, UsualField>>;
const COLD: Usual = { heatC: 60 };
/** One plain piece of metal, by itself: nothing inside it, nothing of another metal, nothing stuck on. */
const PIECE: Usual = {
  ...COLD,
  assembled: 'no',
  otherMetal: null,
  glue: 'no',
  fuel: 'no',
  chips: 'no',
  concealed: 'no',
};
const piece = (thicknessMm: number | null, features: readonly Feature[], over: Usual = {}): Usual => ({
  ...PIECE,
  ...(thicknessMm === null ? {} : { thicknessMm }),
  features,
  ...over,
});
const unit = (heatC: number, features: readonly Feature[], over: Usual = {}): Usual => ({
  assembled: 'yes',
  heatC,
  fuel: 'yes',
  concealed: 'no',
  features,
  ...over,
});

/** What is usual for a kind (common practice, no published source). Each answer stands until somebody looks. */
const USUAL: Readonly<Record<PartKind, Usual>> = {
  'frame-plate': piece(10, ['welds-rivets', 'bolted-joints']),
  'rough-casting': piece(12, []),
  'machined-casting': piece(10, ['machined', 'bores']),
  bracket: piece(6, ['welds-rivets', 'bolted-joints']),
  'sheet-panel': piece(1, ['thin-edges']),
  'thin-trim': piece(0.8, ['thin-edges']),
  cladding: piece(1.2, ['thin-edges'], { concealed: 'no' }),
  fasteners: piece(null, ['threads']),
  spring: piece(8, []),
  'shaft-pin-rod': piece(null, ['machined']),
  'tube-frame': piece(1.6, ['welds-rivets', 'internals']),
  'chassis-rail': piece(3, ['welds-rivets', 'box-section'], { chips: 'yes' }),
  'water-tank': piece(4, ['welds-rivets', 'internals']),
  'fuel-tank': piece(1, ['seams', 'internals'], { fuel: 'yes' }),
  boiler: piece(10, ['welds-rivets', 'internals', 'drains-ports'], { heatC: 200 }),
  'smokebox-exhaust': piece(4, [], { heatC: 400 }),
  'engine-assembled': unit(110, ['machined', 'seals', 'oilways']),
  'engine-casting': piece(8, ['machined', 'bores', 'threads', 'oilways'], { heatC: 110, fuel: 'yes' }),
  'gearbox-axle': unit(90, ['machined', 'seals', 'oilways']),
  radiator: unit(110, ['solder', 'seams'], { fuel: 'no' }),
  'aircraft-skin': piece(0.8, ['welds-rivets', 'seams']),
  'control-surface': piece(0.6, ['welds-rivets', 'seams']),
  'float-hull': piece(1, ['welds-rivets', 'seams', 'internals']),
  'diecast-fitting': piece(3, []),
  'brass-fitting': piece(3, ['threads']),
  'galvanised-sheet': piece(1, ['thin-edges']),
  fairing: piece(2, ['thin-edges']),
  'wheel-brake': piece(4, ['machined', 'close-fit'], { chips: 'yes' }),
  'timber-panel': { ...COLD, assembled: 'no', fuel: 'no', chips: 'no', concealed: 'no', features: ['seams'] },
  'bed-slide': piece(20, ['machined', 'wear-face'], { fuel: 'yes' }),
  unknown: {},
};

const isOpen = (s: Survey, f: UsualField): boolean => {
  const v = s[f];
  if (f === 'otherMetal') return v === 'unknown';
  return v === null || v === 'unknown' || (Array.isArray(v) && v.length === 0);
};

/**
 * The survey with its kind set and what is usual for that kind filled in where nothing was said, each noted as usual. What an
 * earlier kind had filled in, and nobody looked at, goes. What can hurt a person (lagging, lead, hardness, fuel that was in it,
 * what happens if it fails) never comes from a kind. Pure.
 */
export function withKind(s: Survey, kind: PartKind): Survey {
  const blank = blankSurvey(s.substrate);
  const cleared: Survey = {
    ...s,
    ...Object.fromEntries(s.usual.map((f) => [f, blank[f]])),
    kind,
    usual: [],
  };
  const usual = USUAL[kind];
  const filled = USUAL_FIELDS.filter((f) => usual[f] !== undefined && isOpen(cleared, f));
  return { ...cleared, ...Object.fromEntries(filled.map((f) => [f, usual[f]])), usual: filled };
}

/** The survey with answers somebody gave: what was usual there is looked at now. A kind brings what is usual for it. */
export function answered(s: Survey, patch: Partial<Survey>): Survey {
  const { kind, ...rest } = patch;
  const base = kind === undefined ? s : withKind(s, kind);
  const next = { ...base, ...rest };
  return { ...next, usual: next.usual.filter((f) => !(f in rest)) };
}
