import type { AskedField, Survey, UnitPreference } from '@calvetta/core';
import { SUBSTRATE_WORDS, SURVEY_WORDS } from '@calvetta/contract/words';
import { showFigure } from './figures.ts';
import { answerWord, shownAnswer } from './surveyWords.ts';

type YesNo = readonly [yes: string, no: string];
/** A yes and a no as a person would say them of a part. */
const YES_NO: Readonly<Partial<Record<AskedField, YesNo>>> = {
  assembled: ['parts still inside', 'in one piece'],
  hardened: ['hard steel', 'not hard'],
  scale: ['mill scale', 'no mill scale'],
  salt: ['from coast or road', 'no salt'],
  phosphated: ['phosphated', 'not phosphated'],
  oldFiller: ['old filler', 'no old filler'],
  glue: ['glue or sealant', 'no glue'],
  leaks: ['leaks or cracks', 'no leaks'],
  seamsRinse: ['seams rinse out', 'seams do not rinse'],
  lagging: ['lagging', 'no lagging'],
  fuel: ['fuel or oil on it', 'no fuel on it'],
  chips: ['stones and tools hit it', 'nothing hits it'],
  sun: ['in the sun', 'no sun'],
  concealed: ['out of sight', 'in sight'],
  metallic: ['metallic colour', 'no metallic'],
  dark: ['dark colour', 'light colour'],
};
/** How a figure is said. */
const FIGURE: Readonly<Partial<Record<AskedField, (figure: string) => string>>> = {
  thicknessMm: (x) => `${x} thick`,
  heatC: (x) => `to ${x}`,
  clearanceUm: (x) => `${x} clearance`,
  soundShare: (x) => `${x} holds`,
  bareDays: (x) => `bare for ${x}`,
  primerDays: (x) => `uncovered for ${x}`,
};
/** What nothing is called, where “none” alone would not say of what. */
const NONE: Readonly<Partial<Record<AskedField, string>>> = {
  rust: 'no rust',
  pits: 'no pits',
  oil: 'no oil',
  coating: 'no old paint',
  plating: 'not plated',
  legacy: 'no lead or chromate',
  priorPrimer: 'no bare primer',
  features: 'nothing to mind',
  alsoOn: 'nothing else on it',
  tooBigFor: 'fits everywhere',
  fluids: 'holds nothing',
  criticality: 'nothing fails with it',
};
/** What an answer is of, where the answer alone does not say. */
const OF: Readonly<Partial<Record<AskedField, (answer: string) => string>>> = {
  rust: (a) => `rust ${a}`,
  pits: (a) => `${a} pits`,
  oil: (a) => (a === 'surface' ? 'oily' : 'soaked with oil'),
  coating: (a) => `old paint ${a}`,
  plating: (a) => `plated: ${a}`,
  legacy: (a) => `${a} in the paint`,
  priorPrimer: (a) => `bare ${a} primer`,
  tooBigFor: (a) => `too big for ${a}`,
  durability: (a) => `to last ${a}`,
  finish: (a) => `${a} finish`,
  reach: (a) => `by ${a}`,
  otherMetal: (a) => `against ${a}`,
  solventRub: (a) => `rub test ${a}`,
};

/** One answer in a few words, for a line of many: “6 mm thick”, “in one piece”, “rust C”. Pure. */
export function saidWords(f: AskedField, s: Survey, units: UnitPreference): string {
  const v = s[f];
  if (v === 'unknown') return `${SURVEY_WORDS[f].toLowerCase()} not known`;
  if (f === 'otherMetal' && v === null) return 'no other metal';
  if (typeof v === 'number') {
    const { text, unit } = showFigure(f, v, units);
    const figure = `${text} ${unit}`;
    return FIGURE[f]?.(figure) ?? figure;
  }
  const yesNo = YES_NO[f];
  if (yesNo) return v === 'yes' ? yesNo[0] : yesNo[1];
  if (typeof v === 'boolean') return `${v ? '' : 'not '}${SURVEY_WORDS[f].toLowerCase()}`;
  if (v === 'none' || (Array.isArray(v) && v.length === 0)) return NONE[f] ?? 'none';
  if (v === null) return `${SURVEY_WORDS[f].toLowerCase()} not known`;
  if (f === 'substrate') return SUBSTRATE_WORDS[s.substrate];
  const answer = shownAnswer(f, s) ?? answerWord(String(v));
  return OF[f]?.(f === 'rust' ? String(v) : answer) ?? answer;
}
