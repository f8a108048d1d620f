import { originMs } from '../../facts/envelope.ts';
import { ofKind, standingFacts, type Face, type Fact, type FactOf } from '../../facts/part.ts';
import { filmMap, type MappedReading } from '../../film/filmMap.ts';
import { judgeFilm } from '../../film/judgeFilm.ts';
import { findingsOf, foundAtMs, isOpenFinding, type Finding } from '../../inspect/findings.ts';
import type { Only } from '../../inspect/faults/table.ts';
import { levelState, type LevelCycle, type LevelFace, type LevelState } from '../../inspect/level.ts';
import { type LevelStandard } from '../../inspect/kinds.ts';
import { EVEN_WEIGHTS, repairOptions, wallLeftMm, type RepairOption } from '../../inspect/options.ts';
import { judgePits, type PitVerdict } from '../../inspect/pits.ts';
import type { FilmRecord } from '../../inspect/record/filmRecord.ts';
import type { RemedyId } from '../../inspect/kinds.ts';
import {
  cannotBe,
  evidenceWith,
  recordSays,
  type Answered,
  type Evident,
} from '../../inspect/record/evidence.ts';
import { mendPlan, type MendPlan } from '../../inspect/mendPlan.ts';
import { mendSteps, remediesOf, type MendStepNow } from '../../inspect/remedies.ts';
import { trialDueMs, trialOf, type TrialVerdict } from '../../inspect/trial.ts';
import { PART_KINDS, type PartKind } from '../../part/kinds.ts';
import { wholeSurvey, type Survey } from '../../part/survey.ts';
import { filmRecordOf } from '../filmRecord.ts';
import { surfaceOf, type DerivedPart } from '../part.ts';
import { partsInUse, type Snapshot } from '../snapshot.ts';
import { cardOf, type PartCard } from './card.ts';
import { momentOf, type Moment } from './moment.ts';

/** A coat that a fault may be seen on. */
export interface CoatOn {
  readonly factId: string;
  readonly face: Face;
  readonly name: string;
  readonly coatNo: number;
  readonly t0Ms: number;
  readonly packs: 1 | 2;
}
/** A finding with all that its causes are weighed from. */
export interface FindingView extends Finding {
  readonly personName: string | null;
  readonly coat: CoatOn | null;
  readonly evidence: readonly Evident[];
  readonly answers: readonly Answered[];
  readonly cannotBe: readonly Only[];
  readonly steps: readonly MendStepNow[];
  /** What each remedy would come to on this face, until one is chosen. */
  readonly plans: Readonly<Partial<Record<RemedyId, MendPlan>>>;
}
export interface LevelView {
  readonly face: Face | null;
  readonly standard: LevelStandard | null;
  readonly cycles: readonly (LevelCycle & { readonly factId: string; readonly atMs: number })[];
  readonly state: LevelState | null;
}
export interface PitsView {
  readonly fact: FactOf<'pits-measured'>;
  readonly verdict: PitVerdict;
  readonly leftMm: number | null;
  readonly options: readonly RepairOption[];
}
export interface TrialView {
  readonly fact: FactOf<'adhesion-tried'>;
  readonly productName: string;
  readonly verdict: TrialVerdict | null;
}
/** The newest readings of a face that have their places, on one drawing. */
export interface FilmMapView {
  readonly face: Face | null;
  /** Of the newest of them. */
  readonly atMs: number;
  readonly nominalUm: number;
  readonly readings: readonly MappedReading[];
  /** A coat went over it since: it is the film of then. */
  readonly isCovered: boolean;
}
export interface InspectView extends Moment {
  readonly card: PartCard;
  readonly kind: PartKind;
  readonly survey: Survey | null;
  readonly findings: readonly FindingView[];
  /** The other hand of a pair, with what was found on it. */
  readonly pair: {
    readonly partId: string;
    readonly name: string;
    readonly findings: readonly Finding[];
  } | null;
  readonly coats: readonly CoatOn[];
  readonly levels: readonly LevelView[];
  readonly pits: readonly PitsView[];
  readonly trials: readonly TrialView[];
  readonly pictures: readonly FactOf<'pictured'>[];
  readonly rust: readonly FactOf<'rust-measured'>[];
  /** Film readings whose place is known, face by face. */
  readonly films: readonly FilmMapView[];
  readonly cards: readonly FactOf<'card-tested'>[];
  /** When a trial of the newest coat of each face is worth making; null: not within what is known. */
  readonly trialDue: readonly {
    readonly face: Face;
    readonly sheetId: string;
    readonly name: string;
    readonly dueMs: number | null;
  }[];
}

