import { MINUTE_MS } from '../base/time.ts';
import type { CoatState } from '../bench/film.ts';
import { minEdge } from '../cure/windows.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { layMinutes, SET_UP_MIN, usualTool } from '../work/minutes.ts';
import type { RemedyId } from './kinds.ts';
import { REMEDY_STEPS, type MendStepId, type WaitsFor } from './mendSteps.ts';

/** A spot of this size takes the least minutes of a step, m². */
const SPOT_M2 = 0.1;
/**
 * What a step takes for each square metre beyond the spot, minutes, and whether it is done all over the face or where the fault is. The
 * rates are those a route counts with (`route/hours.ts`; common practice, no published source).
 */
const BEYOND: Readonly<Record<MendStepId, { readonly perM2: number; readonly isAllOver: boolean }>> = {
  'warm-and-wait': { perM2: 0, isAllOver: false },
  'blade-off': { perM2: 60, isAllOver: false },
  'flat-fine': { perM2: 40, isAllOver: false },
  flat: { perM2: 25, isAllOver: false },
  polish: { perM2: 25, isAllOver: false },
  'sand-to-sound': { perM2: 45, isAllOver: false },
  fill: { perM2: 180, isAllOver: false },
  'wash-warm': { perM2: 8, isAllOver: true },
  'take-off': { perM2: 45, isAllOver: true },
  strip: { perM2: 35, isAllOver: true },
  'wash-salts': { perM2: 8, isAllOver: true },
  abrade: { perM2: 25, isAllOver: true },
  wipe: { perM2: 8, isAllOver: true },
  'prime-anew': { perM2: 0, isAllOver: true },
  'coat-again': { perM2: 0, isAllOver: true },
  'test-again': { perM2: 0, isAllOver: false },
};
const LAYS: readonly MendStepId[] = ['prime-anew', 'coat-again'];
/** Which coats a remedy takes off: all that are on, or the faulty one and what lies over it. */
const TAKES_OFF: Readonly<Partial<Record<RemedyId, 'all' | 'from-faulty'>>> = {
  'strip-and-reprime': 'all',
  'strip-wash-and-retest': 'all',
  'take-it-all-off': 'from-faulty',
  'back-to-sound': 'from-faulty',
};

export interface MendAsked {
  readonly remedy: RemedyId;
  /** The coats of the face as they lie, and which of them shows the fault. */
  readonly coats: readonly CoatState[];
  readonly index: number;
  readonly faceM2: number | null;
  /** Of the face, where somebody said how much of it is faulty. */
  readonly extentPct: number | null;
  readonly track: readonly SurfaceStretch[];
  readonly speedOf: (productId: string) => number;
  readonly nowMs: number;
}
/** One act of the changed route: a step of the remedy, or a coat that goes on again. */
export interface MendLine {
  readonly step: MendStepId;
  /** The product that is laid; null: no coat. */
  readonly product: string | null;
  readonly minutes: number;
  readonly waitsFor: WaitsFor | 'recoat';
  /** From when at the soonest, by the safe edge of the clocks; null: not within what is known. */
  readonly fromMs: number | null;
}
export interface MendPlan {
  readonly lines: readonly MendLine[];
  /** Names of the coats that come off, outermost last. */
  readonly comesOff: readonly string[];
  readonly handsMin: number;
  /** When the last of it can be handled, at the soonest and working straight on; null: not within what is known. */
  readonly doneMs: number | null;
}

/** Coats to be laid in place of what came off; where nothing does, the faulty product once more. */
function laidAgain(a: MendAsked): readonly CoatState[] {
  const off = comesOffOf(a);
  return off.length > 0 ? off : a.coats.slice(-1);
}
function comesOffOf({ remedy, coats, index }: MendAsked): readonly CoatState[] {
  const takes = TAKES_OFF[remedy];
  if (takes === undefined) return [];
  return coats.slice(takes === 'all' ? 0 : index);
}

/** The acts of the changed route in order, before anybody asks when. */
interface Task extends Omit<MendLine, 'fromMs'> {
  readonly coat: CoatState | null;
}
function tasksOf(a: MendAsked): Task[] {
  const faceM2 = a.faceM2 ?? UNKNOWN_AREA_M2;
  const spotM2 = a.extentPct === null ? Math.min(faceM2, SPOT_M2) : (faceM2 * a.extentPct) / 100;
  const coatTask = (coat: CoatState, step: MendStepId, isFirst: boolean): Task => {
    const tool = usualTool(coat.sheet);
    return {
      step: isFirst ? step : 'coat-again',
      product: coat.sheet.name,
      minutes: Math.round(SET_UP_MIN[tool] + layMinutes(coat.sheet, tool, faceM2)),
      waitsFor: isFirst ? null : 'recoat',
      coat,
    };
  };
  return REMEDY_STEPS[a.remedy].flatMap(({ step, minutes, waitsFor }): Task[] => {
    if (LAYS.includes(step) && a.coats.length > 0)
      return laidAgain(a).map((coat, i) => coatTask(coat, step, i === 0));
    const { perM2, isAllOver } = BEYOND[step];
    const beyondM2 = Math.max(0, (isAllOver ? faceM2 : spotM2) - SPOT_M2);
    return [{ step, product: null, minutes: Math.round(minutes + perM2 * beyondM2), waitsFor, coat: null }];
  });
}

/**
 * The route as a remedy would change it: each step with its hands and when it may begin, the coats that come off and go on again, and when
 * the whole is done. Waits are those of the faulty coat's own clocks, then of the new coats on the air to come. Pure.
 */
export function mendPlan(a: MendAsked): MendPlan {
  const faulty = a.coats[a.index] ?? null;
  const lines: MendLine[] = [];
  let atMs: number | null = a.nowMs;
  let last: CoatState | null = null;
  for (const { coat, ...task } of tasksOf(a)) {
    const fromMs = laterOf(atMs, waitOf(a, task.waitsFor, faulty, last, atMs));
    lines.push({ ...task, fromMs });
    atMs = fromMs === null ? null : fromMs + task.minutes * MINUTE_MS;
    last = coat ?? last;
  }
  return {
    lines,
    comesOff: comesOffOf(a).map((c) => c.sheet.name),
    handsMin: lines.reduce((sum, l) => sum + l.minutes, 0),
    doneMs: last === null ? atMs : edgeMs(a, last, 'handle', atMs),
  };
}
const laterOf = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : Math.max(a, b);

/** When what an act waits for is reached: nothing, a stage of the faulty coat, or the coat laid last. */
function waitOf(
  a: MendAsked,
  waitsFor: Task['waitsFor'],
  faulty: CoatState | null,
  last: CoatState | null,
  atMs: number | null,
): number | null {
  if (waitsFor === null) return a.nowMs;
  if (waitsFor === 'recoat') return last && edgeMs(a, last, 'minRecoat', atMs);
  return faulty?.edges[waitsFor].worstMs ?? null;
}

/** When a coat that was laid until then reaches a stage, at the latest that is likely. */
function edgeMs(
  { track, speedOf }: MendAsked,
  { sheet }: CoatState,
  stage: 'minRecoat' | 'handle',
  laidMs: number | null,
): number | null {
  if (laidMs === null || sheet.cureBy === 'bake') return null;
  const film = {
    sheet,
    t0Ms: laidMs,
    track,
    slowBy: 1,
    speedBy: speedOf(sheet.productId),
    minRecoatTests: [],
    isOutdoors: false,
  };
  return minEdge(film, { stage, p: 1, type: 'min' }).worstMs;
}
