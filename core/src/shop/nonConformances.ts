import { endOfDay } from '../base/zone.ts';
import { originMs } from '../facts/envelope.ts';
import { ofKind, standingFacts, type Face, type Fact, type FactOf } from '../facts/part.ts';
import { gaugeTrust } from '../film/gaugeTrust.ts';
import { judgeFilm } from '../film/judgeFilm.ts';
import { coatTakes, handsTrouble, stripTakes, type HandsTrouble } from '../people/inductions.ts';
import type { Induction } from '../people/kinds.ts';
import type { DerivedPart } from './part.ts';
import { stockNow } from './shelf.ts';
import type { Snapshot } from './snapshot.ts';
import { mayAt } from './views/people.ts';

/** Why an entry does not conform, with its figure. */
export type NonConformity =
  | {
      readonly what: 'film-refused';
      readonly meanUm: number;
      readonly leastUm: number;
      readonly nominalUm: number;
      readonly rule: string;
    }
  /** What it was read or weighed with failed a check. */
  | { readonly what: 'gauge-in-doubt'; readonly gaugeName: string; readonly checkMs: number | null }
  | { readonly what: 'scale-in-doubt'; readonly gaugeName: string; readonly checkMs: number | null }
  /** It was done against a rule, for this reason. */
  | { readonly what: 'against-rule'; readonly reason: string }
  | { readonly what: 'not-inducted'; readonly to: Induction; readonly may: HandsTrouble['may'] };

export interface Concession {
  readonly factId: string;
  readonly allowedBy: string;
  readonly reason: string;
  readonly reference: string | null;
  readonly untilDay: string | null;
  /** It was allowed up to a day that is over. */
  readonly isOver: boolean;
}
export interface NonConformance {
  /** The entry that does not conform. */
  readonly factId: string;
  readonly kind: Fact['kind'];
  readonly face: Face | null;
  readonly atMs: number;
  readonly why: NonConformity;
  /** What allows it to stay; null: nobody has said. */
  readonly concession: Concession | null;
}

/**
 * What of a part's record does not conform, each with what allows it to stay: films their rule refuses, readings and mixes of instruments
 * that failed a check since, what was laid against a rule, and work of people whom nobody had shown how. What was found is beside this:
 * it is open or closed by its own entries. Pure.
 */
export function nonConformancesOf(snapshot: Snapshot, part: DerivedPart): NonConformance[] {
  const standing = standingFacts(part.facts);
  const conceded = ofKind(standing, 'conceded');
  return standing.flatMap((f) =>
    whyNot(snapshot, part, f).map((why) => ({
      factId: f.factId,
      kind: f.kind,
      face: f.face,
      atMs: originMs(f),
      why,
      concession: concessionOf(snapshot, conceded, f.factId),
    })),
  );
}

function concessionOf(
  { shop, nowMs }: Snapshot,
  conceded: readonly FactOf<'conceded'>[],
  factId: string,
): Concession | null {
  const last = conceded.filter((c) => c.body.aboutId === factId).at(-1);
  if (!last) return null;
  const { allowedBy, reason, reference, until } = last.body;
  return {
    factId: last.factId,
    allowedBy,
    reason,
    reference: reference ?? null,
    untilDay: until ?? null,
    isOver: until !== undefined && endOfDay(shop.workshop.zone, until) <= nowMs,
  };
}

function whyNot(snapshot: Snapshot, part: DerivedPart, f: Fact): NonConformity[] {
  switch (f.kind) {
    case 'film-read':
      return filmTroubles(snapshot, part, f);
    case 'coated': {
      const sheet = snapshot.shop.sheets.get(f.body.sheetId);
      const takes = sheet && f.body.tool ? coatTakes(sheet, f.body.tool) : [];
      const { reason } = f.body;
      return [
        ...(reason === undefined ? [] : [{ what: 'against-rule' as const, reason }]),
        ...handsOf(snapshot, f, takes),
        ...scaleTroubles(snapshot, f),
      ];
    }
    case 'stripped':
      return handsOf(snapshot, f, stripTakes(f.body.method));
    default:
      return [];
  }
}

function filmTroubles(snapshot: Snapshot, part: DerivedPart, f: FactOf<'film-read'>): NonConformity[] {
  const areaM2 = part.row.areaM2 === null ? null : part.row.areaM2 / part.row.faceCount;
  const { statistics, acceptance } = judgeFilm(f.body, areaM2);
  const { nominalUm, rule, gaugeId } = f.body;
  const trust = gaugeId === undefined ? null : gaugeTrust(snapshot.shop.stock, gaugeId, originMs(f));
  return [
    ...(acceptance?.verdict === 'refused' && statistics
      ? [
          {
            what: 'film-refused' as const,
            meanUm: statistics.meanUm,
            leastUm: statistics.leastUm,
            nominalUm,
            rule,
          },
        ]
      : []),
    ...(trust?.state === 'doubt'
      ? [
          {
            what: 'gauge-in-doubt' as const,
            gaugeName: gaugeName(snapshot, gaugeId),
            checkMs: trust.checkMs,
          },
        ]
      : []),
  ];
}

/** The mix was weighed on a scale that failed a check. */
function scaleTroubles(snapshot: Snapshot, f: FactOf<'coated'>): NonConformity[] {
  const { mixId } = f.body;
  const mix = mixId === undefined ? undefined : stockNow(snapshot).ledger.mixes.get(mixId);
  const gaugeId = mix?.fact.body.gaugeId;
  if (!mix || gaugeId === undefined) return [];
  const trust = gaugeTrust(snapshot.shop.stock, gaugeId, mix.fact.happenedAtMs);
  if (trust.state !== 'doubt') return [];
  return [{ what: 'scale-in-doubt', gaugeName: gaugeName(snapshot, gaugeId), checkMs: trust.checkMs }];
}
const gaugeName = (snapshot: Snapshot, gaugeId: string | undefined): string =>
  snapshot.shop.gauges.find((g) => g.gaugeId === gaugeId)?.name ?? 'a gauge';

function handsOf(snapshot: Snapshot, f: Fact, takes: readonly Induction[]): NonConformity[] {
  const person = snapshot.shop.people.find((p) => p.personId === f.personId);
  if (!person || takes.length === 0) return [];
  const trouble = handsTrouble(f.personId, takes, (to) => mayAt(snapshot, person, to, originMs(f)));
  return trouble ? [{ what: trouble.why, to: trouble.to, may: trouble.may }] : [];
}
