import { dewMargin } from '../../air/gate.ts';
import { esOverWaterHpa } from '../../air/saturation.ts';
import { rhAtSurfacePct } from '../../air/humidity.ts';
import { HOUR_MS } from '../../base/time.ts';
import { firstSuspicion } from '../../cure/suspect.ts';
import { originMs } from '../../facts/envelope.ts';
import { ofKind } from '../../facts/part.ts';
import { surfaceAt, type SurfaceStretch } from '../../part/thermal/track.ts';
import { coatOf, figure, onlyYes, word, type FilmRecord, type Readers } from './filmRecord.ts';

/** Evidence from the temperature and the air the part really had. What was only assumed of them says nothing. */

const COLD_C = 15;
const HOT_C = 30;
const DAMP_PCT = 85;
const NEAR_DEW_K = 3;
const DRY_K = 5;
const DRY_PCT = 60;
/** Above its cure minimum by less than this a film cures slowly. */
const COLD_CURE_K = 5;
const WARM_C = 18;
const STEP_MS = HOUR_MS / 6;

/** What held at one moment, as far as it was measured. */
interface Then {
  readonly surfaceC: number;
  readonly rhPct: number | null;
  readonly feltPct: number | null;
  readonly marginK: number | null;
  readonly uncertaintyK: number | null;
}
function then(track: readonly SurfaceStretch[], atMs: number): Then | null {
  const p = surfaceAt(track, atMs);
  if (!p || (p.source !== 'surface' && p.source !== 'lag')) return null;
  if (p.vapourHpa === null)
    return { surfaceC: p.surfaceC, rhPct: null, feltPct: null, marginK: null, uncertaintyK: null };
  const rhPct = Math.min(100, (100 * p.vapourHpa) / esOverWaterHpa(p.airC));
  const m = dewMargin(p.airC, rhPct, p.surfaceC);
  return {
    surfaceC: p.surfaceC,
    rhPct,
    feltPct: rhAtSurfacePct(p.vapourHpa, p.surfaceC),
    marginK: m.marginK,
    uncertaintyK: m.uncertaintyK,
  };
}

/** While the film could still be spoilt: from the coat until it may be handled, or until now. */
const untilHandle = (r: FilmRecord): number =>
  Math.min(r.foundMs, coatOf(r).edges.handle.nominalMs ?? r.foundMs);

const known = new WeakMap<FilmRecord, readonly Then[] | null>();
/** What held while it cured, step by step; null where a step of it is not known. */
function whileCuring(r: FilmRecord): readonly Then[] | null {
  const found = known.get(r);
  if (found !== undefined) return found;
  const { t0Ms } = coatOf(r);
  const endMs = untilHandle(r);
  const out: Then[] = [];
  let isWhole = true;
  for (let atMs = t0Ms; atMs <= endMs && isWhole; atMs += STEP_MS) {
    const at = then(r.track, atMs);
    if (at) out.push(at);
    else isWhole = false;
  }
  const all = isWhole && out.length > 0 ? out : null;
  known.set(r, all);
  return all;
}
const laidAt = (r: FilmRecord): Then | null => then(r.track, coatOf(r).t0Ms);

/** The step at which the part came nearest to the dew point. */
function nearestDew(r: FilmRecord): { readonly marginK: number; readonly uncertaintyK: number } | null {
  const all = whileCuring(r);
  if (!all || all.some((t) => t.marginK === null)) return null;
  const least = all.reduce((a, b) => (b.marginK! < a.marginK! ? b : a));
  return { marginK: least.marginK!, uncertaintyK: least.uncertaintyK! };
}

export const AIR_EVIDENCE: Readers = {
  'cold-when-laid': (r) => {
    const at = laidAt(r);
    const least = Math.max(COLD_C, coatOf(r).sheet.applySurfaceMinC ?? -Infinity);
    return at && word(at.surfaceC < least, figure(at.surfaceC, least, '°C'));
  },
  'hot-surface': (r) => {
    const at = laidAt(r);
    const most = Math.min(HOT_C, coatOf(r).sheet.applySurfaceMaxC ?? Infinity);
    return at && word(at.surfaceC > most, figure(at.surfaceC, most, '°C'));
  },
  'cold-while-curing': (r) => {
    const { cureMinC } = coatOf(r).sheet;
    const all = whileCuring(r);
    if (!all || cureMinC === null) return null;
    const meanC = all.reduce((s, t) => s + t.surfaceC, 0) / all.length;
    return word(meanC < cureMinC + COLD_CURE_K, figure(meanC, cureMinC + COLD_CURE_K, '°C'));
  },
  'warm-cure': (r) => {
    const all = whileCuring(r);
    if (!all) return null;
    const leastC = Math.min(...all.map((t) => t.surfaceC));
    return word(leastC >= WARM_C, figure(leastC, WARM_C, '°C'));
  },
  'cure-stalled': (r) => {
    const { t0Ms, sheet } = coatOf(r);
    if (sheet.cureMinC === null || whileCuring(r) === null) return null;
    return word(firstSuspicion(r.track, t0Ms, untilHandle(r), sheet.cureMinC)?.cause === 'stalled-24h');
  },
  'air-damp': (r) => {
    const at = laidAt(r);
    if (!at || at.rhPct === null || at.feltPct === null) return null;
    const most = coatOf(r).sheet.rhMaxPct ?? DAMP_PCT;
    return at.rhPct > most
      ? word(true, figure(at.rhPct, most, '%'))
      : word(at.feltPct > DAMP_PCT, figure(at.feltPct, DAMP_PCT, '%'));
  },
  'near-dew': (r) => {
    const least = nearestDew(r);
    return least && word(least.marginK < NEAR_DEW_K, figure(least.marginK, NEAR_DEW_K, 'K'));
  },
  dew: (r) => {
    const least = nearestDew(r);
    return least && word(least.marginK < least.uncertaintyK, figure(least.marginK, least.uncertaintyK, 'K'));
  },
  'air-dry': (r) => {
    const least = nearestDew(r);
    if (!least) return null;
    const dampest = Math.max(...whileCuring(r)!.map((t) => t.rhPct!));
    return word(least.marginK >= DRY_K && dampest < DRY_PCT, figure(dampest, DRY_PCT, '%'));
  },
  'laid-outdoors': (r) => (r.isOutdoors === null ? null : word(r.isOutdoors)),
  'wetted-early': (r) => {
    const { t0Ms } = coatOf(r);
    const wet = ofKind(r.facts, 'wetted').find((f) => originMs(f) >= t0Ms && originMs(f) <= untilHandle(r));
    return onlyYes(wet !== undefined, wet ? figure((originMs(wet) - t0Ms) / HOUR_MS, null, 'h') : null);
  },
  'heated-soon': (r) => {
    const { t0Ms, edges } = coatOf(r);
    const baked = ofKind(r.facts, 'baked').find((f) => originMs(f) >= t0Ms);
    if (!baked || edges.touch.nominalMs === null) return null;
    return onlyYes(
      originMs(baked) < edges.touch.nominalMs,
      figure((originMs(baked) - t0Ms) / HOUR_MS, null, 'h'),
    );
  },
};
