import {
  above0,
  day,
  id,
  list,
  named,
  number,
  object,
  oneOf,
  orNull,
  text,
  uuid,
  whole,
  yesNo,
  type Fits,
} from '../base/shape.ts';
import { CARE_FOUND, CARE_JOBS } from '../aftercare/jobs.ts';
import { ACCEPTANCE } from '../film/kinds.ts';
import { THICKEST_READING_UM } from '../film/kinds.ts';
import { GAUGE_ZEROS, PROFILES } from '../film/kinds.ts';
import { LARGEST_BATCH_ML } from '../mix/kinds.ts';
import { THINNER_GRADES } from '../mix/kinds.ts';
import { CARD_RESULTS, TEST_CARDS } from '../inspect/cards.ts';
import { EVIDENCE_CODES } from '../inspect/faults/ids.ts';
import { FAULTS, SEEN_AFTER } from '../inspect/faults/ids.ts';
import { ALL_FAULTS, CLOSED_HOW, FINDING_KINDS, REFER_SIGNS, REMEDIES, REPAIRS } from '../inspect/kinds.ts';
import { LEVEL_STANDARDS, LEVEL_WITH } from '../inspect/kinds.ts';
import { DEEPEST_PIT_MM } from '../inspect/kinds.ts';
import { BROKE_AT, TRIALS } from '../inspect/kinds.ts';
import { KEPT_SAMPLES, SIGN_SCOPES, SPENT_ON, WORK_OPS } from '../ledger/kinds.ts';
import type { Survey } from '../part/survey.ts';
import type { RouteStep } from '../route/route.ts';
import { SEEN_PAINT, SEEN_RUST, SEEN_WATER } from '../route/surface/seen.ts';
import { kind, originMs, standing, type Envelope } from './envelope.ts';
import { RATIO_BY } from './stock.ts';

export const FACES = ['A', 'B'] as const;
export type Face = (typeof FACES)[number];

export const STRIP_METHODS = [
  'blast',
  'bead',
  'wire-wheel',
  'disc',
  'scraper',
  'chemical',
  'bath',
  'electrolysis',
] as const;
export type StripMethod = (typeof STRIP_METHODS)[number];
export const PRETREATMENTS = ['phosphate', 'conversion'] as const;
export const TESTS = ['tack', 'thumb-twist', 'thumbnail'] as const;
export type TestKind = (typeof TESTS)[number];
export const CONTAMINANTS = ['bare-hand', 'oil', 'dust', 'wax', 'other'] as const;

/** What a picture shows: the part as it came, at work, done. */
export const PICTURE_STAGES = ['before', 'during', 'after'] as const;
export type PictureStage = (typeof PICTURE_STAGES)[number];

/** What was looked at before the metal is hidden. */
const seen = object({ rust: oneOf(SEEN_RUST), paint: oneOf(SEEN_PAINT), water: oneOf(SEEN_WATER) });
/** A point of a face or a picture, 0…1 from its upper left corner. */
const spot = object({ x: number(0, 1), y: number(0, 1) });
const reason = text(300);
const nothing = object({});
const readUm = number(0, THICKEST_READING_UM);
const limitUm = orNull(above0(THICKEST_READING_UM));

