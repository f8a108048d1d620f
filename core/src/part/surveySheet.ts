import { isFerrous, metalOf } from '../products/traits.ts';
import { PART_KINDS } from './kinds.ts';
import { SUBSTRATES } from './substrate.ts';
import {
  ALSO_ON,
  ANSWERS,
  CATEGORIES,
  COATING,
  COAT_KINDS,
  CRITICALITIES,
  DURABILITY,
  FEATURES,
  FINISHES,
  FLUIDS,
  LEGACY,
  OIL,
  PITS,
  PLATINGS,
  PRIOR_PRIMERS,
  REACHES,
  RUST,
  TEST_RESULTS,
  TOO_BIG_FOR,
  type Survey,
} from './survey.ts';

export type SurveyField = keyof Survey;
/** `colourGroup` follows the part; `practice`, `zones` and `usual` have their own places on the page: none is asked in the list. */
export type AskedField = Exclude<SurveyField, 'colourGroup' | 'practice' | 'zones' | 'usual'>;
export type FieldShape =
  | { readonly type: 'choice'; readonly options: readonly string[] }
  | { readonly type: 'many'; readonly options: readonly string[] }
  | { readonly type: 'figure' }
  | { readonly type: 'flag' }
  | { readonly type: 'metal-or-none' };

const choice = (options: readonly string[]): FieldShape => ({ type: 'choice', options });
const answer = choice(ANSWERS);

/** How each answer is given, in the order of the sheet. */
export const SURVEY_SHAPES: Readonly<Record<AskedField, FieldShape>> = {
  substrate: choice(SUBSTRATES),
  kind: choice(PART_KINDS),
  thicknessMm: { type: 'figure' },
  massKg: { type: 'figure' },
  areaM2: { type: 'figure' },
  assembled: answer,
  hardened: answer,
  features: { type: 'many', options: FEATURES },
  clearanceUm: { type: 'figure' },
  otherMetal: { type: 'metal-or-none' },
  rust: choice(RUST),
  pits: choice(PITS),
  scale: answer,
  oil: choice(OIL),
  salt: answer,
  coating: choice(COATING),
  coatKind: choice(COAT_KINDS),
  soundShare: { type: 'figure' },
  plating: choice(PLATINGS),
  alsoOn: { type: 'many', options: ALSO_ON },
  bareDays: { type: 'figure' },
  leaks: answer,
  seamsRinse: answer,
  tooBigFor: { type: 'many', options: TOO_BIG_FOR },
  fluids: { type: 'many', options: FLUIDS },
  solventRub: choice(TEST_RESULTS),
  legacy: choice(LEGACY),
  oldFiller: answer,
  phosphated: answer,
  glue: answer,
  priorPrimer: choice(PRIOR_PRIMERS),
  primerDays: { type: 'figure' },
  lagging: answer,
  category: choice(CATEGORIES),
  durability: choice(DURABILITY),
  heatC: { type: 'figure' },
  sun: answer,
  fuel: answer,
  chips: answer,
  concealed: answer,
  criticality: { type: 'many', options: CRITICALITIES },
  finish: choice(FINISHES),
  metallic: answer,
  dark: answer,
  colourUndecided: { type: 'flag' },
  reach: choice(REACHES),
  isPair: { type: 'flag' },
};

/** The sheet as a cut through the part, from the air above it down to the metal and what is joined to it. */
export type SurveyGroup = 'life' | 'finish' | 'coats' | 'face' | 'metal' | 'joints';
export const SURVEY_GROUPS: readonly {
  readonly group: SurveyGroup;
  readonly fields: readonly AskedField[];
}[] = [
  {
    group: 'life',
    fields: ['category', 'fluids', 'sun', 'heatC', 'durability', 'fuel', 'chips', 'concealed', 'criticality'],
  },
  { group: 'finish', fields: ['finish', 'metallic', 'dark', 'colourUndecided', 'reach', 'isPair'] },
  {
    group: 'coats',
    fields: [
      'coating',
      'soundShare',
      'coatKind',
      'solventRub',
      'legacy',
      'oldFiller',
      'priorPrimer',
      'primerDays',
      'glue',
      'alsoOn',
    ],
  },
  { group: 'face', fields: ['rust', 'pits', 'scale', 'oil', 'salt', 'phosphated', 'plating', 'bareDays'] },
  {
    group: 'metal',
    fields: ['kind', 'substrate', 'thicknessMm', 'massKg', 'areaM2', 'hardened', 'tooBigFor'],
  },
  {
    group: 'joints',
    fields: ['assembled', 'features', 'seamsRinse', 'clearanceUm', 'otherMetal', 'leaks', 'lagging'],
  },
];

/** Whether an answer can change anything for this part: the rest is not asked. */
export function isAsked(field: SurveyField, s: Survey): boolean {
  const ferrous = isFerrous(metalOf(s.substrate));
  switch (field) {
    case 'coatKind':
    case 'solventRub':
    case 'legacy':
    case 'oldFiller':
    case 'priorPrimer':
      return s.coating !== 'none';
    case 'rust':
    case 'scale':
    case 'salt':
    case 'phosphated':
      return ferrous;
    case 'hardened':
      return metalOf(s.substrate) === 'steel';
    case 'primerDays':
      return s.coating !== 'none' && !['none', 'unknown'].includes(s.priorPrimer);
    case 'soundShare':
      return s.coating === 'partly';
    case 'bareDays':
      return s.coating === 'none';
    case 'fluids':
      return s.category === 'immersed';
    case 'seamsRinse':
      return s.features.includes('seams') || s.features.includes('box-section');
    case 'clearanceUm':
      return s.features.includes('close-fit');
    default:
      return true;
  }
}

/** Answers a person may give in one touch after looking: nothing unusual found. What must be looked at itself is not among them. */
const NOTHING_UNUSUAL: Partial<Survey> = {
  assembled: 'no',
  hardened: 'no',
  scale: 'no',
  salt: 'no',
  oldFiller: 'no',
  glue: 'no',
  priorPrimer: 'none',
  phosphated: 'no',
  lagging: 'no',
  leaks: 'no',
  fuel: 'no',
  chips: 'no',
  concealed: 'no',
  metallic: 'no',
  dark: 'no',
};
/** The open ones among them, no more than 60 °C and no other metal, and what is usual for its kind, as answers looked at. */
export function nothingUnusual(s: Survey): Partial<Survey> {
  const open = Object.entries(NOTHING_UNUSUAL).filter(
    ([f]) => s[f as SurveyField] === 'unknown' && isAsked(f as SurveyField, s),
  );
  return {
    ...(Object.fromEntries(open) as Partial<Survey>),
    ...(s.heatC === null ? { heatC: 60 } : {}),
    ...(s.otherMetal === 'unknown' ? { otherMetal: null } : {}),
    ...(s.usual.length > 0 ? { usual: [] } : {}),
  };
}
