import type { BarePrep } from '../cure/bare.ts';
import type { Seen } from '../route/surface/seen.ts';
import { ofKind, type Fact, type StripMethod } from './part.ts';

/** How a stripping or pretreating act leaves the metal. */
export function prepOf(fact: Fact): { readonly prep: BarePrep; readonly limitHours: number | null } | null {
  switch (fact.kind) {
    case 'stripped':
      return { prep: stripPrep(fact.body.method), limitHours: null };
    case 'pretreated':
      return fact.body.method === 'phosphate'
        ? { prep: 'phosphated', limitHours: null }
        : { prep: 'conversion-coated', limitHours: fact.body.limitHours ?? null };
    case 'cut-through':
      return { prep: 'abraded', limitHours: null };
    default:
      return null;
  }
}

function stripPrep(method: StripMethod): BarePrep {
  if (method === 'blast' || method === 'bead') return 'blasted';
  return method === 'chemical' || method === 'bath' || method === 'electrolysis'
    ? 'chemically-stripped'
    : 'abraded';
}

/** What the eye saw of the bare metal since it was last stripped; null: it has not been looked at. */
export function seenSinceStripped(standing: readonly Fact[]): Seen | null {
  const stripped = standing.findLastIndex((f) => f.kind === 'stripped');
  const looks = ofKind(standing.slice(stripped + 1), 'inspected');
  return looks[looks.length - 1]?.body.seen ?? null;
}
