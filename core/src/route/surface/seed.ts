import { recent } from '../../base/recent.ts';
import { isCasting } from '../../part/substrate.ts';
import type { Survey } from '../../part/survey.ts';
import { isFerrous, metalOf } from '../../products/traits.ts';
import { MATTERS, PRESENT, TRACES, type Matter } from './matter.ts';
import type { Surface } from './state.ts';

/** Rust by grade, in sixteenths (ISO 8501-1 grades in amounts: common practice). Unknown counts as the worst. */
const RUST: Readonly<Record<Survey['rust'], readonly [loose: number, tight: number, pits: number]>> = {
  none: [0, 0, 0],
  A: [TRACES, 0, 0],
  B: [PRESENT, PRESENT, 0],
  C: [PRESENT, PRESENT, 0],
  D: [PRESENT, PRESENT, PRESENT],
  unknown: [PRESENT, PRESENT, PRESENT],
};
/** Pits as seen, before what the grade says; a pitted grade without pits is a contradiction, and counts as pitted. */
function pitsOf(s: Survey, byGrade: number): number {
  switch (s.pits) {
    case 'light':
      return TRACES;
    case 'deep':
      return PRESENT;
    case 'none':
      return s.rust === 'D' ? PRESENT : 0;
    case 'unknown':
      return byGrade;
  }
}

/** Mill scale is on rolled steel only; where it was not looked for, grades A and B have it. */
function scaleOf(s: Survey): number {
  if (metalOf(s.substrate) !== 'steel' || isCasting(s.substrate) || s.scale === 'no') return 0;
  if (s.scale === 'yes') return PRESENT;
  return s.rust === 'A' || s.rust === 'B' || s.rust === 'unknown' ? PRESENT : 0;
}

/** Sound and loose old paint: what is not known may be either. */
function paintOf(s: Survey): readonly [sound: number, loose: number] {
  switch (s.coating) {
    case 'none':
      return [0, 0];
    case 'sound':
      return [PRESENT, 0];
    case 'partly': {
      const sound = Math.round(PRESENT * (s.soundShare ?? 0.5));
      return [sound, PRESENT - sound];
    }
    case 'unsound':
      return [0, PRESENT];
    case 'unknown':
      return [PRESENT, PRESENT];
  }
}

/** Porous castings drink oil; where it was not looked for, they have. */
export const isSoaked = (s: Survey): boolean =>
  isCasting(s.substrate) && (s.oil === 'soaked' || s.oil === 'unknown');

const OXIDES: readonly string[] = ['aluminium', 'zinc', 'copper', 'magnesium'];

/** What the survey says stands on the part, at worst where it does not say. One object for one survey, so that walks are shared. */
export const seedSurface = recent(seeded);

function seeded(s: Survey): Surface {
  const ferrous = isFerrous(metalOf(s.substrate));
  const [loose, tight, pits] = ferrous ? RUST[s.rust] : [0, 0, 0];
  const [sound, flaking] = paintOf(s);
  const isTarry = s.coatKind === 'bitumen' && s.coating !== 'none';
  const has = (x: Survey['alsoOn'][number]): number => (s.alsoOn.includes(x) ? PRESENT : 0);
  const known = (a: Survey['glue']): number => (a === 'no' ? 0 : PRESENT);
  const amounts: Partial<Record<Matter, number>> = {
    oil: s.oil === 'none' ? 0 : PRESENT,
    'soaked-oil': isSoaked(s) ? PRESENT : 0,
    wax: has('wax'),
    silicone: has('silicone'),
    glue: known(s.glue),
    salts: ferrous && s.rust !== 'none' ? known(s.salt) : 0,
    'loose-rust': loose,
    'tight-rust': tight,
    'pit-rust': ferrous ? pitsOf(s, pits) : 0,
    scale: scaleOf(s),
    'sound-paint': isTarry ? 0 : sound,
    'loose-paint': isTarry ? 0 : flaking,
    underseal: isTarry || s.alsoOn.includes('underseal') ? PRESENT : 0,
    tar: has('tar'),
    'old-filler': s.coating === 'none' ? 0 : known(s.oldFiller),
    phosphate: ferrous ? known(s.phosphated) : 0,
    oxide: OXIDES.includes(metalOf(s.substrate)) ? PRESENT : 0,
    'white-corrosion': has('white-corrosion'),
    verdigris: has('verdigris'),
    soot: has('soot'),
  };
  return {
    amounts: MATTERS.map((m) => amounts[m] ?? 0),
    clean: 0,
    isPickled: false,
    profileUm: null,
    isBurnished: false,
    isKeyed: false,
    isSwept: false,
    isConverted: false,
    done: [],
  };
}
