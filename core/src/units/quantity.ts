import {
  M2_PER_FT2,
  M_PER_FT,
  KG_PER_LB,
  L_PER_IMP_GAL,
  L_PER_US_GAL,
  UM_PER_MIL,
  UM_PER_MM,
} from './factors.ts';

/** What a number measures. Each dimension has one inner unit: °C, K (difference), µm, m, m², L, kg, %. */
export type Dimension =
  | 'temperature'
  | 'temperatureDifference'
  | 'film'
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'percent';

/** A way of reading a written unit: inner = number · factor + offset. */
export interface UnitDefinition {
  readonly factor: number;
  readonly offset: number;
}

const plain = (factor: number): UnitDefinition => ({ factor, offset: 0 });
const fahrenheit: UnitDefinition = { factor: 5 / 9, offset: (-32 * 5) / 9 };

/** Written unit (lower case, no full stops) → definition, per dimension. Volumes that depend on the shop's system stand apart. */
export const UNITS: Readonly<Record<Dimension, Readonly<Record<string, UnitDefinition>>>> = {
  temperature: {
    c: plain(1),
    '°c': plain(1),
    degc: plain(1),
    f: fahrenheit,
    '°f': fahrenheit,
    degf: fahrenheit,
    k: { factor: 1, offset: -273.15 },
  },
  temperatureDifference: { k: plain(1), c: plain(1), '°c': plain(1), f: plain(5 / 9), '°f': plain(5 / 9) },
  film: {
    um: plain(1),
    µm: plain(1),
    μm: plain(1),
    micron: plain(1),
    microns: plain(1),
    mm: plain(UM_PER_MM),
    mil: plain(UM_PER_MIL),
    mils: plain(UM_PER_MIL),
    thou: plain(UM_PER_MIL),
  },
  length: {
    m: plain(1),
    mm: plain(0.001),
    cm: plain(0.01),
    ft: plain(M_PER_FT),
    in: plain(M_PER_FT / 12),
    '"': plain(M_PER_FT / 12),
  },
  area: {
    m2: plain(1),
    'm²': plain(1),
    cm2: plain(1e-4),
    'cm²': plain(1e-4),
    ft2: plain(M2_PER_FT2),
    'ft²': plain(M2_PER_FT2),
    sqft: plain(M2_PER_FT2),
  },
  volume: {
    l: plain(1),
    litre: plain(1),
    liter: plain(1),
    litres: plain(1),
    ml: plain(0.001),
    cl: plain(0.01),
    'us gal': plain(L_PER_US_GAL),
    'us qt': plain(L_PER_US_GAL / 4),
    'us pt': plain(L_PER_US_GAL / 8),
    'us fl oz': plain(L_PER_US_GAL / 128),
    'imp gal': plain(L_PER_IMP_GAL),
    'imp qt': plain(L_PER_IMP_GAL / 4),
    'imp pt': plain(L_PER_IMP_GAL / 8),
    'imp fl oz': plain(L_PER_IMP_GAL / 160),
  },
  mass: {
    kg: plain(1),
    g: plain(0.001),
    t: plain(1000),
    lb: plain(KG_PER_LB),
    lbs: plain(KG_PER_LB),
    oz: plain(KG_PER_LB / 16),
  },
  percent: { '%': plain(1), percent: plain(1) },
};

/** Which gallon a bare "gal", "qt", "pt" or "fl oz" means. */
export type VolumeSystem = 'us' | 'imperial';

export function unitFor(
  dimension: Dimension,
  written: string,
  volumeSystem: VolumeSystem,
): UnitDefinition | null {
  const key = written.toLowerCase().replaceAll('.', '').replace(/\s+/g, ' ').trim();
  const direct = UNITS[dimension][key];
  if (direct) return direct;
  if (dimension !== 'volume') return null;
  const base = {
    gallon: 'gal',
    gallons: 'gal',
    gal: 'gal',
    quart: 'qt',
    qt: 'qt',
    pint: 'pt',
    pints: 'pt',
    pt: 'pt',
    'fl oz': 'fl oz',
    floz: 'fl oz',
  }[key];
  return base === undefined
    ? null
    : (UNITS.volume[`${volumeSystem === 'us' ? 'us' : 'imp'} ${base}`] ?? null);
}
