import {
  METRIC,
  showFilm,
  showMass,
  showTemperature,
  type Matter,
  type Reason,
  type Shown,
  type UnitPreference,
} from '@calvetta/core';
import { SUBSTRATE_WORDS } from './bench.ts';
import { FACILITY_WORDS, MATTER_WORDS, WHAT_WORDS } from './route.ts';
import { ANSWER_WORDS, KIND_WORDS, SURVEY_WORDS } from './survey.ts';
import { RULE_WORDS } from './rules.ts';

const first = (text: string): string => text[0]!.toUpperCase() + text.slice(1);
const list = (ids: string): string => {
  const names = ids
    .split(', ')
    .filter(Boolean)
    .map((id) => (WHAT_WORDS[id] ?? id).split(',')[0]!);
  return names.length < 2
    ? names.join('')
    : `${names.slice(0, -1).join(', ')} or ${names[names.length - 1]!}`;
};
const share = (left: number): string =>
  left >= 0.99 ? '' : left >= 0.4 ? ', about half of it,' : ', traces of it,';
const WASH: Readonly<Record<string, string>> = {
  wipe: 'A last wipe',
  rinse: 'A rinse',
  dry: 'Drying',
  degrease: 'Degreasing',
  'warm-out': 'Warming it out, or degreasing again,',
  glue: 'Scraper and solvent',
};

const textOf = (s: Shown): string => `${s.text} ${s.unit}`;
/** “40–75” µm in the reader’s unit; a word stays a word. */
function inFilm(range: string, u: UnitPreference): string {
  if (!/\d/.test(range)) return range;
  return `${range.replace(/\d+(\.\d+)?/g, (n) => showFilm(Number(n), u).text)} ${showFilm(1, u).unit}`;
}

/** Figures of a finding whose sentence needs them: what stands and what would take it off, what is wanted and what is there. */
const SPOKEN: Readonly<Record<string, (d: Reason['data'], u: UnitPreference) => string>> = {
  'surface.stands': (d) => {
    const matter = MATTER_WORDS[d['matter'] as Matter];
    const off = String(d['off']);
    const how =
      off === ''
        ? 'Nothing known takes it off this metal: ask.'
        : WASH[off]
          ? `${WASH[off]} takes it off.`
          : `${first(list(off))} would take it off.`;
    return `${first(matter)}${share(Number(d['left']))} still stands under ${String(d['product'])}. ${how}`;
  },
  'surface.first': (d) =>
    `${first(MATTER_WORDS[d['matter'] as Matter])} comes off before ${WHAT_WORDS[String(d['act'])] ?? String(d['act'])}.`,
  'surface.clean': (d) =>
    `${String(d['product'])} wants ${String(d['need'])}; this reaches ${String(d['got']) === 'none' ? 'no grade' : String(d['got'])}.`,
  'surface.profile': (d, u) =>
    `${String(d['product'])} wants a roughness of ${inFilm(String(d['need']), u)}; this leaves ${inFilm(String(d['got']), u)}.`,
  'strip.thin': (d) =>
    `${first(WHAT_WORDS[String(d['act'])] ?? '')} wants at least ${d['leastMm']} mm here${d['mm'] === undefined ? '' : `; this is ${d['mm']} mm`}: thinner warps or dents.`,
  // Which product is meant: a route that was refused may have several.
  'finish.sun': (d) =>
    d['product'] === undefined
      ? RULE_WORDS['finish.sun']!
      : `${String(d['product'])} does not hold the sun as the last coat: it chalks or goes dull.`,
  'finish.stands-alone': (d) => `${String(d['product'])} may not be the last coat: it must be covered.`,
  'finish.show-look': (d) => `${String(d['product'])} cannot be flatted and polished to a show finish.`,
  'metal.listed': (d) =>
    `The sheet of ${String(d['product'])} does not list bare ${VALUES[String(d['metal'])] ?? String(d['metal'])}.`,
  'work.isocyanate': (d) =>
    `${String(d['product'])} has isocyanate: it is sprayed only with an air-fed mask. Without one, brush it.`,
  'work.put-away': (d) =>
    `${String(d['product'])} was put away here. Take it back under Reference, Families, or choose another.`,
  'work.legacy-product': (d) =>
    `${String(d['product'])} is a legacy product with chromate or lead: licensed use only.`,
  // House practice: which school is meant.
  'work.tool-school': (d) => `House practice: laid on by ${String(d['school'])}, as here.`,
  'work.assembly-school': (d) =>
    d['school'] === 'assembled'
      ? 'House practice: units are painted assembled, as the works did.'
      : 'House practice: painted in pieces, and this is one piece.',
  'metal.casting-school': (d) =>
    d['school'] === 'direct'
      ? 'House practice: rough castings take enamel straight on the metal.'
      : 'House practice: rough castings are always primed.',
  'etch.school': (d) =>
    d['school'] === 'wet-on-wet'
      ? 'House practice: the next coat goes on the etch wet-on-wet.'
      : 'House practice: the etch hardens and is scuffed before the next coat.',
  'strip.metals': (d) =>
    `${first(WHAT_WORDS[String(d['act'])]?.split(',')[0] ?? '')} is not for ${SUBSTRATE_WORDS[d['metal'] as keyof typeof SUBSTRATE_WORDS]}.`,
};

