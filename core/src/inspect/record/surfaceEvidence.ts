import { DAY_MS, HOUR_MS } from '../../base/time.ts';
import { bareEdge, bareLimit } from '../../cure/bare.ts';
import { windowRule } from '../../cure/windows.ts';
import { originMs } from '../../facts/envelope.ts';
import { ofKind, type CONTAMINANTS } from '../../facts/part.ts';
import { prepOf, seenSinceStripped } from '../../facts/prep.ts';
import { isCasting } from '../../part/substrate.ts';
import type { Answer } from '../../part/survey.ts';
import {
  byCard,
  cardSays,
  belowOf,
  coatOf,
  factsBefore,
  figure,
  onlyYes,
  strippedOf,
  word,
  type FilmRecord,
  type Readers,
  type Word,
} from './filmRecord.ts';

/** Evidence from the metal, what was done to it, what was found of it, and which rules the route breaks. */

/** Rules of a route by the cause they stand for, should it have been laid all the same. */
const RULES_OF = {
  primer: [
    'metal.listed',
    'metal.direct',
    'metal.diecast-trial',
    'metal.magnesium',
    'etch.alone',
    'etch.die-cast',
    'etch.over-conversion',
    'etch.over-filler',
    'zinc.steel-only',
    'zinc.old-paint',
    'zinc.phosphate',
    'heat.primer',
    'surface.stands',
  ],
  pair: [
    'over.bitumen',
    'over.old-one-pack',
    'over.sheet-forbids',
    'over.strong-solvent',
    'over.two-over-one',
    'etch.follower',
    'etch.filler-on',
    'etch.on-coat',
    'zinc.alkyd-over',
  ],
  prep: [
    'surface.clean',
    'surface.key',
    'surface.profile',
    'surface.burnished',
    'surface.first',
    'prep.degrease-first',
  ],
} as const;

const broken = (r: FilmRecord, of: keyof typeof RULES_OF): Word | null =>
  r.brokenRules === null ? null : word(RULES_OF[of].some((id) => r.brokenRules!.includes(id)));

const answered = (a: Answer | undefined): Word | null =>
  a === 'yes' ? word(true) : a === 'no' ? word(false) : null;

/** Whether something came on it after it was last cleaned and before the coat. That nothing was logged says nothing. */
function contaminated(r: FilmRecord, by: (typeof CONTAMINANTS)[number]): Word | null {
  const before = factsBefore(r);
  const cleaned = before.findLastIndex(
    (f) => f.kind === 'wiped' || f.kind === 'degreased' || f.kind === 'stripped',
  );
  return onlyYes(ofKind(before.slice(cleaned + 1), 'contaminated').some((f) => f.body.by === by));
}

/** How far the bare metal's own clock had run when the first coat covered it. */
function primedLate(
  r: FilmRecord,
): { readonly isLate: boolean; readonly isSurelyNot: boolean; readonly hours: number } | null {
  const first = r.coats[0]!;
  const opened = r.facts.filter((f) => prepOf(f) !== null && originMs(f) <= first.t0Ms);
  const last = opened[opened.length - 1];
  if (!last) return null;
  const { prep, limitHours } = prepOf(last)!;
  const limit = bareLimit(r.substrate, prep, limitHours);
  const hours = (first.t0Ms - originMs(last)) / HOUR_MS;
  if (limit.kind === 'none') return { isLate: false, isSurelyNot: true, hours };
  const edge = bareEdge(r.track, originMs(last), limit);
  if (!edge || edge.isUnknown) return null;
  const past = (ms: number | null): boolean => ms !== null && ms <= first.t0Ms;
  return { isLate: past(edge.nominalMs), isSurelyNot: !past(edge.worstMs), hours };
}

