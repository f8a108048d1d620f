import { DAY_MS, HOUR_MS } from '../base/time.ts';
import { layIntervals, windowRule, type Film } from '../cure/windows.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';

/** Grits an edge is feathered with, coarse then fine, P, and how far past it, mm (common practice, no published source). */
export const FEATHER = { gritsP: [240, 320], beyondMm: 30 } as const;
/** Touching up is reckoned in a workshop at this temperature: the sheet's usual one. */
export const TOUCH_UP_C = 20;

/** A coat as it is laid again, and when the next may follow, hours at 20 °C. */
export interface TouchUpCoat {
  readonly sheetId: string;
  readonly productName: string;
  readonly colour: string | null;
  readonly batch: string | null;
  readonly filmUm: number;
  /** Null: it is the last; or nobody knows. */
  readonly nextFromH: number | null;
  /** Null: no end, or the same. */
  readonly nextToH: number | null;
}
interface Laid {
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly batch: string | null;
  readonly filmUm: number;
}

const steady: readonly SurfaceStretch[] = [
  {
    fromMs: 0,
    toMs: 400 * DAY_MS,
    fromC: TOUCH_UP_C,
    toC: TOUCH_UP_C,
    airFromC: TOUCH_UP_C,
    airToC: TOUCH_UP_C,
    fromVapourHpa: null,
    toVapourHpa: null,
    source: 'surface',
  },
];

/** When a coat may follow another at 20 °C, nominal hours, the first span that needs no abrading. */
function windowAt20(below: ProductSheet, next: ProductSheet): Pick<TouchUpCoat, 'nextFromH' | 'nextToH'> {
  const rule = windowRule(below, next);
  const film: Film = {
    sheet: below,
    t0Ms: 0,
    track: steady,
    slowBy: 1,
    speedBy: 1,
    minRecoatTests: [],
    isOutdoors: false,
  };
  const span =
    rule.kind === 'intervals'
      ? layIntervals(film, rule.intervals).find((i) => i.prep !== 'forbidden' && i.prep !== 'abrade')
      : undefined;
  const hours = (ms: number | null | undefined): number | null => (ms == null ? null : ms / HOUR_MS);
  return { nextFromH: hours(span?.from.nominalMs), nextToH: hours(span?.to?.nominalMs) };
}

/** How a finished film is mended where it is chipped to the metal: its own coats again, from the metal up, each with the window to the next. Pure. */
export const touchUpOf = (coats: readonly Laid[]): readonly TouchUpCoat[] =>
  coats.map(({ sheet, colour, batch, filmUm }, i) => ({
    sheetId: sheet.sheetId,
    productName: sheet.name,
    colour,
    batch,
    filmUm,
    ...(coats[i + 1] ? windowAt20(sheet, coats[i + 1]!.sheet) : { nextFromH: null, nextToH: null }),
  }));
