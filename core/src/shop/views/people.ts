import { isoDay, localDay } from '../../base/zone.ts';
import { standingStock } from '../../facts/stock.ts';
import { checksOf, hasPassed } from '../../film/gaugeTrust.ts';
import { mayDo, type MayDo } from '../../people/inductions.ts';
import { inToday } from '../../people/inToday.ts';
import { INDUCTIONS, type Induction } from '../../people/kinds.ts';
import type { Person } from '../state.ts';
import type { Snapshot } from '../snapshot.ts';

/** What somebody may do alone today, by what is on record. */
export interface MayView {
  readonly to: Induction;
  readonly may: MayDo;
}
export interface PersonView {
  readonly personId: string;
  readonly inductions: readonly MayView[];
  /** In the shop since then; null: not in today, or gone home. */
  readonly inSinceMs: number | null;
}
/** What a session left to the next. */
export interface Handover {
  readonly factId: string;
  readonly text: string;
  readonly atMs: number;
  readonly personName: string | null;
}
/** A gauge or a scale as its last check left it; null: never checked here. */
export interface GaugeView {
  readonly gaugeId: string;
  readonly last: { readonly atMs: number; readonly passed: boolean } | null;
}
/** Who may do what, who is in, what was left to whom comes next, and what can be measured with. */
export interface PeopleView {
  readonly nowMs: number;
  /** The shop's own day, `2031-03-05`. */
  readonly day: string;
  readonly people: readonly PersonView[];
  /** Newest first. */
  readonly handovers: readonly Handover[];
  readonly gauges: readonly GaugeView[];
}

const HANDOVERS_SHOWN = 5;
/** A snapshot keeps its moment for a while, and clocks differ: what was entered just now counts. */
const JUST_NOW_MS = 5 * 60_000;

/** What somebody may do at a moment of the shop's. */
export function mayAt(
  { shop }: Pick<Snapshot, 'shop'>,
  person: Pick<Person, 'personId' | 'minorUntil'>,
  to: Induction,
  atMs: number,
): MayDo {
  return mayDo(shop.stock, person, to, { ms: atMs, day: isoDay(localDay(shop.workshop.zone, atMs)) });
}

/** Pure. */
export function peopleView(snapshot: Snapshot): PeopleView {
  const { shop, nowMs } = snapshot;
  const { zone } = shop.workshop;
  const nameOf = (personId: string): string | null =>
    shop.people.find((p) => p.personId === personId)?.name ?? null;
  const untilMs = nowMs + JUST_NOW_MS;
  const isIn = new Map(inToday(shop.stock, zone, nowMs, untilMs).map((p) => [p.personId, p.sinceMs]));
  return {
    nowMs,
    day: isoDay(localDay(zone, nowMs)),
    people: shop.people
      .filter((p) => !p.isAway)
      .map((p) => ({
        personId: p.personId,
        inductions: INDUCTIONS.map((to) => ({ to, may: mayAt(snapshot, p, to, untilMs) })),
        inSinceMs: isIn.get(p.personId) ?? null,
      })),
    handovers: standingStock(shop.stock)
      .flatMap((s): Handover[] =>
        s.kind === 'handed-over'
          ? [
              {
                factId: s.factId,
                text: s.body.text,
                atMs: s.happenedAtMs,
                personName: nameOf(s.personId),
              },
            ]
          : [],
      )
      .slice(-HANDOVERS_SHOWN)
      .reverse(),
    gauges: shop.gauges.map((g) => {
      const last = checksOf(shop.stock, g.gaugeId).at(-1);
      return {
        gaugeId: g.gaugeId,
        last: last ? { atMs: last.happenedAtMs, passed: hasPassed(last) } : null,
      };
    }),
  };
}