/** Answers of a finding: the last one of each code; "not known" takes an answer back. */
function answersOf(answers: readonly FactOf<'finding-answered'>[], findingId: string): Answered[] {
  const last = new Map<string, FactOf<'finding-answered'>>();
  for (const a of answers) if (a.body.findingId === findingId) last.set(a.body.code, a);
  return [...last.values()].flatMap(({ body: { code, says } }) =>
    says === 'unknown' ? [] : [{ code, says }],
  );
}

const coatsOn = (part: DerivedPart): CoatOn[] =>
  part.state.faces.flatMap((f) =>
    f.coats.map((c, i) => ({
      factId: c.factId,
      face: f.face,
      name: c.sheet.name,
      coatNo: i + 1,
      t0Ms: c.t0Ms,
      packs: c.sheet.packs,
    })),
  );

/** What each remedy of a fault would come to: the whole face, or the share of it that was named. */
function plansFor(
  snapshot: Snapshot,
  part: DerivedPart,
  { fact }: Finding,
  record: FilmRecord | null,
): FindingView['plans'] {
  const { fault, alsoFault, extentPct = null } = fact.body;
  const { areaM2, faceCount } = part.row;
  const packs = record?.coats[record.index]?.sheet.packs ?? null;
  const of = [fault, alsoFault].flatMap((f) => (f === undefined ? [] : remediesOf(f, packs)));
  return Object.fromEntries(
    [...new Set(of)].map((remedy) => [
      remedy,
      mendPlan({
        remedy,
        coats: record?.coats ?? [],
        index: record?.index ?? -1,
        faceM2: areaM2 === null ? null : areaM2 / faceCount,
        extentPct,
        track: surfaceOf(snapshot.shop, snapshot, part),
        speedOf: (id) => snapshot.speeds.get(id)?.speedBy ?? 1,
        nowMs: snapshot.nowMs,
      }),
    ]),
  );
}

function findingView(snapshot: Snapshot, part: DerivedPart, finding: Finding): FindingView {
  const { fact } = finding;
  const standing = standingFacts(part.facts);
  const face = fact.face ?? 'A';
  const isFault = fact.body.fault !== undefined;
  const record = isFault
    ? filmRecordOf(snapshot, part, face, foundAtMs(finding), fact.body.coatFactId ?? null)
    : null;
  const coat = record?.coats[record.index] ?? null;
  const answers = answersOf(ofKind(standing, 'finding-answered'), finding.findingId);
  return {
    ...finding,
    personName: snapshot.shop.people.find((p) => p.personId === fact.personId)?.name ?? null,
    coat: coat && {
      factId: coat.factId,
      face,
      name: coat.sheet.name,
      coatNo: record!.index + 1,
      t0Ms: coat.t0Ms,
      packs: coat.sheet.packs,
    },
    evidence: evidenceWith(recordSays(record), answers),
    answers,
    cannotBe: [...cannotBe(record)],
    steps: finding.remedy
      ? mendSteps(finding.remedy.body.remedy, originMs(finding.remedy), standing, coat)
      : [],
    plans:
      isFault && isOpenFinding(finding) && !finding.remedy ? plansFor(snapshot, part, finding, record) : {},
  };
}

