import type { CoatRefusal } from '@calvetta/core';
import { INDUCTION_WORDS, mayWords } from './people.ts';
import { ACT_WORDS, SHUT_REASON_WORDS } from './bench.ts';

const ALL_THE_SAME = 'say why and it is recorded so.';

/** What each state means for the coat that was wanted, so that nobody needs to know our words for it. */
const STATE_GLOSS: Readonly<Partial<Record<CoatRefusal['why'], string>>> = {
  referred:
    'something was found here that a licensed person has to judge, and it stays in sight until they have',
  unprepared:
    'nothing is recorded that prepares this surface: it was neither stripped nor abraded. Log what was done first',
  sent: 'it was sent away and has not come back: log that it is back, or that this was done where it is',
  suspect: 'the film below cannot be trusted until it is tested',
  out: 'the bare metal has stood too long',
  refused: 'this product may not follow the one below',
  unknown: 'its window is not known',
  lift: 'it stands in its lift band: the new coat would lift the one below',
  shut: 'the window is shut: the coat below is too hard to hold another',
  early: 'it is too early: the coat below has not set',
};

/** Why a coat may not go on, and what would make it possible: after "Refused: ", or a sentence of its own. */
export function coatRefusalWords(refusal: CoatRefusal): string {
  switch (refusal.why) {
    case 'held':
    case 'marginal':
      return `the gates are not a clear pass. If it was done all the same, ${ALL_THE_SAME}`;
    case 'film-thin':
    case 'film-thick':
      return `${refusal.dftUm} µm in one coat; its sheet allows ${refusal.why === 'film-thin' ? 'no less than' : 'no more than'} ${refusal.limitUm} µm. If it was laid so all the same, ${ALL_THE_SAME}`;
    case 'mix-gone':
      return `that mix is past its pot life and will not cure as it should. Mix afresh; if it was used all the same, ${ALL_THE_SAME}`;
    case 'mix-unknown':
      return `the pot life of that mix is not known here. Ask its sheet; if it was used all the same, ${ALL_THE_SAME}`;
    case 'not-inducted':
      return `whoever lays it has no standing induction for ${INDUCTION_WORDS[refusal.to]} (${mayWords(refusal.may)}). Let somebody do it who has; if it was done all the same, ${ALL_THE_SAME}`;
    case 'referred':
      return `${STATE_GLOSS.referred}. Log their answer on the finding; no reason of ours lifts this.`;
    default: {
      const words = STATE_GLOSS[refusal.why] ?? SHUT_REASON_WORDS[refusal.why] ?? refusal.why;
      return `${words}. Next act: ${ACT_WORDS[refusal.act.code].toLowerCase()}. If it was done all the same, ${ALL_THE_SAME}`;
    }
  }
}
