import type { CoatRefusal, Headline } from '@calvetta/core';
import { ACT_WORDS, HEADLINE_WORDS, SHUT_REASON_WORDS } from './bench.ts';

const ALL_THE_SAME = 'say why and it is recorded so.';

/** Why a coat may not go on, in a sentence, and what would make it possible. */
export function coatRefusalWords(refusal: CoatRefusal): string {
  switch (refusal.why) {
    case 'held':
    case 'marginal':
      return `The gates are not a clear pass. If it was done all the same, ${ALL_THE_SAME}`;
    case 'mix-gone':
      return `Refused: that mix is past its pot life and will not cure as it should. Mix afresh; if it was used all the same, ${ALL_THE_SAME}`;
    case 'mix-unknown':
      return `Refused: the pot life of that mix is not known here. Ask its sheet; if it was used all the same, ${ALL_THE_SAME}`;
    default: {
      const words = SHUT_REASON_WORDS[refusal.why] ?? HEADLINE_WORDS[refusal.why as Headline];
      return `Refused: the face is ${words}. Next act: ${ACT_WORDS[refusal.act.code].toLowerCase()}. If it was done all the same, ${ALL_THE_SAME}`;
    }
  }
}
