import { useState } from 'react';
import type { Read, Reader } from './read.ts';

/** How each field of a form is read. */
export type Readers = Readonly<Record<string, Reader<unknown>>>;
type ValueOf<R> = R extends Reader<infer T> ? T : never;
/** What a form holds once every field reads. */
export type ValuesOf<R extends Readers> = { readonly [K in keyof R]: ValueOf<R[K]> };
/** A field of a draft, ready for an input. */
export interface Bound {
  readonly value: string;
  readonly problem: string | null;
  readonly onChange: (text: string) => void;
}

export interface Draft<R extends Readers> {
  readonly texts: Readonly<Record<keyof R, string>>;
  readonly set: (patch: Partial<Record<keyof R, string>>) => void;
  readonly bind: (name: keyof R & string) => Bound;
  /** One field as it reads now; null while it does not. Says nothing. */
  readonly peek: <K extends keyof R>(name: K) => ValueOf<R[K]> | null;
  /** Every field as it reads now; null while one does not. Says nothing. */
  readonly values: ValuesOf<R> | null;
  /** Every field read; when one will not do, each says why at its place, and null comes back. */
  readonly read: () => ValuesOf<R> | null;
  /** Back to how it began, without a word of what is missing. */
  readonly clear: () => void;
}

/**
 * A form that is being filled in: texts as typed, read when asked. A problem shows once the form was asked for its values, and
 * goes as soon as its field is changed.
 */
export function useDraft<R extends Readers>(
  readers: R,
  first: Readonly<Record<keyof R, string>> | (() => Readonly<Record<keyof R, string>>),
): Draft<R> {
  const [texts, setTexts] = useState(first);
  const [shown, setShown] = useState<ReadonlySet<keyof R>>(new Set());
  const names = Object.keys(readers) as (keyof R & string)[];
  const readOne = (name: keyof R): Read<unknown> => readers[name]!(texts[name]);
  const whole = (): ValuesOf<R> | null => {
    const all = names.map((n) => [n, readOne(n)] as const);
    return all.every(([, r]) => r.ok)
      ? (Object.fromEntries(all.flatMap(([n, r]) => (r.ok ? [[n, r.value]] : []))) as ValuesOf<R>)
      : null;
  };
  const set = (patch: Partial<Record<keyof R, string>>): void => {
    setTexts((old) => ({ ...old, ...patch }));
    setShown((old) => new Set([...old].filter((n) => !(n in patch))));
  };
  return {
    texts,
    set,
    bind: (name) => {
      const r = readOne(name);
      return {
        value: texts[name],
        problem: shown.has(name) && !r.ok ? r.problem : null,
        onChange: (text) => set({ [name]: text } as Partial<Record<keyof R, string>>),
      };
    },
    peek: (name) => {
      const r = readOne(name);
      return r.ok ? (r.value as ValueOf<R[typeof name]>) : null;
    },
    values: whole(),
    read: () => {
      setShown(new Set(names));
      return whole();
    },
    clear: () => {
      setTexts(first);
      setShown(new Set());
    },
  };
}
