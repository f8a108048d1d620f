import type { FactBodies } from '@calvetta/core';
import { FAULT_WORDS, FINDING_WORDS, SIGN_WORDS } from '@calvetta/contract/words';

/** What a finding is called: the fault by its name, the sign by what is seen, else its kind. */
export function findingName({ fact }: { readonly fact: { readonly body: FactBodies['found'] } }): string {
  const { what, fault, alsoFault, sign } = fact.body;
  if (fault) return [fault, alsoFault].flatMap((f) => (f ? [FAULT_WORDS[f].name] : [])).join(' and ');
  return sign ? SIGN_WORDS[sign] : FINDING_WORDS[what];
}
