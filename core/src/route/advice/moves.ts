import type { Advice, AdvisedRoute } from '../advise.ts';
import { WAYS, type Way } from '../surface/act.ts';

/** What one answer did to an advice. */
export interface Moves {
  readonly ways: { readonly came: readonly Way[]; readonly went: readonly Way[] };
  /** Families, by id, that nothing refuses any more, and those that something refuses now. */
  readonly families: { readonly came: readonly string[]; readonly went: readonly string[] };
  /** The route that leads now in place of another; null: the same one leads. */
  readonly lead: { readonly from: AdvisedRoute | null; readonly to: AdvisedRoute } | null;
  /** Routes that hold, before and now. */
  readonly held: readonly [before: number, now: number];
}

const holding = (a: Advice): readonly AdvisedRoute[] => a.routes.filter((r) => r.answer.kind !== 'refer');
const waysOf = (a: Advice): ReadonlySet<Way> =>
  new Set([...holding(a).map((r) => r.way), ...a.unshown.map((u) => u.way)]);
const refusedOf = (a: Advice): ReadonlySet<string> =>
  new Set(a.refused.filter((r) => r.about === 'family').map((r) => r.id));
const without = <T>(all: Iterable<T>, those: ReadonlySet<T>): T[] => [...all].filter((x) => !those.has(x));
/** A route as a person tells it from another: how it is prepared, and what goes on. */
export const toldApart = (r: AdvisedRoute | undefined): string =>
  r === undefined
    ? ''
    : [
        r.way,
        r.answer.what,
        ...r.choice.acts,
        ...r.choice.layers.map((l) => `${l.familyId}x${l.coats}`),
      ].join();

/** What moved between two advices on one part. Pure. */
export function movesOf(before: Advice, after: Advice): Moves {
  const [wasWays, isWays] = [waysOf(before), waysOf(after)];
  const [wasRefused, isRefused] = [refusedOf(before), refusedOf(after)];
  const [from, to] = [holding(before)[0], after.routes[0]!];
  return {
    ways: {
      came: WAYS.filter((w) => isWays.has(w) && !wasWays.has(w)),
      went: WAYS.filter((w) => wasWays.has(w) && !isWays.has(w)),
    },
    families: { came: without(wasRefused, isRefused), went: without(isRefused, wasRefused) },
    lead: toldApart(from) === toldApart(to) ? null : { from: from ?? null, to },
    held: [holding(before).length, holding(after).length],
  };
}
