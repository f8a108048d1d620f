import { HOUR_MS, MINUTE_MS } from '../base/time.ts';
import { crossing } from '../cure/clock.ts';
import { KEY_LASTS_MS } from '../cure/keyed.ts';
import { goneWorstMs, usableWorstMs } from '../cure/potLife.ts';
import { coatOver, stackFactor, type StackLayer } from '../cure/stacked.ts';
import { stageTable } from '../cure/tables.ts';
import { openingNominalMs, windowRule, worstEdge, type Film } from '../cure/windows.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import { alongTrack, bySheetAndInstant } from './memo.ts';
import type { FilmNow, PlanCoat, PlanSurface } from './problem.ts';

/** A film as a plan has it: on already, or laid by then. */
export interface LaidFilm {
  readonly film: Film;
  readonly layers: readonly StackLayer[];
  readonly keyedUntilMs: number | null;
}

/** When a coat may go over a film: it begins after `fromMs` and its last wet pass ends before `toMs` (Infinity: never shut). */
export interface OpenSpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly isScuffed: boolean;
}
export interface Window {
  readonly open: readonly OpenSpan[];
  /** From here it may be abraded and coated out of its window; null: never within the plan. */
  readonly sandMs: number | null;
}

/** Where a film dries. */
export interface Stand {
  readonly surface: PlanSurface;
  readonly isOutdoors: boolean;
}

export const filmNow = (stand: Stand, f: FilmNow): LaidFilm => ({
  film: {
    sheet: f.sheet,
    t0Ms: f.t0Ms,
    track: stand.surface.track,
    slowBy: f.slowBy,
    speedBy: f.speedBy,
    minRecoatTests: f.tests,
    isOutdoors: stand.isOutdoors,
  },
  layers: [{ sheet: f.sheet, dftUm: f.dftUm }],
  keyedUntilMs: f.keyedUntilMs,
});

/** The film a coat makes when its last wet pass ends then; over one that is not hard yet it dries slower. */
export function laidFilm(stand: Stand, coat: PlanCoat, t0Ms: number, below: readonly LaidFilm[]): LaidFilm {
  const own = { sheet: coat.sheet, dftUm: coat.dftUm };
  const wet = below.filter((b) => {
    const openMs = openingNominalMs(b.film, { stage: 'minRecoat', p: 1, type: 'min' });
    const isReached = openMs !== null && openMs <= t0Ms;
    return coatOver(b.film.sheet, coat.sheet, isReached).kind === 'merges';
  });
  const layers = [...(wet[0]?.layers ?? []), own];
  return {
    film: {
      sheet: coat.sheet,
      t0Ms,
      track: stand.surface.track,
      slowBy: stackFactor(layers),
      speedBy: coat.speedBy,
      minRecoatTests: [],
      isOutdoors: stand.isOutdoors,
    },
    layers,
    keyedUntilMs: null,
  };
}

/** What a film's clocks run on, in a word. */
const keyOf = ({ film }: LaidFilm): string =>
  `${film.sheet.sheetId}@${film.t0Ms}/${film.slowBy}/${film.speedBy}/${film.minRecoatTests.length}`;

/** The same film once its part was carried elsewhere. */
export const carried = (laid: LaidFilm, { surface, isOutdoors }: Stand): LaidFilm => ({
  ...laid,
  film: { ...laid.film, track: surface.track, isOutdoors },
});

/** When a stage of a film is surely reached, by the cold lean; null: not within the plan, or not known. */
export const stageMs = (laid: LaidFilm, stage: Stage): number | null =>
  alongTrack(laid.film.track, `${stage} ${keyOf(laid)}`, () => stageEnd(laid, stage));

function stageEnd({ film }: LaidFilm, stage: Stage): number | null {
  if (film.sheet.cureBy === 'bake') return film.t0Ms;
  const table = stageTable(film.sheet, stage);
  if (!table) return null;
  return crossing(
    {
      table,
      track: film.track,
      t0Ms: film.t0Ms,
      lean: 'cold',
      slowBy: stage === 'touch' || stage === 'flash' ? 1 : film.slowBy,
      speedBy: film.speedBy,
      tests: [],
    },
    1,
  ).atMs;
}

/** When a follower may go over a film, each edge at its worst. */
export const windowOf = (laid: LaidFilm, follower: ProductSheet): Window =>
  alongTrack(laid.film.track, `${follower.sheetId} over ${keyOf(laid)} ${laid.keyedUntilMs}`, () =>
    windowFor(laid, follower),
  );

function windowFor(laid: LaidFilm, follower: ProductSheet): Window {
  const sandMs = stageMs(laid, 'sand');
  const rule = windowRule(laid.film.sheet, follower);
  if (rule.kind !== 'intervals') return { open: [], sandMs: null };
  const open: OpenSpan[] = [];
  for (const i of rule.intervals) {
    const from = worstEdge(laid.film, i.from);
    const fromMs = from.worstMs;
    if (fromMs === null || from.isUnknown) break;
    if (i.prep === 'forbidden' || i.prep === 'abrade') continue;
    const to = i.to && worstEdge(laid.film, i.to);
    const toMs = to === null ? Infinity : to.isUnknown ? fromMs : (to.worstMs ?? Infinity);
    if (toMs > fromMs) open.push({ fromMs, toMs, isScuffed: i.prep === 'scuff' });
  }
  if (laid.keyedUntilMs === null) return { open, sandMs };
  return { open: [...open, { fromMs: laid.film.t0Ms, toMs: laid.keyedUntilMs, isScuffed: false }], sandMs };
}

/** The earlier of two limits, where null is none. */
export const soonest = (a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : Math.min(a, b);

/** A key cut by a mending abrasion lasts so long. */
export const keyEndMs = (abradedMs: number): number => abradedMs + KEY_LASTS_MS;

const touch = bySheetAndInstant();

/** When a coat of a sheet whose last wet pass ends then is dry to the touch, at the worst. What it merges with below does not slow that. */
export const touchMsOf = (
  track: readonly SurfaceStretch[],
  { sheet, speedBy }: Pick<PlanCoat, 'sheet' | 'speedBy'>,
  t0Ms: number,
): number =>
  touch(track, sheet.sheetId, t0Ms, () => {
    const film = { sheet, t0Ms, track, slowBy: 1, speedBy, minRecoatTests: [], isOutdoors: false };
    return stageEnd({ film, layers: [], keyedUntilMs: null }, 'touch') ?? t0Ms + 24 * HOUR_MS;
  });

/** When a coat is dry to the touch, at the worst; where the sheet is silent a day is taken. */
export const touchEndMs = ({ film }: LaidFilm): number => touchMsOf(film.track, film, film.t0Ms);

const stands = bySheetAndInstant();
const gone = bySheetAndInstant();

/** How long a mix stands before it may be used when it is made then, at the worst; half an hour where nobody knows. */
export const mixStandsMs = (sheet: ProductSheet, track: readonly SurfaceStretch[], mixedMs: number): number =>
  sheet.stages.induction === undefined
    ? 0
    : stands(
        track,
        sheet.sheetId,
        mixedMs,
        () => (usableWorstMs(sheet, mixedMs, track) ?? mixedMs + 30 * MINUTE_MS) - mixedMs,
      );

/** When a mix that is made then is gone, at the worst. Infinity: it lasts. */
export const mixGoneMs = (sheet: ProductSheet, track: readonly SurfaceStretch[], mixedMs: number): number =>
  gone(track, sheet.sheetId, mixedMs, () => goneWorstMs(sheet, mixedMs, track) ?? mixedMs);
