import { DAY_MS, HOUR_MS, MINUTE_MS } from '../../base/time.ts';
import { firstSuspicion } from '../../cure/suspect.ts';
import { keyAt } from '../../cure/keyed.ts';
import { layIntervals, windowRule, windowSpans } from '../../cure/windows.ts';
import { originMs } from '../../facts/envelope.ts';
import { lastOf, ofKind } from '../../facts/part.ts';
import { thinnerGrade } from '../../mix/thinner.ts';
import { THINNER_GRADES } from '../../mix/kinds.ts';
import { stageEndMs } from '../../cure/potLife.ts';
import { surfaceAt } from '../../part/thermal/track.ts';
import { traitsOf } from '../../products/traitsByBinder.ts';
import {
  belowOf,
  byCard,
  coatFact,
  coatOf,
  factsBefore,
  figure,
  onlyYes,
  word,
  type FilmRecord,
  type Readers,
  type Word,
} from './filmRecord.ts';

/** Evidence from the coats: how thick, how soon after one another, of what, thinned how. */

const STACKED = 2.5;
/** Sooner than this share of what the sheet asks is too soon. */
const SHORT = 0.7;
const NEAR_MM = 120;
const FAR_MM = 250;
const YOUNG_H = 48;
/** A grit that shows, by what covers it: coarser than P180 under build, P400 under a finish, P600 under a metallic. */
const GRIT = { build: 180, finish: 400, metallic: 600 } as const;
const EPOXIES = ['epoxy-2k', 'zinc-epoxy-2k'];

/** Its film against a limit: as measured, else as logged where even that lies outside. */
function film(r: FilmRecord, isThick: boolean): Word | null {
  const { measuredUm, thinnestUm, dftUm, sheet } = coatOf(r);
  const limit = isThick ? sheet.dftMaxUm : sheet.dftMinUm;
  const outside = (um: number): boolean => (isThick ? um > limit : um < limit);
  const um = isThick ? measuredUm : (thinnestUm ?? measuredUm);
  if (um !== null) return word(outside(um), figure(um, limit, 'µm'));
  return outside(dftUm) ? word(true, figure(dftUm, limit, 'µm')) : null;
}

/** How long the coat below was left, against what its sheet asks at the temperature it had. */
function gap(r: FilmRecord): Word | null {
  const below = belowOf(r);
  const fact = coatFact(r);
  if (!below || !fact) return null;
  const isSame = below.sheet.productId === coatOf(r).sheet.productId;
  const flashMs = isSame ? stageEndMs(below.sheet, 'flash', below.t0Ms, r.track, 'nominal') : null;
  const dueMs = flashMs ?? below.edges.minRecoat.nominalMs;
  if (dueMs === null || dueMs <= below.t0Ms) return null;
  const hadMin = (fact.happenedAtMs - below.t0Ms) / MINUTE_MS;
  const askedMin = (dueMs - below.t0Ms) / MINUTE_MS;
  return word(hadMin < SHORT * askedMin, figure(hadMin, askedMin, 'min'));
}

/** The grade of thinner against the one its surface asked for: one grade off counts half. */
function thinner(r: FilmRecord, way: 'fast' | 'slow'): Word | null {
  const grade = coatFact(r)?.body.thinnerGrade;
  const at = surfaceAt(r.track, coatOf(r).t0Ms);
  if (grade === undefined || !at) return null;
  const off = THINNER_GRADES.indexOf(grade) - THINNER_GRADES.indexOf(thinnerGrade(at.surfaceC));
  const by = way === 'slow' ? off : -off;
  return word(by > 0, figure(at.surfaceC, null, '°C'), by === 1);
}

const thinPctOf = (r: FilmRecord): number | null => r.mix?.thinPct ?? coatFact(r)?.body.thinnerPct ?? null;

/** What the window below was when this coat went on, and whether it had been keyed. */
function windowThen(r: FilmRecord): { readonly state: string; readonly isKeyed: boolean } | null {
  const below = belowOf(r);
  if (!below) return null;
  const { sheet, t0Ms } = coatOf(r);
  const rule = windowRule(below.sheet, sheet);
  if (rule.kind !== 'intervals') return null;
  const laid = layIntervals(
    {
      sheet: below.sheet,
      t0Ms: below.t0Ms,
      track: r.track,
      slowBy: below.slowBy,
      speedBy: 1,
      minRecoatTests: [],
      isOutdoors: r.isOutdoors ?? false,
    },
    rule.intervals,
  );
  // Past edges are judged as they were expected: a film that was in its window by its nominal clock was not refused.
  const nominal = laid.map((i) => ({
    ...i,
    from: { ...i.from, worstMs: i.from.nominalMs },
    to: i.to && { ...i.to, worstMs: i.to.nominalMs },
  }));
  const spans = windowSpans(nominal, below.t0Ms, t0Ms + DAY_MS, t0Ms, null);
  const state = spans.find((s) => s.fromMs <= t0Ms && t0Ms < s.toMs)?.state;
  if (state === undefined) return null;
  const abraded = lastOf(factsBefore(r), 'abraded');
  const isKeyed =
    abraded !== null &&
    keyAt(
      {
        abradedAtMs: originMs(abraded),
        how: abraded.body.how,
        sandMs: below.edges.sand.nominalMs,
        hardMs: below.edges.handle.nominalMs,
        wipedAtMs: null,
        spoiledAtMs: null,
      },
      t0Ms,
    ).isHeld;
  return { state, isKeyed };
}