/** Every kind of entry about a part. A new one is a line here, and what derives from it. */
export const PART_FACTS = {
  stripped: kind('Stripped', object({ method: oneOf(STRIP_METHODS) })),
  pretreated: kind('Pretreated', object({ method: oneOf(PRETREATMENTS) }, { limitHours: number(0.5, 168) })),
  /** Warmed out: heated so that the oil comes out of the pores. */
  degreased: kind('Degreased', object({}, { isWarmedOut: yesNo() })),
  wiped: kind('Wiped down', nothing),
  abraded: kind('Abraded', object({ how: oneOf(['dry', 'wet']) }, { gritP: whole(16, 5000) })),
  'cut-through': kind('Cut through to metal', nothing),
  contaminated: kind('Contaminated', object({ by: oneOf(CONTAMINANTS) })),
  wetted: kind('Got wet', object({ by: oneOf(['rain', 'dew', 'wash', 'other']) })),
  coated: kind(
    'Coated',
    object(
      { sheetId: id('sheet'), dftUm: number(1, 2000) },
      {
        batch: text(40),
        thinnerPct: number(0, 100),
        tool: oneOf(['brush', 'roller', 'gun', 'aerosol']),
        /** The coat this one covers: it cannot be earlier than that. */
        over: uuid('fact'),
        reason,
        /** The mix it came from and how much of that went through the tool, mL: its batch, thinner and age follow. */
        mixId: id('mix'),
        usedMl: above0(LARGEST_BATCH_ML),
        /** How it was laid, for whoever looks for the cause of a fault: each is left out where nobody noted it. */
        thinnerGrade: oneOf(THINNER_GRADES),
        gunMm: number(20, 1000),
        ratioBy: oneOf(RATIO_BY),
        isStirred: yesNo(),
        isStrained: yesNo(),
      },
    ),
  ),
  turned: kind('Turned over', object({ faceUp: oneOf(FACES) })),
  baked: kind('Baked', object({ tempC: number(40, 700), minutes: number(1, 6000) })),
  tested: kind('Tested', object({ test: oneOf(TESTS), reached: yesNo() })),
  moved: kind('Moved', object({ placeId: id('place') })),
  /** It left the works for somebody who does something to it, and until when it was promised back. */
  sent: kind('Sent away', object({ to: text(80) }, { backDay: day() })),
  'came-back': kind('Came back', nothing),
  'film-read': kind(
    'Film readings',
    object(
      {
        scope: oneOf(['system', 'coat']),
        by: oneOf(['gauge', 'comb']),
        readingsUm: list(readUm, 1, 2000),
        perSpot: oneOf([1, 3]),
        zero: oneOf(GAUGE_ZEROS),
        profile: oneOf(PROFILES),
        baseUm: orNull(readUm),
        rule: oneOf(ACCEPTANCE),
        nominalUm: above0(THICKEST_READING_UM),
        minUm: limitUm,
        maxUm: limitUm,
      },
      {
        /** Where each reading was taken, in their order; null: nobody noted that one's place. */
        spots: list(orNull(spot), 1, 2000),
        /** What it was read with. */
        gaugeId: id('gauge'),
      },
    ),
  ),
  'surface-read': kind('Surface read', object({ surfaceC: number(-40, 120) })),
  /** What the eye saw of the bare metal. It takes the place of what the acts should have done. */
  inspected: kind('Looked at bare', object({ seen })),
  'gate-accepted': kind('Gate accepted', object({ gate: text(40), reason })),
  /** What was found of the part, whole: a later survey takes its place. */
  surveyed: kind('Surveyed', object({ survey: named<Survey>('survey') })),
  /** The route chosen, whole. `reason` where it was set against a rule. */
  'route-set': kind(
    'Route set',
    object(
      {
        routeId: text(400),
        origin: oneOf(['advised', 'edited', 'overridden']),
        steps: list(named<RouteStep>('route-step'), 1, 160),
      },
      { reason },
    ),
  ),
  /** A step of the route that is no coat and leaves no other entry: masked, test-fitted, a trial with its result. */
  'step-done': kind(
    'Step done',
    object(
      { stepId: text(64) },
      {
        found: text(300),
        passed: yesNo(),
        /** It was done, and nobody remembers when: the entry's time is when it was written. */
        isTimeUnknown: yesNo(),
      },
    ),
  ),
  /** Something found on it: what, where on the face (0…1 from its upper left corner), how much of it. */
  found: kind(
    'Found',
    object(
      { what: oneOf(FINDING_KINDS) },
      {
        /** Of a correction: the finding it corrects, whose answers and remedy stay with it. */
        findingId: uuid('fact'),
        fault: oneOf(ALL_FAULTS),
        /** A second look that is seen beside the first. */
        alsoFault: oneOf(FAULTS),
        sign: oneOf(REFER_SIGNS),
        /** The coat that shows it. */
        coatFactId: uuid('fact'),
        seenAfter: oneOf(SEEN_AFTER),
        x: number(0, 1),
        y: number(0, 1),
        extentPct: number(0, 100),
        count: whole(1, 100_000),
        sizeMm: above0(10_000),
        note: text(2000),
      },
    ),
  ),
  /** A piece of evidence about a fault, looked at, tried or remembered. */
  /** A picture of it, or of what was found. */
  pictured: kind(
    'Pictured',
    object(
      { pictureId: id('picture') },
      {
        findingId: uuid('fact'),
        stage: oneOf(PICTURE_STAGES),
        note: text(300),
        /** Two points of the part that another picture shows too: by them one is laid over the other. */
        alignBy: list(spot, 2, 2),
      },
    ),
  ),
  /** How much of a painted face shows rust, from a picture whose mask somebody approved. */
  'rust-measured': kind(
    'Rust measured',
    object(
      {
        pictureId: id('picture'),
        sharePct: number(0, 100),
        fromPct: number(0, 100),
        toPct: number(0, 100),
        maskedPct: number(0, 100),
        touches: whole(1, 10_000),
      },
      { findingId: uuid('fact') },
    ),
  ),
  'finding-answered': kind(
    'Answered about a fault',
    object({ findingId: uuid('fact'), code: oneOf(EVIDENCE_CODES), says: oneOf(['yes', 'no', 'unknown']) }),
  ),
  'remedy-set': kind(
    'Remedy chosen',
    object({ findingId: uuid('fact'), remedy: oneOf(REMEDIES) }, { causeId: text(60) }),
  ),
  'finding-closed': kind(
    'Finding closed',
    object(
      { findingId: uuid('fact'), how: oneOf(CLOSED_HOW) },
      {
        causeId: text(60),
        reason,
        /** The licensed person, where one has answered. */
        by: text(120),
      },
    ),
  ),
  'pits-measured': kind(
    'Pits measured',
    object(
      {
        deepestMm: list(number(0, DEEPEST_PIT_MM), 1, 500),
        wholeOverPatch: number(1, 1_000_000),
        isThrough: yesNo(),
      },
      {
        findingId: uuid('fact'),
        soundMm: above0(500),
        soundBy: oneOf(['measured', 'nominal']),
        leastMm: above0(500),
      },
    ),
  ),
  'repair-chosen': kind(
    'Repair chosen',
    object({ findingId: uuid('fact'), repair: oneOf(REPAIRS) }, { reason }),
  ),
  'level-set': kind('Standard of levelling set', object({ standard: oneOf(LEVEL_STANDARDS) })),
  levelled: kind(
    'Levelled',
    object(
      { what: oneOf(LEVEL_WITH), gritP: whole(16, 5000), showingPct: number(0, 100) },
      {
        minutes: number(0.5, 1440),
        /** How thick it went on, and whether metal or primer shows at an edge: what says stop before the eye does. */
        buildMm: above0(20),
        isEdgeThin: yesNo(),
      },
    ),
  ),
  /** A short test with its card; salt comes with its amount, mg/m². */
  'card-tested': kind(
    'Tested by card',
    object(
      { card: oneOf(TEST_CARDS), result: oneOf(CARD_RESULTS) },
      {
        mgM2: number(0, 10_000),
        /** Double rubs until something came off. */
        rubs: whole(1, 1000),
        brokeAt: oneOf(BROKE_AT),
        note: text(300),
      },
    ),
  ),
  'adhesion-tried': kind(
    'Adhesion tried',
    object(
      { by: oneOf(TRIALS), sheetId: id('sheet') },
      { detachedPct: number(0, 100), isSound: yesNo(), pullMpa: number(0, 200), brokeAt: oneOf(BROKE_AT) },
      ['detachedPct', 'isSound', 'pullMpa'],
    ),
  ),
  /** Hands that were busy with it: minutes of all of them together. Several parts of one go have one entry each, with their share. */
  worked: kind(
    'Worked',
    object({ on: oneOf(WORK_OPS), minutes: number(0.1, 100_000) }, { hands: whole(1, 50), note: text(300) }),
  ),
  /** Money that went on it and is no paint, in the smallest unit of the shop's currency. */
  spent: kind('Spent', object({ on: oneOf(SPENT_ON), cents: whole(1, 1_000_000_000) }, { note: text(300) })),
  /** Looked after, once it is finished; what was found then becomes a finding. */
  cared: kind(
    'Looked after',
    object({ job: oneOf(CARE_JOBS), found: oneOf(CARE_FOUND) }, { note: text(300) }),
  ),
  /** A decision that comes back on its day. */
  'reminder-set': kind('To come back to', object({ text: text(300), onDay: day() })),
  'reminder-done': kind('Came back to', object({ reminderId: uuid('fact') }, { note: text(300) })),
  /** An inspector signs for what stands: the entries by their ids, and a SHA-256 over their text (`ledger/signOff.ts`). */
  'signed-off': kind(
    'Signed off',
    object(
      {
        scope: oneOf(SIGN_SCOPES),
        words: text(1000),
        facts: list(uuid('fact'), 0, 1000),
        stock: list(uuid('fact'), 0, 500),
        sha256: text(64),
        openFindings: whole(0, 10_000),
      },
      {
        standard: text(200),
        /** Of an aircraft: what the entry in its own log is about. */
        registration: text(40),
        workOrder: text(80),
        approvedData: text(200),
      },
    ),
  ),
  /** What is put by, so that somebody can look at it later: where it is kept. */
  'sample-kept': kind(
    'Sample kept',
    object({ what: oneOf(KEPT_SAMPLES), where: text(200) }, { coatFactId: uuid('fact'), note: text(300) }),
  ),
  /** Something does not conform and may stay as it is: who allowed it, and by what. */
  conceded: kind(
    'Conceded',
    object({ aboutId: uuid('fact'), allowedBy: text(120), reason }, { reference: text(80), until: day() }),
  ),
  noted: kind('Noted', object({ text: text(2000) })),
  voided: kind('Voided', object({}, { reason }), { isVoiding: true }),
} as const;

