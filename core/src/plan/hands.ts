import { localDay } from '../base/zone.ts';
import { absentShare, type CameBook } from '../people/absence.ts';
import { comesOn } from '../people/attendance.ts';
import type { Induction } from '../people/kinds.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { mayAt } from '../shop/views/people.ts';
import type { Hand, PlanAsk, PlanOp, Skill } from './problem.ts';
import { isIsocyanate } from './way.ts';

/** So many hands of whom so many spray, and anybody blasts. */
export const unnamed = (people: number, painters: number): Hand[] =>
  Array.from({ length: people }, (_, i) => ({
    name: null,
    sprays: i < painters,
    isMasked: i < painters,
    blasts: true,
  }));

/** Who comes to a session, by what each has said, and what they may do by the inductions on record; and hands that are only supposed. */
export function whoComes(snapshot: Snapshot, ask: PlanAsk, book: CameBook, atMs: number): Hand[] {
  const extra = unnamed(ask.extra?.people ?? 0, ask.extra?.painters ?? 0);
  if (ask.people !== null) return [...unnamed(ask.people, ask.painters), ...extra];
  const day = localDay(snapshot.shop.workshop.zone, atMs);
  const there = snapshot.shop.people
    .filter((p) => !p.isAway && comesOn(p.comes, day))
    .map((p): Hand => {
      const may = (to: Induction): boolean =>
        ['inducted', 'not-kept'].includes(mayAt(snapshot, p, to, atMs).state);
      const sprays = may('spray');
      return {
        name: p.name,
        sprays,
        isMasked: sprays && may('air-fed'),
        blasts: may('blast'),
        absent: absentShare(book, p),
      };
    });
  return [...there, ...extra];
}

/** Whether it takes a blaster. */
export const isBlast = ({ kind, what }: { readonly kind: string; readonly what: string | null }): boolean =>
  kind === 'strip' && what !== null && (what.includes('blast') || what === 'sweep');

/** What a piece of work takes: a run a painter, isocyanate in the air one with a mask, a blast a blaster. What is taken away to be blasted takes none of ours. */
export function skillOf(op: PlanOp): Skill | null {
  if (op.coat) return isIsocyanate(op) ? 'masked' : 'spray';
  return isBlast(op) ? 'blast' : null;
}

/**
 * Of how many hands there are for skills taken together. Enough for every set of skills is enough for all (Hall 1935); who sprays with a
 * mask sprays without, so five sets are all there are.
 */
export interface Caps {
  readonly masked: number;
  readonly spray: number;
  readonly blast: number;
  readonly maskedOrBlast: number;
  readonly sprayOrBlast: number;
}
export const capsOf = (who: readonly Hand[]): Caps => {
  const count = (is: (h: Hand) => boolean): number => who.filter(is).length;
  return {
    masked: count((h) => h.isMasked),
    spray: count((h) => h.sprays),
    blast: count((h) => h.blasts),
    maskedOrBlast: count((h) => h.isMasked || h.blasts),
    sprayOrBlast: count((h) => h.sprays || h.blasts),
  };
};
/** Whether so many jobs at once find hands; jobs with a mask are not among `spray`. */
export const isManned = (caps: Caps, masked: number, spray: number, blast: number): boolean =>
  masked <= caps.masked &&
  masked + spray <= caps.spray &&
  blast <= caps.blast &&
  masked + blast <= caps.maskedOrBlast &&
  masked + spray + blast <= caps.sprayOrBlast;
