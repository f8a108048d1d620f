import { firstOutOfRange, rangeFailure, type OutOfRange } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';

/** Shapes a part is added up from. Every length in millimetres, outside measures; one piece. */
export type Shape =
  /** Flat plate: one or both faces, edges left out. */
  | { readonly shape: 'plate'; readonly lengthMm: number; readonly widthMm: number; readonly faces: 1 | 2 }
  /** Round tube or bar by its outside; `isBoth` adds the inside of a tube of wall `wallMm`. */
  | {
      readonly shape: 'tube';
      readonly diameterMm: number;
      readonly lengthMm: number;
      readonly wallMm: number;
    }
  | { readonly shape: 'bar'; readonly diameterMm: number; readonly lengthMm: number }
  | { readonly shape: 'box'; readonly lengthMm: number; readonly widthMm: number; readonly heightMm: number }
  | {
      readonly shape: 'channel';
      readonly webMm: number;
      readonly flangeMm: number;
      readonly lengthMm: number;
    }
  | {
      readonly shape: 'angle';
      readonly legMm: number;
      readonly otherLegMm: number;
      readonly lengthMm: number;
    }
  | { readonly shape: 'i-beam'; readonly webMm: number; readonly flangeMm: number; readonly lengthMm: number }
  /** Closed cylinder: its side and both ends. */
  | { readonly shape: 'cylinder'; readonly diameterMm: number; readonly lengthMm: number }
  /** Side of a cone cut off, no ends. */
  | {
      readonly shape: 'frustum';
      readonly diameterMm: number;
      readonly otherDiameterMm: number;
      readonly heightMm: number;
    }
  /** Outside of a dished end: diameter across, height of the dish. */
  | { readonly shape: 'cap'; readonly diameterMm: number; readonly heightMm: number }
  /** Flat fins, both sides of each. */
  | {
      readonly shape: 'fin-stack';
      readonly lengthMm: number;
      readonly depthMm: number;
      readonly fins: number;
    };
export type ShapeKind = Shape['shape'];

const MM2_PER_M2 = 1e6;
/** Longest length taken, mm: a 100 m piece is a slip of the decimal point. */
export const LONGEST_MM = 100_000;
const SHORTEST_MM = 0.01;
const MOST_FINS = 2000;
const MAY_BE_ZERO: readonly string[] = ['wallMm', 'otherDiameterMm'];
/** A rough casting has more surface than its shape: ribs, bosses, fillets (common practice, no published source). */
export const CASTING_FACTOR = { least: 1.1, usual: 1.3, most: 1.6 } as const;

/** Which figures a shape asks for, in the order they are asked. */
export const SHAPE_FIELDS: {
  readonly [K in ShapeKind]: readonly Exclude<keyof Extract<Shape, { shape: K }>, 'shape'>[];
} = {
  plate: ['lengthMm', 'widthMm', 'faces'],
  tube: ['diameterMm', 'lengthMm', 'wallMm'],
  bar: ['diameterMm', 'lengthMm'],
  box: ['lengthMm', 'widthMm', 'heightMm'],
  channel: ['webMm', 'flangeMm', 'lengthMm'],
  angle: ['legMm', 'otherLegMm', 'lengthMm'],
  'i-beam': ['webMm', 'flangeMm', 'lengthMm'],
  cylinder: ['diameterMm', 'lengthMm'],
  frustum: ['diameterMm', 'otherDiameterMm', 'heightMm'],
  cap: ['diameterMm', 'heightMm'],
  'fin-stack': ['lengthMm', 'depthMm', 'fins'],
};

/**
 * Area to paint of one piece, m², by elementary geometry (mensuration of solids). A tube counts its inside too when a
 * wall is given (0: outside only). Thin sections count both sides of every leg and leave out the edges.
 * Refuses a length that is not above zero or beyond 100 m, a wall that fills the tube, and a cap higher than it is wide.
 */