/** Readings on the drawing: those since the newest coat, else the newest set before it. */
function filmsOf(part: DerivedPart): FilmMapView[] {
  const standing = standingFacts(part.facts);
  const mapped = ofKind(standing, 'film-read').filter((f) => f.body.spots?.some((s) => s !== null));
  return [...new Set(mapped.map((f) => f.face))].flatMap((face): FilmMapView[] => {
    const own = mapped.filter((f) => f.face === face);
    const newest = own[own.length - 1]!;
    const coatMs = lastFilmMs(standing, face);
    const isCovered = originMs(newest) < coatMs;
    const shown = isCovered ? [newest] : own.filter((f) => originMs(f) >= coatMs);
    return [
      {
        face,
        atMs: originMs(newest),
        nominalUm: newest.body.nominalUm,
        readings: shown.flatMap((f) => filmMap(f.body)),
        isCovered,
      },
    ];
  });
}
/** When the film of a face last changed: a coat, or taken off. */
function lastFilmMs(standing: readonly Fact[], face: Face | null): number {
  const last = standing.findLast(
    (f) =>
      (f.kind === 'coated' || f.kind === 'stripped') && (f.face === null || face === null || f.face === face),
  );
  return last ? originMs(last) : -Infinity;
}

/** What is known of a face that is levelled: whether it was cut through, and its film against what its sheets allow. */
function levelFace(part: DerivedPart, standing: readonly Fact[], face: Face | null): LevelFace {
  const isOn = (f: Fact): boolean => f.face === null || face === null || f.face === face;
  const own = standing.filter(isOn);
  const coats = part.state.faces.find((f) => face === null || f.face === face)?.coats ?? [];
  const sinceMs = lastFilmMs(standing, face);
  const read = ofKind(own, 'film-read').findLast((f) => f.body.scope === 'system' && originMs(f) >= sinceMs);
  const statistics = read ? judgeFilm(read.body, null).statistics : null;
  const sum = (of: 'dftMinUm' | 'dftMaxUm'): number => coats.reduce((s, c) => s + c.sheet[of], 0);
  return {
    isCutThrough: ofKind(own, 'cut-through').some((f) => originMs(f) >= sinceMs),
    film:
      statistics && coats.length > 0
        ? {
            meanUm: statistics.meanUm,
            leastUm: statistics.leastUm,
            minUm: sum('dftMinUm'),
            maxUm: sum('dftMaxUm'),
          }
        : null,
  };
}

function levelsOf(part: DerivedPart): LevelView[] {
  const standing = standingFacts(part.facts);
  const cycles = ofKind(standing, 'levelled');
  const sets = ofKind(standing, 'level-set');
  const faces = [...new Set([...cycles, ...sets].map((f) => f.face))];
  return faces.map((face): LevelView => {
    const standard = sets.findLast((s) => s.face === face)?.body.standard ?? null;
    // A strip begins it anew: what was filled is off.
    const strip = ofKind(standing, 'stripped').findLast((s) => s.face === null || s.face === face);
    const own = cycles
      .filter((c) => c.face === face && (!strip || originMs(c) > originMs(strip)))
      .map((c) => ({
        factId: c.factId,
        atMs: originMs(c),
        what: c.body.what,
        gritP: c.body.gritP,
        showingPct: c.body.showingPct,
        minutes: c.body.minutes ?? null,
        buildMm: c.body.buildMm ?? null,
        isEdgeThin: c.body.isEdgeThin ?? null,
      }));
    return {
      face,
      standard,
      cycles: own,
      state: standard ? levelState(own, standard, levelFace(part, standing, face)) : null,
    };
  });
}

function pitsOf(part: DerivedPart, survey: Survey | null): PitsView[] {
  return ofKind(standingFacts(part.facts), 'pits-measured').flatMap((fact): PitsView[] => {
    const { deepestMm, wholeOverPatch, isThrough, soundMm = null, leastMm = null } = fact.body;
    const verdict = judgePits({ deepestMm, wholeOverPatch, isThrough });
    if (!verdict.ok) return [];
    const depthMm = verdict.value.judgeByMm;
    const options = repairOptions({
      survey,
      depthMm,
      isThrough,
      soundMm,
      leastMm,
      areaM2: part.row.areaM2 === null ? null : part.row.areaM2 / part.row.faceCount,
      weights: EVEN_WEIGHTS,
    });
    return [{ fact, verdict: verdict.value, leftMm: wallLeftMm(soundMm, depthMm), options }];
  });
}