export const SURFACE_EVIDENCE: Readers = {
  blasted: (r) => {
    const s = strippedOf(r);
    return s && word(s.body.method === 'blast');
  },
  burnished: (r) => {
    const s = strippedOf(r);
    return s && word(s.body.method === 'wire-wheel');
  },
  'stripped-to-metal': (r) => onlyYes(strippedOf(r) !== null),
  'old-coat-kept': (r) => {
    if (strippedOf(r)) return word(false);
    const coating = r.survey?.coating;
    if (coating === 'none') return word(false);
    return onlyYes(coating === 'sound' || coating === 'partly');
  },
  'not-abraded': (r) => {
    if (ofKind(factsBefore(r), 'abraded').length > 0) return word(false);
    const s = strippedOf(r);
    if (!s || belowOf(r)) return null;
    return prepOf(s)?.prep === 'chemically-stripped' ? word(true, null, true) : word(false);
  },
  'not-degreased': (r) => {
    const { t0Ms } = r.coats[0]!;
    return ofKind(r.facts, 'degreased').some((f) => originMs(f) <= t0Ms) ? word(false) : null;
  },
  'not-wiped': (r) => {
    const before = factsBefore(r);
    const worked = before.findLastIndex((f) => f.kind === 'abraded' || f.kind === 'stripped');
    return ofKind(before.slice(worked + 1), 'wiped').length > 0 ? word(false) : null;
  },
  'bare-hand': (r) => contaminated(r, 'bare-hand'),
  oil: (r) =>
    byCard(r, 'white-cloth') ??
    byCard(r, 'water-break') ??
    onlyYes(cardSays(r, 'warm-for-oil') === 'bad') ??
    contaminated(r, 'oil'),
  dust: (r) => contaminated(r, 'dust'),
  'primed-late': (r) => {
    const p = primedLate(r);
    return p && (p.isLate ? word(true, figure(p.hours, null, 'h')) : p.isSurelyNot ? word(false) : null);
  },
  'primed-in-time': (r) => {
    const p = primedLate(r);
    return p && (p.isSurelyNot ? word(true, figure(p.hours, null, 'h')) : p.isLate ? word(false) : null);
  },
  'rust-left': (r) => {
    const seen = seenSinceStripped(r.facts.filter((f) => originMs(f) <= r.coats[0]!.t0Ms));
    return seen && word(seen.rust !== 'none');
  },
  'no-phosphate': (r) => (strippedOf(r) ? word(ofKind(r.facts, 'pretreated').length === 0) : null),
  'cast-iron': (r) => word(r.substrate === 'grey-iron' || r.substrate === 'ductile-iron'),
  porous: (r) => {
    if (isCasting(r.substrate)) return word(true);
    if (!r.survey) return null;
    return r.survey.features.includes('welds-rivets') ? word(true, null, true) : word(false);
  },
  pits: (r) => {
    const pits = r.survey?.pits;
    return pits === undefined || pits === 'unknown' ? null : word(pits !== 'none');
  },
  'salt-air': (r) => answered(r.survey?.salt),
  'laps-or-flexes': (r) =>
    r.survey &&
    onlyYes(r.survey.features.some((f) => f === 'seams' || f === 'water-traps' || f === 'bolted-joints')),
  'sharp-edges': (r) => r.survey && onlyYes(r.survey.features.includes('thin-edges')),
  knocked: (r) => answered(r.survey?.chips),
  'in-sun': (r) => answered(r.survey?.sun),
  metallic: (r) => answered(r.survey?.metallic),
  'bitumen-below': (r) => {
    if (strippedOf(r)) return word(false);
    const s = r.survey;
    if (!s || s.coating === 'unknown') return null;
    if (s.coating === 'none') return word(false);
    return s.coatKind === 'unknown' ? null : word(s.coatKind === 'bitumen');
  },
  'salt-found': (r) => byCard(r, 'salt'),
  'salt-low': (r) => {
    const says = cardSays(r, 'salt');
    return says && word(says === 'good');
  },
  'line-wet-or-oily': (r) => byCard(r, 'blotter'),
  'pinholes-below': (r) => byCard(r, 'wet-sponge') ?? onlyYes(cardSays(r, 'loupe') === 'bad'),
  'old-coat-softens': (r) => rub(r, 'failed'),
  'old-coat-resists': (r) => rub(r, 'passed'),
  'no-stripe-coat': (r) => (r.stripe === 'recorded' ? word(false) : r.stripe === 'none' ? word(true) : null),
  'silicone-near': (r) => {
    const { t0Ms } = coatOf(r);
    const near = r.siliconeMs.filter((ms) => ms <= t0Ms && ms > t0Ms - 7 * DAY_MS);
    return onlyYes(
      near.length > 0,
      near.length > 0 ? figure((t0Ms - Math.max(...near)) / DAY_MS, 7, 'd') : null,
    );
  },
  'primer-wrong': (r) => broken(r, 'primer'),
  'prep-too-little': (r) => broken(r, 'prep'),
  'pair-forbidden': (r) => {
    const below = belowOf(r);
    const rule = below && windowRule(below.sheet, coatOf(r).sheet);
    if (rule?.kind === 'forbidden') return word(true);
    const byRules = broken(r, 'pair');
    return byRules?.says === 'yes' || below === null
      ? byRules
      : rule?.kind === 'intervals'
        ? word(false)
        : null;
  },
};

function rub(r: FilmRecord, result: 'passed' | 'failed'): Word | null {
  if (strippedOf(r)) return null;
  const says = cardSays(r, 'solvent-rub');
  if (says) return word((says === 'good') === (result === 'passed'));
  const told = r.survey?.solventRub;
  return told === undefined || told === 'unknown' ? null : word(told === result);
}
