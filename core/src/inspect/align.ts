import type { Spot } from '../film/filmMap.ts';

/** How one picture is laid over another: x' = a·x − b·y + e, y' = b·x + a·y + f, in the same units as the points. */
export interface Similarity {
  readonly a: number;
  readonly b: number;
  readonly e: number;
  readonly f: number;
}

/** Two points closer than this, in shares of a picture, say neither turn nor scale. */
const LEAST_APART = 0.02;

/**
 * Turn, scale and shift that bring two points of a picture onto the two they are of another. Coordinates of both in one unit (pixels, or
 * shares of the same length), not of different widths and heights. Null: two of the points lie on one another. Plane geometry.
 */
export function similarity(from: readonly [Spot, Spot], to: readonly [Spot, Spot]): Similarity | null {
  const [p, q] = from;
  const [u, v] = to;
  const dx = q.x - p.x;
  const dy = q.y - p.y;
  const du = v.x - u.x;
  const dv = v.y - u.y;
  const d2 = dx * dx + dy * dy;
  if (Math.sqrt(d2) < LEAST_APART || Math.hypot(du, dv) < LEAST_APART) return null;
  const a = (dx * du + dy * dv) / d2;
  const b = (dx * dv - dy * du) / d2;
  return { a, b, e: u.x - (a * p.x - b * p.y), f: u.y - (b * p.x + a * p.y) };
}