const kindOf = (survey: Survey | null): PartKind =>
  survey && PART_KINDS.includes(survey.kind) ? survey.kind : 'unknown';

function pairOf(snapshot: Snapshot, part: DerivedPart): InspectView['pair'] {
  const other = part.row.pairPartId === null ? undefined : snapshot.parts.get(part.row.pairPartId);
  if (!other) return null;
  const { partId, name } = other.row;
  return { partId, name, findings: findingsOf(standingFacts(other.facts)) };
}

/** Everything that was found on a part, and what follows from it. */
export function inspectOf(snapshot: Snapshot, part: DerivedPart): InspectView {
  const standing = standingFacts(part.facts);
  const surveys = ofKind(standing, 'surveyed');
  const newest = surveys[surveys.length - 1];
  const survey = newest ? wholeSurvey(newest.body.survey) : null;
  const track = surfaceOf(snapshot.shop, snapshot, part);
  return {
    ...momentOf(snapshot),
    card: cardOf(snapshot, part),
    kind: kindOf(survey),
    survey,
    findings: findingsOf(standing).map((f) => findingView(snapshot, part, f)),
    pair: pairOf(snapshot, part),
    coats: coatsOn(part),
    levels: levelsOf(part),
    pits: pitsOf(part, survey),
    pictures: ofKind(standing, 'pictured'),
    rust: ofKind(standing, 'rust-measured'),
    films: filmsOf(part),
    cards: ofKind(standing, 'card-tested'),
    trials: ofKind(standing, 'adhesion-tried').map((fact) => ({
      fact,
      productName: snapshot.shop.sheets.get(fact.body.sheetId)?.name ?? '',
      verdict: trialOf(fact.body),
    })),
    trialDue: part.state.faces.flatMap((f) => {
      const coat = f.coats[f.coats.length - 1];
      if (!coat) return [];
      const { sheetId, name, cureMinC } = coat.sheet;
      return [{ face: f.face, sheetId, name, dueMs: trialDueMs(track, coat.t0Ms, cureMinC) }];
    }),
  };
}

/** A finding in the list of all that is open. */
export interface OpenFinding {
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly finding: Finding;
  readonly foundMs: number;
}
export interface InspectList {
  readonly nowMs: number;
  readonly zone: string;
  readonly open: readonly OpenFinding[];
  readonly levelling: readonly {
    readonly partId: string;
    readonly partName: string;
    readonly machineName: string;
    readonly level: LevelView;
  }[];
  readonly closed: number;
}

/** All that is open in the shop: what holds a part first, then what is being mended, then by age. */
export function inspectList(snapshot: Snapshot): InspectList {
  const machineOf = (id: string): string =>
    snapshot.shop.machines.find((m) => m.machineId === id)?.name ?? '';
  const open: OpenFinding[] = [];
  const levelling: InspectList['levelling'][number][] = [];
  let closed = 0;
  for (const part of partsInUse(snapshot)) {
    const about = {
      partId: part.row.partId,
      partName: part.row.name,
      machineName: machineOf(part.row.machineId),
    };
    if (part.facts.some((f) => f.kind === 'found'))
      for (const finding of findingsOf(standingFacts(part.facts)))
        if (isOpenFinding(finding)) open.push({ ...about, finding, foundMs: foundAtMs(finding) });
        else closed++;
    if (part.facts.some((f) => f.kind === 'levelled' || f.kind === 'level-set'))
      for (const level of levelsOf(part))
        if (level.state?.isMet !== true) levelling.push({ ...about, level });
  }
  const rank = (o: OpenFinding): number => (o.finding.holds ? 0 : o.finding.remedy ? 1 : 2);
  open.sort((a, b) => rank(a) - rank(b) || b.foundMs - a.foundMs);
  return { nowMs: snapshot.nowMs, zone: snapshot.shop.workshop.zone, open, levelling, closed };
}
