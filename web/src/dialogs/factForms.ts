import {
  CONTAMINANTS,
  FACES,
  KEPT_SAMPLES,
  PRETREATMENTS,
  SPENT_ON,
  STRIP_METHODS,
  TESTS,
  WORK_OPS,
  type FactKind,
} from '@calvetta/core';
import { KEPT_SAMPLE_WORDS, SPENT_WORDS, WORK_WORDS } from '@calvetta/contract/words';

/** Kinds a person may log from the menu, in the order of the work. */
export const LOG_KINDS: readonly FactKind[] = [
  'degreased',
  'stripped',
  'pretreated',
  'abraded',
  'wiped',
  'coated',
  'tested',
  'turned',
  'moved',
  'sent',
  'came-back',
  'surface-read',
  'baked',
  'cut-through',
  'contaminated',
  'wetted',
  'worked',
  'spent',
  'sample-kept',
  'noted',
];

/** One thing a form asks. A `buttons` field is the second touch itself: choosing stores the entry. */
export type FormField =
  | {
      readonly type: 'choice';
      readonly name: string;
      readonly label: string;
      readonly options: readonly string[];
      /** Where the options themselves are no words. */
      readonly words?: Readonly<Record<string, string>>;
    }
  | { readonly type: 'place'; readonly name: string; readonly label: string }
  | {
      readonly type: 'number';
      readonly name: string;
      readonly label: string;
      readonly hint: string;
      readonly isOptional?: true;
    }
  | {
      readonly type: 'temperature';
      readonly name: string;
      readonly label: string;
      readonly hint: string;
      readonly minC: number;
      readonly maxC: number;
    }
  /** A day of the shop's calendar; empty: none. */
  | { readonly type: 'day'; readonly name: string; readonly label: string }
  /** A sum in the shop's currency, stored in its smallest coin. */
  | { readonly type: 'money'; readonly name: string; readonly label: string }
  | {
      readonly type: 'text' | 'line';
      readonly name: string;
      readonly label: string;
      readonly isOptional?: true;
    };

export interface FormShape {
  readonly fields: readonly FormField[];
  /** Buttons that finish the form: each adds its value to the body. */
  readonly finish: readonly { readonly text: string; readonly body: Readonly<Record<string, unknown>> }[];
  /** What to mind while doing it. */
  readonly caution?: string;
}
const done = (text: string): FormShape['finish'] => [{ text, body: {} }];

export const FORMS: Readonly<Partial<Record<FactKind, FormShape>>> = {
  degreased: {
    fields: [],
    finish: [
      { text: 'Log degreasing', body: {} },
      { text: 'Warmed out as well', body: { isWarmedOut: true } },
    ],
    caution:
      'Degrease before any sanding or wire-brushing: oil is ground into the pores otherwise. Solvent: ventilate, no ignition; rags into a lidded metal bin.',
  },
  wiped: { fields: [], finish: done('Log wipe-down') },
  'cut-through': {
    fields: [],
    finish: done('Log cut-through'),
    caution: 'The bare spot’s own clock starts now.',
  },
  stripped: {
    fields: [{ type: 'choice', name: 'method', label: 'Method', options: STRIP_METHODS }],
    finish: done('Log stripping'),
    caution:
      'Old coatings may hold lead or chromate: test before sanding. Never silica for blasting. Eye protection for wire wheels.',
  },
  pretreated: {
    fields: [{ type: 'choice', name: 'method', label: 'Treatment', options: PRETREATMENTS }],
    finish: done('Log pretreatment'),
    caution: 'Acid: goggles and gloves; at least 20 min wet, rinse clean, dry fast.',
  },
  abraded: {
    fields: [
      { type: 'choice', name: 'how', label: 'How', options: ['dry', 'wet'] },
      {
        type: 'number',
        name: 'gritP',
        label: 'Grit, P',
        hint: 'such as 180; leave empty if unknown',
        isOptional: true,
      },
    ],
    finish: done('Log abrading'),
    caution: 'No dry sanding of uncured epoxy: its dust is a health hazard. A wipe must follow.',
  },
  contaminated: {
    fields: [{ type: 'choice', name: 'by', label: 'By what', options: CONTAMINANTS }],
    finish: done('Log contamination'),
  },
  wetted: {
    fields: [{ type: 'choice', name: 'by', label: 'By what', options: ['rain', 'dew', 'wash', 'other'] }],
    finish: done('Log wetting'),
  },
  turned: {
    fields: [{ type: 'choice', name: 'faceUp', label: 'Face up', options: FACES }],
    finish: done('Log turning'),
  },
  tested: {
    fields: [{ type: 'choice', name: 'test', label: 'Test', options: TESTS }],
    finish: [
      { text: 'It passed', body: { reached: true } },
      { text: 'Not yet', body: { reached: false } },
    ],
    caution: 'Test where it will not show. A test moves drying stages only, never a window’s end.',
  },
  moved: {
    fields: [{ type: 'place', name: 'placeId', label: 'To' }],
    finish: done('Log move'),
    caution: 'Heavy castings: lifting plan first.',
  },
  sent: {
    fields: [
      { type: 'line', name: 'to', label: 'To whom' },
      { type: 'day', name: 'backDay', label: 'Promised back by' },
    ],
    finish: done('Log that it left'),
    caution: 'A contractor must know what paint comes off: lead, chromate, asbestos go into the order.',
  },
  'came-back': { fields: [], finish: done('It is back') },
  'surface-read': {
    fields: [
      {
        type: 'temperature',
        name: 'surfaceC',
        label: 'Surface temperature',
        hint: 'such as 11.5, or 53 F',
        minC: -40,
        maxC: 120,
      },
    ],
    finish: done('Log surface reading'),
  },
  baked: {
    fields: [
      {
        type: 'temperature',
        name: 'tempC',
        label: 'Metal temperature',
        hint: 'such as 180',
        minC: 40,
        maxC: 700,
      },
      { type: 'number', name: 'minutes', label: 'Minutes at temperature', hint: 'such as 30' },
    ],
    finish: done('Log bake'),
    caution: 'Fumes as it cures: ventilate. No heat on fuel tanks or sealed vessels.',
  },
  worked: {
    fields: [
      { type: 'choice', name: 'on', label: 'At what', options: WORK_OPS, words: WORK_WORDS },
      {
        type: 'number',
        name: 'minutes',
        label: 'Minutes, all hands together',
        hint: 'two people for an hour: 120',
      },
      { type: 'text', name: 'note', label: 'A word about it', isOptional: true },
    ],
    finish: done('Log the hours'),
  },
  spent: {
    fields: [
      { type: 'choice', name: 'on', label: 'On what', options: SPENT_ON, words: SPENT_WORDS },
      { type: 'money', name: 'cents', label: 'How much' },
      { type: 'text', name: 'note', label: 'A word about it', isOptional: true },
    ],
    finish: done('Log what was spent'),
  },
  'sample-kept': {
    fields: [
      {
        type: 'choice',
        name: 'what',
        label: 'What',
        options: KEPT_SAMPLES,
        words: KEPT_SAMPLE_WORDS,
      },
      { type: 'line', name: 'where', label: 'Where it is kept' },
      { type: 'text', name: 'note', label: 'A word about it', isOptional: true },
    ],
    finish: done('Log that it is kept'),
  },
  noted: { fields: [{ type: 'text', name: 'text', label: 'Note' }], finish: done('Log note') },
};
