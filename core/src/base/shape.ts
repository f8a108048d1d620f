/**
 * Shapes as plain data: what a value may be, written once. The type is inferred from it here; the check at the door and the
 * published schema are made from it in contract, so that the three never say different things.
 */

/** What an id points at, so that it can be looked up. */
export type Ref = 'part' | 'place' | 'person' | 'sheet' | 'mix' | 'tin' | 'fact' | 'picture' | 'gauge';

type Described =
  | { readonly is: 'text'; readonly most: number }
  /** A calendar day, `2031-03-05`. */
  | { readonly is: 'day' }
  | { readonly is: 'id' | 'uuid'; readonly of: Ref | null }
  | {
      readonly is: 'number';
      readonly least: number;
      readonly most: number;
      readonly isAbove: boolean;
      readonly isWhole: boolean;
    }
  | { readonly is: 'one-of'; readonly values: readonly (string | number)[] }
  | { readonly is: 'yes-no' }
  | { readonly is: 'or-null'; readonly of: Shape }
  | { readonly is: 'list'; readonly of: Shape; readonly least: number; readonly most: number }
  | {
      readonly is: 'object';
      readonly needs: Readonly<Record<string, Shape>>;
      readonly may: Readonly<Record<string, Shape>>;
      /** Of these fields exactly one is there. */
      readonly oneOf: readonly string[];
    }
  /** A shape with a checker of its own, known by name. */
  | { readonly is: 'named'; readonly name: string };

/** A shape, and by inference the type of what fits it. */
export type Shape<T = unknown> = Described & {
  /** Never there: only carries the type. */
  readonly fits?: T;
};
export type Fits<S> = S extends { readonly fits?: infer T } ? Exclude<T, undefined> : never;

type Fields = Readonly<Record<string, Shape>>;
type FitsAll<N extends Fields, M extends Fields> = { readonly [K in keyof N]: Fits<N[K]> } & {
  readonly [K in keyof M]?: Fits<M[K]>;
};

/** Trimmed, never empty, at most so many characters. */
export const text = (most: number): Shape<string> => ({ is: 'text', most });
/** A calendar day, `2031-03-05`. */
export const day = (): Shape<string> => ({ is: 'day' });
/** An id the shop gives, of letters, digits, dots, colons and hyphens. */
export const id = (of: Ref | null = null): Shape<string> => ({ is: 'id', of });
/** An id a device makes. */
export const uuid = (of: Ref | null = null): Shape<string> => ({ is: 'uuid', of });
const numeric = (least: number, most: number, isAbove: boolean, isWhole: boolean): Shape<number> => ({
  is: 'number',
  least,
  most,
  isAbove,
  isWhole,
});
export const number = (least: number, most: number): Shape<number> => numeric(least, most, false, false);
export const whole = (least: number, most: number): Shape<number> => numeric(least, most, false, true);
/** More than nothing. */
export const above0 = (most: number): Shape<number> => numeric(0, most, true, false);
export const oneOf = <const V extends readonly (string | number)[]>(values: V): Shape<V[number]> => ({
  is: 'one-of',
  values,
});
export const yesNo = (): Shape<boolean> => ({ is: 'yes-no' });
export const orNull = <S extends Shape>(of: S): Shape<Fits<S> | null> => ({ is: 'or-null', of });
export const list = <S extends Shape>(of: S, least: number, most: number): Shape<readonly Fits<S>[]> => ({
  is: 'list',
  of,
  least,
  most,
});
/** Fields that are needed, and fields that may be left out; nothing else. Of `exactlyOne` one is there. */
export function object<N extends Fields>(needs: N): Shape<{ readonly [K in keyof N]: Fits<N[K]> }>;
export function object<N extends Fields, M extends Fields>(
  needs: N,
  may: M,
  exactlyOne?: readonly (keyof M & string)[],
): Shape<FitsAll<N, M>>;
export function object(needs: Fields, may: Fields = {}, exactlyOne: readonly string[] = []): Shape {
  return { is: 'object', needs, may, oneOf: exactlyOne };
}
export const named = <T>(name: string): Shape<T> => ({ is: 'named', name });

/** A field of a value that points at something, and where. */
export interface Pointer {
  readonly field: string;
  readonly of: Ref;
  readonly id: string;
}
/** Everything a value points at, by its shape. The value fits the shape. */
export function pointersIn(shape: Shape, value: unknown, field = ''): Pointer[] {
  if (value === null || value === undefined) return [];
  const under = (name: string): string => (field === '' ? name : `${field}.${name}`);
  switch (shape.is) {
    case 'id':
    case 'uuid':
      return shape.of !== null && typeof value === 'string' ? [{ field, of: shape.of, id: value }] : [];
    case 'or-null':
      return pointersIn(shape.of, value, field);
    case 'list':
      return (value as readonly unknown[]).flatMap((v, i) => pointersIn(shape.of, v, under(String(i))));
    case 'object':
      return Object.entries({ ...shape.needs, ...shape.may }).flatMap(([name, s]) =>
        pointersIn(s, (value as Readonly<Record<string, unknown>>)[name], under(name)),
      );
    default:
      return [];
  }
}
