import type { FactKind } from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import { FORMS } from './factForms.ts';

export type Values = Readonly<Record<string, string>>;

/** First values: the entry being corrected, else what the part's own act asks for. `coins`: of the currency's smallest in one unit. */
export function firstValues(
  kind: FactKind,
  part: PartDetail | null,
  correct?: FactView,
  coins = 100,
): Values {
  const body: Readonly<Record<string, unknown>> = correct ? { ...correct.body } : {};
  return Object.fromEntries(
    (FORMS[kind]?.fields ?? []).map((f) => {
      const known = body[f.name];
      if (f.type === 'money') return [f.name, typeof known === 'number' ? String(known / coins) : ''];
      if (typeof known === 'string' || typeof known === 'number') return [f.name, String(known)];
      if (f.type === 'choice') {
        const likely = part && suggested(f.name, part);
        return [f.name, likely !== null && f.options.includes(likely) ? likely : (f.options[0] ?? '')];
      }
      return [f.name, f.type === 'place' ? (part?.card.placeId ?? '') : ''];
    }),
  );
}

function suggested(name: string, part: PartDetail): string | null {
  if (name === 'test')
    return part.card.suspect ? 'thumbnail' : part.card.cure === 'wet' ? 'tack' : 'thumb-twist';
  if (name === 'faceUp') return part.card.face === 'A' ? 'B' : 'A';
  return name === 'method' && part.card.bare?.prep === 'phosphated' ? 'phosphate' : null;
}