/** What a finding says, with its figures where the sentence needs them. */
export const reasonWords = (r: Pick<Reason, 'ruleId' | 'data'>, units: UnitPreference = METRIC): string =>
  SPOKEN[r.ruleId]?.(r.data, units) ?? RULE_WORDS[r.ruleId] ?? r.ruleId;

type FigureKind = 'film' | 'temperature' | 'mass' | 'length' | 'voltage' | 'count';
/** Figures that stand under a sentence: what they are called, and what they are of. */
const FIGURES: Readonly<Record<string, readonly [name: string, kind: FigureKind]>> = {
  um: ['film', 'film'],
  needUm: ['wanted', 'film'],
  leastUm: ['least', 'film'],
  mostUm: ['most', 'film'],
  heatC: ['heat', 'temperature'],
  mostC: ['stands', 'temperature'],
  leastC: ['from', 'temperature'],
  mm: ['thickness', 'length'],
  leastMm: ['least', 'length'],
  kg: ['mass', 'mass'],
  mostKg: ['most', 'mass'],
  gapV: ['apart', 'voltage'],
  limitV: ['limit', 'voltage'],
  clearanceUm: ['clearance', 'film'],
  days: ['days', 'count'],
  most: ['most', 'count'],
  coats: ['coats', 'count'],
};
const SHOWN: Readonly<Record<FigureKind, (v: number, u: UnitPreference) => string>> = {
  film: (v, u) => textOf(showFilm(v, u)),
  temperature: (v, u) => textOf(showTemperature(v, u, 0)),
  mass: (v, u) => textOf(showMass(v, u)),
  length: (v) => `${Number(v.toPrecision(3))} mm`,
  voltage: (v) => `${Number(v.toPrecision(2))} V`,
  count: (v) => String(Number(v.toPrecision(3))),
};

const VALUES: Readonly<Record<string, string>> = {
  ...WHAT_WORDS,
  ...ANSWER_WORDS,
  ...SUBSTRATE_WORDS,
  ...KIND_WORDS,
  ...MATTER_WORDS,
  ...FACILITY_WORDS,
  ...SURVEY_WORDS,
};

const valueWords = (text: string): string =>
  text
    .split(', ')
    .map((x) => VALUES[x] ?? x)
    .join(', ');

/** The figures of a finding for the line under its sentence, in the reader’s units; nothing where the sentence has said them. */
export function figureWords(r: Pick<Reason, 'ruleId' | 'data'>, units: UnitPreference = METRIC): string {
  if (SPOKEN[r.ruleId]) return '';
  return Object.entries(r.data)
    .map(([k, v]) => {
      const [name, kind] = FIGURES[k] ?? [null, 'count' as const];
      const value = typeof v === 'number' ? SHOWN[kind](v, units) : valueWords(v);
      return name === null ? value : `${name}: ${value}`;
    })
    .join(' · ');
}
