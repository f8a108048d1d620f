import type {
  AcceptanceRule,
  Applicator,
  Content,
  FlowCup,
  GaugeZero,
  ProfileGrade,
  Requirement,
  StockConflict,
  ThinnerGrade,
  WorkShape,
} from '@calvetta/core';
import type { LeftoverWhy } from '../shelf.ts';

export const CONTENT_WORDS: Readonly<Record<Content, string>> = {
  paint: 'paint',
  hardener: 'hardener',
  thinner: 'thinner',
};
export const WASTE_WORDS: Readonly<Record<string, string>> = {
  'gone-off': 'gone off',
  spilt: 'spilt',
  'in-the-gun': 'left in the gun',
  cleaning: 'cleaning',
  other: 'other',
};
export const THINNER_WORDS: Readonly<Record<ThinnerGrade, string>> = {
  fast: 'fast',
  medium: 'medium',
  slow: 'slow',
  'very-slow': 'very slow',
};
export const APPLICATOR_WORDS: Readonly<Record<Applicator, string>> = {
  hvlp: 'low-pressure gun',
  conventional: 'high-pressure gun',
  airless: 'airless',
  brush: 'brush',
  roller: 'roller',
  aerosol: 'aerosol',
};
export const WORK_SHAPE_WORDS: Readonly<Record<WorkShape, string>> = {
  flat: 'flat work',
  lattice: 'lattice, tube, spokes',
};
export const FLOW_CUP_WORDS: Readonly<Record<FlowCup, string>> = {
  'iso-3': 'ISO 3 mm',
  'iso-4': 'ISO 4 mm',
  'iso-5': 'ISO 5 mm',
  'iso-6': 'ISO 6 mm',
  'ford-2': 'Ford 2',
  'ford-3': 'Ford 3',
  'ford-4': 'Ford 4',
  'din-4': 'DIN 4 mm',
};
export const ACCEPTANCE_WORDS: Readonly<Record<AcceptanceRule, string>> = {
  'iso-19840': 'ISO 19840',
  'pa-2': 'SSPC-PA 2',
  own: 'this shop’s own rule',
};
export const REQUIREMENT_WORDS: Readonly<Record<Requirement['code'], string>> = {
  'mean-least': 'mean at least',
  'mean-most': 'mean at most',
  'each-least': 'thinnest at least',
  'each-most': 'thickest at most',
  'few-below': 'readings below nominal, at most',
  'spot-least': 'thinnest spot at least',
  'spot-most': 'thickest spot at most',
  count: 'readings or spots, at least',
};
export const ASK_WORDS: Readonly<Record<'max' | 'min' | 'readings' | 'spots', string>> = {
  max: 'the most that was specified',
  min: 'the least that was specified',
  readings: 'more readings',
  spots: 'more spots of three readings',
};
export const ZERO_WORDS: Readonly<Record<GaugeZero, string>> = {
  smooth: 'smooth plate',
  'on-profile': 'the blasted surface',
  unknown: 'not known',
};
export const PROFILE_WORDS: Readonly<Record<ProfileGrade, string>> = {
  none: 'smooth',
  fine: 'fine',
  medium: 'medium',
  coarse: 'coarse',
  unknown: 'not known',
};
export const CONFLICT_WORDS: Readonly<Record<StockConflict['code'], string>> = {
  'film-above-pour': 'More film was measured than was poured: a reading, the area or the pour is wrong.',
  'used-more-than-mixed': 'More was used than was mixed: correct the mix or what the coats used.',
  'poured-more-than-held':
    'More was poured than it showed. Both pours are kept; weigh the tin to set it right.',
  'no-such-tin': 'A tin is named that is not on the shelf.',
  'no-such-mix': 'A coat names a mix that was voided or not yet made.',
};
export const LEFTOVER_WORDS: Readonly<Record<LeftoverWhy, string>> = {
  'other-colour': 'another colour',
  'no-colour': 'its colour is not said',
  air: 'held by the air',
  'not-open': 'window not open',
  'no-area': 'area not known',
  'too-much': 'takes more than is left',
  'shuts-first': 'would shut before it is done',
};
export const HARDENER_WORDS = {
  'dies-first': 'Hardener will be dead before its paint is used up.',
  'too-little': 'Too little hardener for the paint there is.',
} as const;