export function shapeAreaM2(s: Shape): Result<number, OutOfRange> {
  for (const field of SHAPE_FIELDS[s.shape]) {
    const got = (s as unknown as Readonly<Record<string, number>>)[field]!;
    const least = MAY_BE_ZERO.includes(field) ? 0 : SHORTEST_MM;
    const failure =
      field === 'faces'
        ? rangeFailure(field, got, 1, 2, '')
        : field === 'fins'
          ? rangeFailure(field, got, 1, MOST_FINS, '')
          : rangeFailure(field, got, least, LONGEST_MM, 'mm');
    if (failure) return err(failure);
  }
  const filled = s.shape === 'tube' && firstOutOfRange([['wallMm', s.wallMm, 0, s.diameterMm / 2, 'mm']]);
  if (filled) return filled;
  const steep = s.shape === 'cap' && firstOutOfRange([['heightMm', s.heightMm, 0, s.diameterMm / 2, 'mm']]);
  if (steep) return steep;
  return ok(areaMm2(s) / MM2_PER_M2);
}

function areaMm2(s: Shape): number {
  const { PI } = Math;
  switch (s.shape) {
    case 'plate':
      return s.faces * s.lengthMm * s.widthMm;
    case 'tube':
      return PI * s.lengthMm * (s.diameterMm + (s.wallMm > 0 ? s.diameterMm - 2 * s.wallMm : 0));
    case 'bar':
      return PI * s.diameterMm * s.lengthMm;
    case 'box':
      return 2 * (s.lengthMm * s.widthMm + s.lengthMm * s.heightMm + s.widthMm * s.heightMm);
    case 'channel':
      return 2 * (s.webMm + 2 * s.flangeMm) * s.lengthMm;
    case 'angle':
      return 2 * (s.legMm + s.otherLegMm) * s.lengthMm;
    case 'i-beam':
      return 2 * (s.webMm + 2 * s.flangeMm) * s.lengthMm;
    case 'cylinder':
      return PI * s.diameterMm * s.lengthMm + (PI * s.diameterMm ** 2) / 2;
    case 'frustum': {
      const [r0, r1] = [s.diameterMm / 2, s.otherDiameterMm / 2];
      return PI * (r0 + r1) * Math.hypot(r1 - r0, s.heightMm);
    }
    case 'cap':
      return PI * ((s.diameterMm / 2) ** 2 + s.heightMm ** 2);
    case 'fin-stack':
      return 2 * s.fins * s.lengthMm * s.depthMm;
  }
}

const MOST_PIECES = 10_000;
/** Pieces of one shape, so many of them. */
export interface Pieces {
  readonly of: Shape;
  readonly count: number;
}
/** Shapes added up, m², times the casting factor (1 for smooth work, 1.1–1.6 for a rough casting). */
export function totalAreaM2(pieces: readonly Pieces[], castingFactor = 1): Result<number, OutOfRange> {
  const wrong = firstOutOfRange([['castingFactor', castingFactor, 1, CASTING_FACTOR.most, '']]);
  if (wrong) return wrong;
  let sum = 0;
  for (const p of pieces) {
    const failure = rangeFailure('count', Number.isInteger(p.count) ? p.count : NaN, 1, MOST_PIECES, '');
    if (failure) return err(failure);
    const one = shapeAreaM2(p.of);
    if (!one.ok) return one;
    sum += one.value * p.count;
  }
  return ok(sum * castingFactor);
}

/** Area from mass and wall, both sides of a thin shell: A = 2m/(ρt) (docs/calculations.md D). kg, mm, kg/m³ → m². */
export function areaFromMassM2(
  massKg: number,
  thicknessMm: number,
  densityKgM3: number,
): Result<number, OutOfRange> {
  const wrong = firstOutOfRange([
    ['massKg', massKg, 1e-4, 200_000, 'kg'],
    ['thicknessMm', thicknessMm, SHORTEST_MM, 1000, 'mm'],
  ]);
  if (wrong) return wrong;
  return ok((2 * massKg) / (densityKgM3 * (thicknessMm / 1000)));
}
