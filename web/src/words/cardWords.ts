import type { FactBodies } from '@calvetta/core';
import { BROKE_AT_WORDS, CARD_RESULT_WORDS, TEST_CARD_WORDS } from '@calvetta/contract/words';

/** A short test as it was logged: its name, what it measured, how it came out. */
export function cardWords(body: FactBodies['card-tested']): string {
  const measured = [
    body.mgM2 === undefined ? null : `${body.mgM2} mg/m²`,
    body.rubs === undefined ? null : `${body.rubs} double rubs`,
    body.brokeAt === undefined ? null : BROKE_AT_WORDS[body.brokeAt],
  ].filter((w) => w !== null);
  return `${TEST_CARD_WORDS[body.card].name}: ${[CARD_RESULT_WORDS[body.result], ...measured].join(', ')}`;
}
