import { rustDegree, type Fact, type FactBodies } from '@calvetta/core';
import { STEP_WORDS, TEST_WORDS } from './bench.ts';
import { dayWords } from './days.ts';
import { FACT_WORDS } from './entries.ts';
import { CARE_FOUND_WORDS, CARE_WORDS } from './care.ts';
import { EVIDENCE_WORDS } from './evidence.ts';
import { FAULT_WORDS, SIGN_WORDS } from './faults.ts';
import {
  BROKE_AT_WORDS,
  CARD_RESULT_WORDS,
  CLOSED_WORDS,
  FINDING_WORDS,
  LEVEL_STANDARD_WORDS,
  LEVEL_WITH_WORDS,
  REMEDY_WORDS,
  REPAIR_WORDS,
  TEST_CARD_WORDS,
} from './inspect.ts';
import { ORIGIN_WORDS } from './route.ts';
import { KEPT_SAMPLE_WORDS } from './people.ts';
import { SIGN_SCOPE_WORDS, SPENT_WORDS, WORK_WORDS } from './ledger.ts';

/** What a finding is called: the fault by its name, the sign by what is seen, else its kind. */
export function findingName({ fact }: { readonly fact: { readonly body: FactBodies['found'] } }): string {
  const { what, fault, alsoFault, sign } = fact.body;
  if (fault) return [fault, alsoFault].flatMap((f) => (f ? [FAULT_WORDS[f].name] : [])).join(' and ');
  return sign ? SIGN_WORDS[sign] : FINDING_WORDS[what];
}

/** A short test as it was logged: its name, what it measured, how it came out. */
export function cardWords(body: FactBodies['card-tested']): string {
  const measured = [
    body.mgM2 === undefined ? null : `${body.mgM2} mg/m²`,
    body.rubs === undefined ? null : `${body.rubs} double rubs`,
    body.brokeAt === undefined ? null : BROKE_AT_WORDS[body.brokeAt],
  ].filter((w) => w !== null);
  return `${TEST_CARD_WORDS[body.card].name}: ${[CARD_RESULT_WORDS[body.result], ...measured].join(', ')}`;
}

/** What an entry names by id, in words; each null where nobody knows it. */
export interface NamedInFact {
  readonly productName: string | null;
  readonly placeName: string | null;
  /** Of the mix a coat came from. */
  readonly mixText: string | null;
  /** The step of the route that it names. */
  readonly stepName: string | null;
}
/** How figures are said to whoever reads. */
export interface FigureWords {
  readonly film: (um: number) => string;
  readonly temp: (c: number, digits?: number) => string;
  /** In the shop's currency. */
  readonly money: (cents: number) => string;
}

const listed = (...words: readonly (string | null | undefined | false)[]): string =>
  words.filter((w) => w !== null && w !== undefined && w !== false && w !== '').join(', ');
const because = (reason: string | undefined): string => (reason ? ` — ${reason}` : '');

const sentText = ({ to, backDay }: FactBodies['sent']): string =>
  listed(`to ${to}`, backDay !== undefined && `back by ${dayWords(backDay)}`);

