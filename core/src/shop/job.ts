import type { OutOfRange } from '../base/failure.ts';
import type { Result } from '../base/result.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import { faceAreaM2 } from '../work/area.ts';
import { layMinutes } from '../work/minutes.ts';
import type { PartCard } from './views/card.ts';
import { coatPaint } from '../work/paint.ts';
import type { Applicator, WorkShape } from '../work/transfer.ts';
import { colourFor } from './shelf.ts';

/** Parts whose next coat is of one product and colour: what one cup can be mixed for. */
export interface JobGroup {
  readonly key: string;
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly parts: readonly PartCard[];
  /** How many of them can be coated at this moment. */
  readonly nowCount: number;
}

/** What a paint of one colour is called. */
export const jobKey = (of: { readonly sheetId: string; readonly colour: string | null }): string =>
  `${of.sheetId} ${of.colour ?? ''}`.trim();

const isNow = (c: PartCard): boolean => c.act.code === 'coat' || c.act.code === 'coat-if-accepted';

/** Parts in motion by what they take next; what can be coated now comes first. */
export function jobGroups(rows: readonly PartCard[], sheets: readonly ProductSheet[]): JobGroup[] {
  const groups = new Map<string, { sheet: ProductSheet; colour: string | null; parts: PartCard[] }>();
  for (const card of rows) {
    const sheet = sheets.find((s) => s.sheetId === card.next?.sheetId);
    if (!sheet) continue;
    const colour = colourFor(sheet, card.colourGroup);
    const key = jobKey({ sheetId: sheet.sheetId, colour });
    const known = groups.get(key);
    if (known) known.parts.push(card);
    else groups.set(key, { sheet, colour, parts: [card] });
  }
  return [...groups]
    .map(([key, g]) => ({
      key,
      ...g,
      parts: [...g.parts].sort((a, b) => Number(isNow(b)) - Number(isNow(a))),
      nowCount: g.parts.filter(isNow).length,
    }))
    .sort((a, b) => b.nowCount - a.nowCount || b.parts.length - a.parts.length);
}

export interface JobWay {
  readonly by: Applicator;
  readonly shape: WorkShape;
  readonly thinPct: number;
}
export interface PartNeed {
  readonly card: PartCard;
  readonly need: Result<
    { readonly mixedMl: number; readonly leastMl: number; readonly mostMl: number },
    OutOfRange
  > | null;
}

/** Mixed paint for a part's next coat on one face; null where its area is not known. */
export function needOf(card: PartCard, sheet: ProductSheet, way: JobWay): PartNeed {
  const isFirst = card.layers.every((l) => l.isPlanned);
  const need = coatPaint({
    areaM2: card.areaM2,
    faces: card.faceCount,
    sheet,
    dftUm: card.next?.dftUm ?? sheet.dftUm,
    by: way.by,
    shape: way.shape,
    profileUm: isFirst ? card.profileUm : 0,
    thinPct: way.thinPct,
  });
  if (need === null) return { card, need };
  return {
    card,
    need: need.ok
      ? {
          ok: true,
          value: {
            mixedMl: need.value.mixedL * 1000,
            leastMl: need.value.leastL * 1000,
            mostMl: need.value.mostL * 1000,
          },
        }
      : need,
  };
}

/** Minutes of laying one coat on all of a part; a usual area where none is known. */
export const coatMinutes = (card: Pick<PartCard, 'areaM2'>, sheet: ProductSheet, tool: Tool): number =>
  layMinutes(sheet, tool, faceAreaM2(card.areaM2, 1));

export interface JobTotal {
  readonly mixedMl: number;
  readonly leastMl: number;
  readonly mostMl: number;
  /** Parts left out because their area is not known. */
  readonly without: readonly string[];
}
export function totalOf(needs: readonly PartNeed[], marginPct: number): JobTotal {
  const known = needs.flatMap((n) => (n.need?.ok ? [n.need.value] : []));
  const sum = (of: (n: { mixedMl: number; leastMl: number; mostMl: number }) => number): number =>
    known.reduce((s, n) => s + of(n), 0) * (1 + marginPct / 100);
  return {
    mixedMl: sum((n) => n.mixedMl),
    leastMl: sum((n) => n.leastMl),
    mostMl: sum((n) => n.mostMl),
    without: needs.filter((n) => !n.need?.ok).map((n) => n.card.name),
  };
}
