import type { Survey, SurveyDoubt, UnitPreference } from '@calvetta/core';
import { showArea } from '@calvetta/core';
import { KIND_WORDS, SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { saidWords } from './said.ts';
import { answerWord } from './surveyWords.ts';

/** What cannot be, and what to do: the matter first. Pure. */
const WORDS: Readonly<Record<SurveyDoubt['code'], (s: Survey, d: SurveyDoubt, u: UnitPreference) => string>> =
  {
    'rust-grade-not-steel': (s) =>
      `Rust grades are for steel and iron, and this is ${SUBSTRATE_WORDS[s.substrate]}. Choose no rust, or put the metal right.`,
    'zero-thickness': () => 'A size of zero or less. Write a figure above zero, or leave it not known.',
    'mass-area-disagree': (s, d, u) => {
      const about = showArea(d.expectedM2 ?? 0, u);
      return `${saidWords('areaM2', s, u)} of surface does not go with ${saidWords('massKg', s, u)} that is ${saidWords('thicknessMm', s, u)}: that has about ${about.text} ${about.unit}. Look at the decimal point.`;
    },
    'coat-kind-without-coat': () => 'A kind of old paint is said, and no old paint. Put one of them right.',
    'immersed-concealed-sun': () => 'Out of sight and in the sun: it is one of them.',
    'heat-on-glass-fibre': (s, _d, u) =>
      `Glass-fibre does not stand heat ${saidWords('heatC', s, u)}. Put the heat or the material right.`,
    'hardened-not-steel': (s) =>
      `Only steel is hardened, and this is ${SUBSTRATE_WORDS[s.substrate]}. Put one of them right.`,
    'legacy-without-coat': () =>
      'Lead and chromate are in old paint, and there is none. Put one of them right.',
    'sheet-too-thick': (s, _d, u) =>
      `Sheet is thinner than 3 mm or so, and this is ${saidWords('thicknessMm', s, u)}. Choose plate, or put the thickness right.`,
    'primer-without-coat': () =>
      'A primer is left on it, and no coat. Say that there is a coat, or no primer.',
    'kind-not-of-metal': (s) =>
      `${KIND_WORDS[s.kind]}: never made of ${SUBSTRATE_WORDS[s.substrate]}. Choose another kind, or put the metal right.`,
    'kind-pressure': () =>
      'A boiler or receiver holds pressure. Say so under “If it fails”, or choose another kind.',
    'kind-fuel': () => 'A fuel tank held fuel. Say so under “If it fails”, or choose another kind.',
    'assembled-kind': () =>
      'An assembled engine has its parts inside. Choose engine casting, or say that it is assembled.',
    'share-without-coat': (s) =>
      `A share of the paint holds, and the old paint is ${answerWord(s.coating)}. A share is for paint that is partly sound.`,
    'scale-on-casting': () =>
      'Mill scale is on rolled steel only, and this is a casting. Put one of them right.',
    'fluids-without-water': (s) =>
      `It holds ${s.fluids.map(answerWord).join(', ')}, and does not live under a fluid. Put one of them right.`,
    'cadmium-not-steel': (s) =>
      `Cadmium is on steel fittings, and this is ${SUBSTRATE_WORDS[s.substrate]}. Put one of them right.`,
    'bare-under-coat': (s, _d, u) =>
      `It has stood ${saidWords('bareDays', s, u)}, and it has a coat on. It is one of them.`,
    'pits-of-grade': () => 'Grade D is pitted all over. Say light or deep pits, or choose another grade.',
  };

export const doubtWords = (d: SurveyDoubt, s: Survey, u: UnitPreference): string => WORDS[d.code](s, d, u);
