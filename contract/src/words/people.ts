import type { Induction, KeptSample, MayDo, NonConformity } from '@calvetta/core';
import { dayWords } from './days.ts';

/** What somebody is shown before doing it alone. */
export const INDUCTION_WORDS: Readonly<Record<Induction, string>> = {
  spray: 'spraying',
  'air-fed': 'spraying isocyanate with air-fed breathing',
  blast: 'blasting',
  lift: 'lifting with the hoist',
  'hot-work': 'hot work',
};
/** The same where there is little room. */
export const INDUCTION_SHORT: Readonly<Record<Induction, string>> = {
  spray: 'spraying',
  'air-fed': 'isocyanate',
  blast: 'blasting',
  lift: 'hoist',
  'hot-work': 'hot work',
};
/** What it covers, and what stays others’: beside the list. */
export const INDUCTION_GLOSS: Readonly<Record<Induction, string>> = {
  spray: 'gun, hose, ventilation, fire',
  'air-fed': 'mask, air supply, face fit, health surveillance: by the maker’s sheet and local law',
  blast: 'suit, air, dead man’s handle, never silica',
  lift: 'hoist and slings: by local lifting rules',
  'hot-work': 'torch and grinder, no solvent or wet film near, fire watch',
};
export const KEPT_SAMPLE_WORDS: Readonly<Record<KeptSample, string>> = {
  'witness-panel': 'witness panel',
  'paint-sample': 'sample of the paint',
  'old-piece': 'piece of what was taken off',
};

/** Whether somebody may do it alone, after "Spraying: ". */
export function mayWords(may: MayDo): string {
  switch (may.state) {
    case 'inducted':
      return may.untilDay === null ? 'shown how' : `shown how, until ${dayWords(may.untilDay)}`;
    case 'lapsed':
      return `lapsed on ${dayWords(may.untilDay)}`;
    case 'minor':
      return `not before ${dayWords(may.untilDay)}: under age`;
    case 'none':
      return 'not shown yet';
    case 'not-kept':
      return 'not kept here';
  }
}

/** What does not conform, in a sentence. `when` writes an instant. */
export function nonConformityWords(
  why: NonConformity,
  { film, when }: { readonly film: (um: number) => string; readonly when: (ms: number) => string },
): string {
  switch (why.what) {
    case 'film-refused':
      return `Film refused by its rule: mean ${film(why.meanUm)}, least ${film(why.leastUm)}, for ${film(why.nominalUm)} asked.`;
    case 'gauge-in-doubt':
    case 'scale-in-doubt':
      return `${why.gaugeName} failed its check${why.checkMs === null ? '' : ` of ${when(why.checkMs)}`}: what it ${why.what === 'gauge-in-doubt' ? 'read' : 'weighed'} is in doubt.`;
    case 'against-rule':
      return `Laid against a rule: ${why.reason}.`;
    case 'not-inducted':
      return `Done without a record of ${INDUCTION_WORDS[why.to]}: ${mayWords(why.may)}.`;
  }
}
