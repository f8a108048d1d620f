/** What "Why?" says of each computation: its formula in words, and where it comes from. */
export interface Working {
  readonly formula: string;
  readonly source: string;
}

export const WORKINGS = {
  dewPoint: {
    formula:
      'e = RH·6.1094·exp(17.625·T/(T+243.04)) hPa; the dew point is where that vapour saturates (over ice below 0 °C).',
    source: 'Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601 (published)',
  },
  dewMargin: {
    formula:
      'surface − dew point ≥ 3 K, with the root-sum-square of ±0.5 K and ±3 % RH. Pass only when the margin less its uncertainty is inside.',
    source: 'ISO 8502-4 “unless otherwise agreed” (from memory); instrument accuracies k = 2',
  },
  lag: {
    formula:
      'dT/dt = (air − T)/τ with τ = m·c/(h·A), a casting by its thickest web ρ·c·t/(2h); solved exactly for each stretch of air.',
    source: 'lumped capacitance, Incropera & DeWitt ch. 5 (from memory); h common practice',
  },
  clock: {
    formula:
      'progress = ∫ dt / t(T): the sheet’s time at each temperature, ln t on 1/T between its points; reached at 1.',
    source: 'equivalent age as ASTM C1074 (published); the sheet’s own times',
  },
  opening: {
    formula: 'worst case at surface −2 K. Below the cure minimum the clock holds.',
    source: 'Calvetta’s clock definitions 3, 6, 7',
  },
  shutting: {
    formula:
      'worst case at the warmer of surface and air, +2 K; no credit for cold below the sheet’s coldest point; never later than its longest listed time.',
    source: 'Calvetta’s clock definition 6',
  },
  bare: {
    formula:
      'by the humidity the metal feels: ≤ 50 % 8 h, ≤ 65 % 4 h, ≤ 80 % 2 h, ≤ 85 % 1 h, above or dew: out. Blasted iron never more than 4 h.',
    source: 'common practice, no published source',
  },
  startBy: {
    formula: 'start by = worst shut edge − application − flash − turning over.',
    source: 'a coat is in time when its last wet pass ends before the window shuts',
  },
} as const satisfies Readonly<Record<string, Working>>;

export const WINDOW_BASIS_WORDS = {
  'listed-follower': 'the sheet lists this follower',
  'sheet-recoat': 'the sheet’s plain recoat times',
  'default-24h': 'the sheet is silent: two-packs within 24 h, or scuff (trade rule of thumb)',
  'sheet-unlimited': 'the sheet sets no end',
} as const;

export const SURFACE_BASIS_WORDS = {
  surface: 'the part’s own reading',
  lag: 'the air through the part’s lag, ± 1 K',
  none: 'not known',
} as const;

export const SURFACE_SOURCE_WORDS = {
  surface: 'own readings',
  lag: 'measured air through the lag',
  forecast: 'forecast',
  usual: 'usual: what the last weeks were like at this hour',
  assumed: 'assumed: 7-day median ± 8 K',
} as const;
