import { dewMarginOf } from '../../ledger/airAt.ts';
import { judgeFilm } from '../../film/judgeFilm.ts';
import { originMs } from '../../facts/envelope.ts';
import { ofKind, standingFacts, type Face, type FactOf } from '../../facts/part.ts';
import { findingsOf, isOpenFinding } from '../../inspect/findings.ts';
import { SPENT_ON, type SpentOn } from '../../ledger/kinds.ts';
import { surfaceAt } from '../../part/thermal/track.ts';
import type { SurfaceSource, SurfaceStretch } from '../../part/thermal/track.ts';
import type { Person } from '../state.ts';
import { coatWindows, type CoatWindow } from './dossierWindows.ts';
import { surfaceOf, type DerivedPart } from '../part.ts';
import { certificatesOf, type Certificate } from '../../shelf/certificates.ts';
import { stockNow } from '../shelf.ts';
import type { Snapshot } from '../snapshot.ts';
import { partDetail } from './part.ts';
import type { FactView, PartDetail } from './partView.ts';

/** The air and the metal when a coat was finished; how each is known is said. */
export interface CoatAir {
  readonly airC: number;
  readonly surfaceC: number;
  /** Null: nobody knows the moisture of the air. */
  readonly rhPct: number | null;
  readonly dewMarginK: number | null;
  readonly source: SurfaceSource;
}
/** A coat that is on, with all that its record says. */
export interface DossierCoat {
  readonly factId: string;
  readonly face: Face;
  readonly no: number;
  readonly productName: string;
  readonly sheetId: string;
  /** As it stands on the tin its cup was mixed from; null: not noted. */
  readonly colour: string | null;
  readonly batch: string | null;
  readonly hardenerBatch: string | null;
  /** Papers of the batches it was mixed from. */
  readonly certificates: readonly Certificate[];
  readonly thinPct: number | null;
  readonly mixAgeMin: number | null;
  readonly tool: string | null;
  readonly loggedUm: number;
  readonly measuredUm: number | null;
  readonly thinnestUm: number | null;
  readonly atMs: number;
  readonly personName: string | null;
  readonly air: CoatAir | null;
  /** Why it went on against a rule; null: against none. */
  readonly reason: string | null;
}
/** Film readings with what they were judged by. */
export interface DossierFilm {
  readonly atMs: number;
  readonly face: Face | null;
  readonly by: 'gauge' | 'comb';
  readonly n: number;
  readonly meanUm: number;
  readonly leastUm: number;
  readonly mostUm: number;
  readonly nominalUm: number;
  readonly rule: string;
  readonly verdict: 'accepted' | 'refused' | 'unknown' | null;
  readonly correctionUm: number;
  readonly gauge: FactView['gauge'];
}
export interface DossierPart {
  readonly detail: PartDetail;
  readonly pairName: string | null;
  readonly coats: readonly DossierCoat[];
  /** Between each coat and the one over it. */
  readonly windows: readonly CoatWindow[];
  readonly films: readonly DossierFilm[];
  readonly findings: ReturnType<typeof findingsOf>;
  /** Pictures from before and after, by their id. */
  readonly pictures: readonly FactOf<'pictured'>[];
  /** What was put by for later eyes. */
  readonly samples: readonly FactOf<'sample-kept'>[];
  readonly workedH: number;
  readonly spentCents: Readonly<Record<SpentOn, number>>;
  /** Every entry, oldest first, those corrected and taken back too. */
  readonly history: readonly FactView[];
  /** How many findings are open, and which steps of the route are not done. */
  readonly openFindings: number;
  readonly stepsLeft: readonly string[];
}
/** All that is known of a machine or a part, to be taken away on paper or as data. */
export interface Dossier {
  readonly format: 'calvetta-dossier/1';
  readonly madeAtMs: number;
  readonly zone: string;
  readonly currency: string;
  readonly shopName: string;
  readonly title: string;
  readonly machineName: string;
  /** What it is and its number in a collection's register. */
  readonly machineKind: string;
  readonly accession: string | null;
  readonly parts: readonly DossierPart[];
  /** What people are called on paper, by their ids. */
  readonly names: Readonly<Record<string, string>>;
}

/** Who stands on paper: by name who has agreed to it, the others as volunteers with a number. */
export function namesOnPaper(people: readonly Person[]): (personId: string) => string {
  const others = people
    .filter((p) => !p.isNamed)
    .map((p) => p.personId)
    .sort();
  return (personId) => {
    const named = people.find((p) => p.personId === personId && p.isNamed);
    const at = others.indexOf(personId);
    return named?.name ?? (at < 0 ? 'somebody' : `volunteer ${at + 1}`);
  };
}

/** The dossier of some parts of one machine, in the order given. Pure. */
export function dossierOf(snapshot: Snapshot, title: string, parts: readonly DerivedPart[]): Dossier {
  const { workshop, machines } = snapshot.shop;
  const machine = machines.find((m) => m.machineId === parts[0]?.row.machineId);
  return {
    format: 'calvetta-dossier/1',
    madeAtMs: snapshot.nowMs,
    zone: workshop.zone,
    currency: workshop.currency,
    shopName: workshop.name,
    title,
    machineName: machine?.name ?? '',
    machineKind: machine?.kind ?? '',
    accession: machine?.accession ?? null,
    parts: parts.map((p) => dossierPart(snapshot, p)),
    names: Object.fromEntries(
      snapshot.shop.people.map((p) => [p.personId, namesOnPaper(snapshot.shop.people)(p.personId)]),
    ),
  };
}

