import { firstOutOfRange, type Contradiction, type OutOfRange } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';

/** A straight or tapered cup by its inside, mm. */
export interface CupShape {
  readonly bottomMm: number;
  readonly topMm: number;
  readonly heightMm: number;
}
const MM3_PER_ML = 1000;
/** Tapers below this are straight to within what a ruler shows. */
const STRAIGHT_K = 1e-6;
/** Water at 20 °C, g/mL (CRC Handbook of Chemistry and Physics). */
export const WATER_G_ML = 0.9982;

export function checkCup(c: CupShape): Result<CupShape, OutOfRange> {
  return (
    firstOutOfRange([
      ['bottomMm', c.bottomMm, 5, 1000, 'mm'],
      ['topMm', c.topMm, 5, 1000, 'mm'],
      ['heightMm', c.heightMm, 5, 1000, 'mm'],
    ]) ?? ok(c)
  );
}

/** Volume below a height, mL: a frustum of a cone (mensuration). Heights beyond the rim count as full. */
export function cupVolumeMl(c: CupShape, heightMm: number): number {
  const h = Math.min(Math.max(heightMm, 0), c.heightMm);
  const r0 = c.bottomMm / 2;
  const r = r0 + ((c.topMm - c.bottomMm) / 2 / c.heightMm) * h;
  return (Math.PI * h * (r0 * r0 + r0 * r + r * r)) / 3 / MM3_PER_ML;
}
export const cupFullMl = (c: CupShape): number => cupVolumeMl(c, c.heightMm);

/** Height at which a volume stands, mm: k = (r1 − r0)/H, h = (∛(r0³ + 3kV/π) − r0)/k (docs/calculations.md E). Refuses more than the cup holds. */
export function cupHeightMm(c: CupShape, volumeMl: number): Result<number, OutOfRange> {
  const full = cupFullMl(c);
  const wrong = firstOutOfRange([['volumeMl', volumeMl, 0, full * (1 + 1e-12), 'mL']]);
  if (wrong) return wrong;
  const mm3 = volumeMl * MM3_PER_ML;
  const r0 = c.bottomMm / 2;
  const k = (c.topMm - c.bottomMm) / 2 / c.heightMm;
  if (Math.abs(k) < STRAIGHT_K) return ok(mm3 / (Math.PI * r0 * r0));
  return ok((Math.cbrt(r0 ** 3 + (3 * k * mm3) / Math.PI) - r0) / k);
}

/** A mark on the cup: up to where it is filled, and with what. */
export interface CupMark {
  readonly part: 'a' | 'b' | 'thinner';
  readonly toMl: number;
  readonly heightMm: number;
}
/** Marks for pouring one part after the other; parts of nothing have none. Refuses a batch that runs over. */
export function cupMarks(
  c: CupShape,
  batch: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number },
): Result<CupMark[], OutOfRange> {
  const marks: CupMark[] = [];
  let toMl = 0;
  for (const [part, ml] of [
    ['a', batch.aMl],
    ['b', batch.bMl],
    ['thinner', batch.thinnerMl],
  ] as const) {
    if (ml <= 0) continue;
    toMl += ml;
    const height = cupHeightMm(c, toMl);
    if (!height.ok) return height;
    marks.push({ part, toMl, heightMm: height.value });
  }
  return ok(marks);
}

/**
 * A cup measured by weighing water: full, and filled to half its height. Both radii follow: with F and G the mean cross
 * sections (over π) of the whole and of the lower half, m the middle radius and b the taper, m·b = 2(F − G) and
 * m² + b²/12 = F. Refuses weights that no straight-sided cup of this height has.
 */
export function cupFromWater(
  heightMm: number,
  fullG: number,
  halfG: number,
): Result<CupShape, OutOfRange | Contradiction> {
  const wrong = firstOutOfRange([
    ['heightMm', heightMm, 5, 1000, 'mm'],
    ['fullG', fullG, 1, 100_000, 'g'],
    ['halfG', halfG, 0.1, fullG, 'g'],
  ]);
  if (wrong) return wrong;
  const f = ((fullG / WATER_G_ML) * MM3_PER_ML) / (Math.PI * heightMm);
  const g = ((halfG / WATER_G_ML) * MM3_PER_ML) / (Math.PI * (heightMm / 2));
  const under = f * f - (4 * (f - g) ** 2) / 3;
  const no: Contradiction = {
    code: 'contradiction',
    field: 'halfG',
    rule: 'no straight-sided cup weighs so',
  };
  if (under < 0) return err(no);
  const m = Math.sqrt((f + Math.sqrt(under)) / 2);
  const b = (2 * (f - g)) / m;
  if (Math.abs(b) >= 2 * m) return err(no);
  return checkCup({ bottomMm: 2 * m - b, topMm: 2 * m + b, heightMm });
}