const isEpoxy = (binder: string): boolean => EPOXIES.includes(binder);

function grit(r: FilmRecord): Word | null {
  const gritP = lastOf(factsBefore(r), 'abraded')?.body.gritP;
  if (gritP === undefined) return null;
  const { role } = coatOf(r).sheet;
  const isFinish = role === 'finish' || role === 'clear';
  const least = !isFinish ? GRIT.build : r.survey?.metallic === 'yes' ? GRIT.metallic : GRIT.finish;
  return word(gritP < least, figure(gritP, least, 'P'));
}

export const FILM_EVIDENCE: Readers = {
  'film-thick': (r) => film(r, true),
  'film-thin': (r) => film(r, false),
  'stacked-slow': (r) => word(coatOf(r).slowBy >= STACKED, figure(coatOf(r).slowBy, STACKED, '×')),
  'gap-short': gap,
  'thinner-fast': (r) => thinner(r, 'fast'),
  'thinner-slow': (r) => thinner(r, 'slow'),
  'over-thinned': (r) => {
    const pct = thinPctOf(r);
    if (pct === null) return null;
    const most = traitsOf(coatOf(r).sheet).thinMaxPct[coatFact(r)?.body.tool === 'brush' ? 'brush' : 'gun'];
    return word(pct > most, figure(pct, most, '%'));
  },
  'unthinned-thick': (r) => {
    const pct = thinPctOf(r);
    // Without thinner it may still have been thin enough: the flow cup decides.
    return pct === null
      ? null
      : pct > 0
        ? word(false, figure(pct, null, '%'))
        : word(true, figure(0, null, '%'), true);
  },
  'gun-far': (r) => {
    const mm = coatFact(r)?.body.gunMm;
    return mm === undefined ? null : word(mm > FAR_MM, figure(mm, FAR_MM, 'mm'));
  },
  'gun-near': (r) => {
    const mm = coatFact(r)?.body.gunMm;
    return mm === undefined ? null : word(mm < NEAR_MM, figure(mm, NEAR_MM, 'mm'));
  },
  'in-window': (r) => {
    const w = windowThen(r);
    return w && word(w.state === 'open' || w.state === 'closing');
  },
  'window-shut': (r) => {
    const w = windowThen(r);
    return w && word(w.state === 'shut' && !w.isKeyed);
  },
  'in-lift-band': (r) => {
    const w = windowThen(r);
    return w && word(w.state === 'lift');
  },
  keyed: (r) => {
    const w = windowThen(r);
    return w && (w.isKeyed ? word(true) : null);
  },
  'coats-few': (r) =>
    r.coatsAsked === null
      ? null
      : word(r.coats.length < r.coatsAsked, figure(r.coats.length, r.coatsAsked, 'coats')),
  'covered-young': (r) => {
    const below = belowOf(r);
    if (!below) return null;
    const hours = (coatOf(r).t0Ms - below.t0Ms) / HOUR_MS;
    const sandH =
      below.edges.sand.nominalMs === null ? 0 : (below.edges.sand.nominalMs - below.t0Ms) / HOUR_MS;
    const least = Math.max(YOUNG_H, sandH);
    return word(hours < least, figure(hours, least, 'h'));
  },
  'suspect-below': (r) => {
    const below = belowOf(r);
    if (!below) return null;
    const untilMs = Math.min(coatOf(r).t0Ms, below.edges.handle.nominalMs ?? coatOf(r).t0Ms);
    return word(firstSuspicion(r.track, below.t0Ms, untilMs, below.sheet.cureMinC) !== null);
  },
  'epoxy-below': (r) => {
    const below = belowOf(r);
    return below && word(isEpoxy(below.sheet.binder));
  },
  'epoxy-on-etch': (r) => {
    const below = belowOf(r);
    return below && word(below.sheet.role === 'etch' && isEpoxy(coatOf(r).sheet.binder));
  },
  'etch-on-paint': (r) => word(coatOf(r).sheet.role === 'etch' && r.index > 0),
  'etch-first': (r) => word(r.coats[0]!.sheet.role === 'etch'),
  'not-baked': (r) =>
    coatOf(r).sheet.cureBy === 'bake'
      ? word(!ofKind(r.facts, 'baked').some((f) => originMs(f) >= coatOf(r).t0Ms))
      : word(false),
  'filler-below': (r) => {
    const tapped = byCard(r, 'coin-tap');
    if (tapped) return tapped;
    if (r.coats.slice(0, r.index).some((c) => c.sheet.role === 'filler')) return word(true);
    return r.survey?.oldFiller === 'yes' ? word(true) : r.survey?.oldFiller === 'no' ? word(false) : null;
  },
  'wet-sanded-filler': (r) =>
    belowOf(r)?.sheet.role === 'filler'
      ? onlyYes(ofKind(factsBefore(r), 'abraded').some((f) => f.body.how === 'wet'))
      : null,
  'overlap-uneven': (r) => byCard(r, 'overlap'),
  'grit-coarse': grit,
  'one-batch': (r) => batches(r, false),
  'batches-differ': (r) => batches(r, true),
};

/** Batches of this product on the face, where every coat of it names one. */
function batches(r: FilmRecord, isDiffer: boolean): Word | null {
  const own = r.coats.filter((c) => c.sheet.productId === coatOf(r).sheet.productId);
  if (own.length < 2 || own.some((c) => c.batch === null)) return null;
  return word(new Set(own.map((c) => c.batch)).size > 1 === isDiffer);
}