export function dossierPart(snapshot: Snapshot, part: DerivedPart): DossierPart {
  const standing = standingFacts(part.facts);
  const detail = partDetail(snapshot, part);
  const findings = findingsOf(standing);
  const spent = ofKind(standing, 'spent');
  const pair = part.row.pairPartId === null ? undefined : snapshot.parts.get(part.row.pairPartId);
  const first = part.state.faces.flatMap((f) => f.coats.map((c) => c.t0Ms));
  const track = first.length === 0 ? [] : surfaceOf(snapshot.shop, snapshot, part, Math.min(...first));
  return {
    detail,
    pairName: pair?.row.name ?? null,
    coats: coatsOf(snapshot, part, detail.facts, track),
    windows: coatWindows(snapshot, part, track),
    films: ofKind(standing, 'film-read').flatMap((f) =>
      filmOf(part, f, detail.facts.find((v) => v.factId === f.factId)?.gauge ?? null),
    ),
    findings,
    pictures: ofKind(standing, 'pictured').filter(
      (f) => f.body.stage === 'before' || f.body.stage === 'after',
    ),
    samples: ofKind(standing, 'sample-kept'),
    workedH: ofKind(standing, 'worked').reduce((sum, f) => sum + f.body.minutes, 0) / 60,
    spentCents: Object.fromEntries(
      SPENT_ON.map((on) => [on, spent.reduce((s, f) => s + (f.body.on === on ? f.body.cents : 0), 0)]),
    ) as Record<SpentOn, number>,
    history: [...detail.facts].reverse(),
    openFindings: findings.filter(isOpenFinding).length,
    stepsLeft: detail.route.flatMap((s) =>
      (s.sheetId === null ? s.record?.status === 'recorded' : s.coatsDone >= s.coats) ? [] : [s.stepId],
    ),
  };
}

function coatsOf(
  snapshot: Snapshot,
  part: DerivedPart,
  facts: readonly FactView[],
  track: readonly SurfaceStretch[],
): DossierCoat[] {
  const byId = new Map(facts.map((f) => [f.factId, f]));
  const nameOf = namesOnPaper(snapshot.shop.people);
  return part.state.faces.flatMap((face) =>
    face.coats.map((c, i): DossierCoat => {
      const fact = byId.get(c.factId);
      const body = fact?.kind === 'coated' ? fact.body : null;
      const at = surfaceAt(track, c.t0Ms);
      return {
        factId: c.factId,
        face: face.face,
        no: i + 1,
        productName: c.sheet.name,
        sheetId: c.sheet.sheetId,
        colour: mixOf(snapshot, body?.mixId)?.fact.body.colour ?? null,
        batch: c.batch ?? fact?.mix?.batch ?? null,
        hardenerBatch: fact?.mix?.hardenerBatch ?? null,
        certificates: papersOf(snapshot, body?.mixId),
        thinPct: body?.thinnerPct ?? fact?.mix?.thinPct ?? null,
        mixAgeMin: fact?.mix?.ageMinutes ?? null,
        tool: body?.tool ?? null,
        loggedUm: c.dftUm,
        measuredUm: c.measuredUm,
        thinnestUm: c.thinnestUm,
        atMs: c.t0Ms,
        personName: fact ? nameOf(fact.personId) : null,
        air: at && {
          airC: at.airC,
          surfaceC: at.surfaceC,
          source: at.source,
          ...dewMarginOf(at.vapourHpa, at.airC, at.surfaceC),
        },
        reason: body?.reason ?? null,
      };
    }),
  );
}

const mixOf = (snapshot: Snapshot, mixId: string | undefined) =>
  mixId === undefined ? undefined : stockNow(snapshot).ledger.mixes.get(mixId);

/** Papers of the tins that a mix was poured from. */
function papersOf(snapshot: Snapshot, mixId: string | undefined): Certificate[] {
  const { tins, stock } = snapshot.shop;
  const mix = mixOf(snapshot, mixId);
  const { aTinId, bTinId } = mix?.fact.body ?? { aTinId: null, bTinId: null };
  return tins
    .filter((t) => t.tinId === aTinId || t.tinId === bTinId)
    .flatMap((t) => certificatesOf(t, tins, stock));
}

function filmOf(part: DerivedPart, f: FactOf<'film-read'>, gauge: FactView['gauge']): DossierFilm[] {
  const areaM2 = part.row.areaM2 === null ? null : part.row.areaM2 / part.row.faceCount;
  const { statistics: s, acceptance, correctionUm } = judgeFilm(f.body, areaM2);
  if (!s) return [];
  return [
    {
      atMs: originMs(f),
      face: f.face,
      by: f.body.by,
      n: s.n,
      meanUm: s.meanUm,
      leastUm: s.leastUm,
      mostUm: s.mostUm,
      nominalUm: f.body.nominalUm,
      rule: f.body.rule,
      verdict: acceptance?.verdict ?? null,
      correctionUm,
      gauge,
    },
  ];
}