/** What each kind says beyond who, when and where. */
export type FactBodies = { [K in keyof typeof PART_FACTS]: Fits<(typeof PART_FACTS)[K]['body']> };
export type FactKind = keyof FactBodies;

export interface FactOf<K extends FactKind> extends Envelope<K, FactBodies[K]> {
  readonly partId: string;
  /** Null: the whole part. */
  readonly face: Face | null;
  /** End of the act (of the last wet pass, for a coat); null when it has no length. */
  readonly endedAtMs: number | null;
}
export type Fact = { [K in FactKind]: FactOf<K> }[FactKind];

/** Facts that stand: not superseded, not voiding; ordered by when they happened, then recorded, then id. */
export const standingFacts = (facts: readonly Fact[]): Fact[] =>
  standing(facts, (k) => PART_FACTS[k].isVoiding);

/** The standing facts of one kind, in order. */
export function ofKind<K extends FactKind>(facts: readonly Fact[], kind: K): Extract<Fact, { kind: K }>[] {
  return facts.filter((f): f is Extract<Fact, { kind: K }> => f.kind === kind);
}

/** The last standing fact of one kind, at or after an instant. */
export function lastOf<K extends FactKind>(
  facts: readonly Fact[],
  kind: K,
  sinceMs = -Infinity,
): Extract<Fact, { kind: K }> | null {
  const found = ofKind(facts, kind);
  const last = found[found.length - 1];
  return last && originMs(last) >= sinceMs ? last : null;
}