/** What an entry says beyond what it is, in a few words. */
export function factDetail(fact: Fact, named: NamedInFact, units: FigureWords): string {
  switch (fact.kind) {
    case 'coated':
      return coatText(fact.body, named, units);
    case 'film-read': {
      const { by, readingsUm, spots } = fact.body;
      const mean = readingsUm.reduce((s, x) => s + x, 0) / readingsUm.length;
      const places = spots?.filter((s) => s !== null).length ?? 0;
      const count = by === 'comb' ? 'wet comb' : `${readingsUm.length} readings`;
      return listed(count, `mean ${units.film(mean)} as read`, places > 0 && `${places} with their place`);
    }
    case 'stripped':
    case 'pretreated':
      return fact.body.method.replaceAll('-', ' ');
    case 'degreased':
      return fact.body.isWarmedOut === true ? 'warmed out' : '';
    case 'abraded':
      return listed(fact.body.how, fact.body.gritP !== undefined && `P${fact.body.gritP}`);
    case 'tested':
      return `${TEST_WORDS[fact.body.test]}: ${fact.body.reached ? 'passed' : 'not yet'}`;
    case 'moved':
      return `to ${named.placeName ?? fact.body.placeId}`;
    case 'sent':
      return sentText(fact.body);
    case 'surface-read':
      return units.temp(fact.body.surfaceC);
    case 'baked':
      return `${units.temp(fact.body.tempC, 0)} for ${fact.body.minutes} min`;
    case 'contaminated':
    case 'wetted':
      return `by ${fact.body.by.replaceAll('-', ' ')}`;
    case 'turned':
      return `face ${fact.body.faceUp} up`;
    case 'surveyed':
      return `${fact.body.survey.finish} finish, ${fact.body.survey.category}`;
    case 'route-set':
      return `${ORIGIN_WORDS[fact.body.origin]}, ${fact.body.steps.length} steps${because(fact.body.reason)}`;
    case 'gate-accepted':
      return `${fact.body.gate}${because(fact.body.reason)}`;
    case 'step-done':
      return stepText(fact.body, named.stepName);
    case 'worked':
      return listed(
        WORK_WORDS[fact.body.on],
        `${(fact.body.minutes / 60).toFixed(1)} h`,
        fact.body.hands !== undefined && fact.body.hands > 1 && `${fact.body.hands} pairs of hands`,
        fact.body.note,
      );
    case 'spent':
      return listed(SPENT_WORDS[fact.body.on], units.money(fact.body.cents), fact.body.note);
    case 'cared':
      return listed(CARE_WORDS[fact.body.job].name, CARE_FOUND_WORDS[fact.body.found], fact.body.note);
    case 'reminder-set':
      return `${fact.body.onDay}: ${fact.body.text}`;
    case 'reminder-done':
      return fact.body.note ?? '';
    case 'signed-off':
      return listed(
        SIGN_SCOPE_WORDS[fact.body.scope],
        fact.body.standard,
        `${fact.body.facts.length} entries`,
        fact.body.openFindings > 0 && `${fact.body.openFindings} findings open`,
        fact.body.words,
      );
    case 'sample-kept':
      return listed(KEPT_SAMPLE_WORDS[fact.body.what], `kept ${fact.body.where}`, fact.body.note);
    case 'conceded':
      return listed(
        `allowed by ${fact.body.allowedBy}`,
        fact.body.reference,
        fact.body.until !== undefined && `until ${dayWords(fact.body.until)}`,
        fact.body.reason,
      );
    case 'noted':
      return fact.body.text;
    default:
      return inspectText(fact);
  }
}

function coatText(body: FactBodies['coated'], named: NamedInFact, units: FigureWords): string {
  const text = listed(
    named.productName ?? body.sheetId,
    units.film(body.dftUm),
    body.tool,
    body.batch && `batch ${body.batch}`,
    body.thinnerPct !== undefined && body.thinnerPct > 0 && `thinned ${body.thinnerPct} %`,
    named.mixText,
  );
  return `${text}${because(body.reason)}`;
}

/** Which step it was, how it came out, what was found. */
const stepText = (body: FactBodies['step-done'], stepName: string | null): string =>
  [
    stepName ?? body.stepId,
    body.passed === undefined ? null : body.passed ? 'passed' : 'failed',
    body.isTimeUnknown === true ? 'time not known' : null,
    body.found ?? null,
  ]
    .filter((w) => w !== null)
    .join(' · ');

/** What was found, measured and decided, in a few words. */
function inspectText(fact: Fact): string {
  switch (fact.kind) {
    case 'found':
      return findingName({ fact });
    case 'finding-answered':
      return `${EVIDENCE_WORDS[fact.body.code].ask} ${fact.body.says === 'unknown' ? 'taken back' : fact.body.says}`;
    case 'remedy-set':
      return REMEDY_WORDS[fact.body.remedy];
    case 'repair-chosen':
      return `${REPAIR_WORDS[fact.body.repair]}${because(fact.body.reason)}`;
    case 'finding-closed':
      return `${listed(CLOSED_WORDS[fact.body.how], fact.body.by)}${because(fact.body.reason)}`;
    case 'pits-measured':
      return `${fact.body.deepestMm.length} patches, deepest ${Math.max(...fact.body.deepestMm)} mm`;
    case 'level-set':
      return LEVEL_STANDARD_WORDS[fact.body.standard].name;
    case 'levelled':
      return `${LEVEL_WITH_WORDS[fact.body.what]}, P${fact.body.gritP}, ${fact.body.showingPct} % still showing`;
    case 'adhesion-tried':
      return trialText(fact.body);
    case 'rust-measured':
      return `${fact.body.sharePct.toFixed(2)} %, ${fact.body.fromPct.toFixed(2)} to ${fact.body.toPct.toFixed(2)} %, Ri ${rustDegree(fact.body.sharePct)}`;
    case 'card-tested':
      return cardWords(fact.body);
    case 'pictured':
      return listed(fact.body.stage, fact.body.note);
    default:
      return '';
  }
}
function trialText({ detachedPct, pullMpa, isSound }: FactBodies['adhesion-tried']): string {
  if (detachedPct !== undefined) return `${detachedPct} % came off`;
  if (pullMpa !== undefined) return `${pullMpa} MPa`;
  return isSound ? 'it holds' : 'it comes off';
}

/** What a step of a route is called: its product, else what is done. */
export const stepName = (s: { readonly kind: string; readonly productName: string | null }): string =>
  s.productName ?? STEP_WORDS[s.kind] ?? s.kind;
export const factName = (fact: Fact): string => FACT_WORDS[fact.kind];
