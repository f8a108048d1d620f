import { careDueMs, careFactor, careJobs, wetHours } from '../../aftercare/care.ts';
import { rustTrend, type RustTrend } from '../../aftercare/life.ts';
import type { CareJob } from '../../aftercare/jobs.ts';
import { DAY_MS } from '../../base/time.ts';
import { isoDay, localDay } from '../../base/zone.ts';
import { originMs } from '../../facts/envelope.ts';
import { ofKind, standingFacts, type FactOf } from '../../facts/part.ts';
import type { Survey } from '../../part/survey.ts';
import { newestSurvey } from '../survey.ts';
import { touchUpOf, type TouchUpCoat } from '../../aftercare/touchUp.ts';
import { stockNow } from '../shelf.ts';
import type { DerivedPart } from '../part.ts';
import { partsInUse, type Snapshot } from '../snapshot.ts';

/** A job of care on one part. */
export interface CareLine {
  readonly partId: string;
  readonly partName: string;
  readonly machineId: string;
  readonly machineName: string;
  readonly job: CareJob;
  readonly months: number;
  /** When it was last done; null: never since the film cured. */
  readonly lastMs: number | null;
  /** What was found then. */
  readonly lastFound: 'nothing' | 'something' | null;
  readonly dueMs: number;
  /** The day of that where the shop is. */
  readonly dueDay: string;
  readonly status: 'due' | 'soon' | 'later';
}
/** A decision with a day on which it comes back. */
export interface ReminderLine {
  readonly factId: string;
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly text: string;
  /** `2031-03-05`. */
  readonly onDay: string;
  readonly setMs: number;
  readonly isDue: boolean;
}
/** What a part's first years should be like, by the durability its survey asked for. */
export interface LifeBand {
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly sinceMs: number;
  /** Years to the first major maintenance; null: no upper end. */
  readonly fromYears: number;
  readonly toYears: number | null;
  /** Where its rust is going, by the looks since; null: too few to say. */
  readonly rust: RustTrend | null;
}
/** A finished part with its own coats, as they are laid again. */
export interface TouchUp {
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly coats: readonly TouchUpCoat[];
}
export interface CareView {
  readonly nowMs: number;
  readonly zone: string;
  /** By day. */
  readonly lines: readonly CareLine[];
  readonly reminders: readonly ReminderLine[];
  readonly lives: readonly LifeBand[];
  /** How each finished film is mended where it is chipped. */
  readonly touchUps: readonly TouchUp[];
  /** Wet hours of a year by place, where a month was measured, and how much sooner than usual that makes care. */
  readonly wet: readonly { readonly placeName: string; readonly hours: number; readonly factor: number }[];
}

const SOON_MS = 30 * DAY_MS;
/** Where no clock knows when a film had cured, it has by then: a season (common practice). */
const CURED_BY_MS = 90 * DAY_MS;
/** Years to first major maintenance (ISO 12944-1:2017, quoted from memory). */
const BANDS: Readonly<Record<Survey['durability'], readonly [number, number | null]>> = {
  L: [0, 7],
  M: [7, 15],
  H: [15, 25],
  VH: [25, null],
};

/** When the last of a part's films had cured; null: it is not finished, or has not. */
export function curedMs(part: DerivedPart, nowMs: number): number | null {
  const tops = part.state.faces.map((f) => f.coats[f.coats.length - 1]);
  if (tops.length === 0 || tops.some((t) => t === undefined)) return null;
  const planned = part.planned.filter((c) => !c.stepId.startsWith('on-')).length;
  const on = part.state.faces.reduce((sum, f) => Math.max(sum, f.coats.length), 0);
  if (planned > 0 && on < part.planned.length) return null;
  const at = Math.max(...tops.map((t) => t!.edges.service.worstMs ?? t!.t0Ms + CURED_BY_MS));
  return at <= nowMs ? at : null;
}

/** What is to be looked after in the shop, and when. Pure. */
export function careView(snapshot: Snapshot): CareView {
  const { nowMs, shop } = snapshot;
  const machineName = new Map(shop.machines.map((m) => [m.machineId, m.name]));
  const wetAt = new Map(
    shop.places.map((p) => [p.placeId, wetHours(snapshot.air.get(p.placeId)?.track ?? [], nowMs)]),
  );
  const lines: CareLine[] = [];
  const reminders: ReminderLine[] = [];
  const lives: LifeBand[] = [];
  const touchUps: TouchUp[] = [];
  const today = isoDay(localDay(shop.workshop.zone, nowMs));
  for (const part of partsInUse(snapshot)) {
    const about = {
      partId: part.row.partId,
      partName: part.row.name,
      machineId: part.row.machineId,
      machineName: machineName.get(part.row.machineId) ?? '',
    };
    const standing = standingFacts(part.facts);
    const done = new Set(ofKind(standing, 'reminder-done').map((f) => f.body.reminderId));
    for (const f of ofKind(standing, 'reminder-set'))
      if (!done.has(f.factId))
        reminders.push({
          ...about,
          factId: f.factId,
          text: f.body.text,
          onDay: f.body.onDay,
          setMs: f.happenedAtMs,
          isDue: f.body.onDay <= today,
        });
    const sinceMs = curedMs(part, nowMs);
    if (sinceMs === null) continue;
    const coats = touchUpOf(filmOn(snapshot, part));
    if (coats.length > 0) touchUps.push({ ...about, coats });
    const survey = newestSurvey(part);
    const factor = careFactor(part.placeId === null ? null : (wetAt.get(part.placeId) ?? null));
    const cared = ofKind(standing, 'cared');
    for (const [job, months] of careJobs({
      survey,
      steps: part.steps,
      isBrightMetal: part.row.isBrightMetal,
    }))
      lines.push({ ...about, ...lineOf(job, months, cared, sinceMs, factor, nowMs, shop.workshop.zone) });
    if (survey) {
      const [fromYears, toYears] = BANDS[survey.durability];
      const looks = ofKind(standing, 'rust-measured')
        .filter((f) => originMs(f) >= sinceMs)
        .map((f) => ({ atMs: originMs(f), sharePct: f.body.sharePct }));
      lives.push({ ...about, sinceMs, fromYears, toYears, rust: rustTrend(looks) });
    }
  }
  return {
    nowMs,
    zone: shop.workshop.zone,
    lines: lines.sort((a, b) => a.dueMs - b.dueMs || a.partName.localeCompare(b.partName)),
    reminders: reminders.sort((a, b) => a.onDay.localeCompare(b.onDay)),
    lives,
    touchUps,
    wet: shop.places.flatMap((p) => {
      const hours = wetAt.get(p.placeId) ?? null;
      return hours === null ? [] : [{ placeName: p.name, hours, factor: careFactor(hours) }];
    }),
  };
}

/** The coats of a part's leading face, as they are known: measured where they were, with the colour of their cup. */
function filmOn(snapshot: Snapshot, part: DerivedPart) {
  const { mixes } = stockNow(snapshot).ledger;
  const bodies = new Map(ofKind(part.facts, 'coated').map((f) => [f.factId, f.body]));
  return part.state.lead.coats.map((c) => {
    const mixId = bodies.get(c.factId)?.mixId;
    const mix = mixId === undefined ? undefined : mixes.get(mixId);
    return {
      sheet: c.sheet,
      colour: mix?.fact.body.colour ?? (c.sheet.role === 'finish' ? part.row.colourGroup : null),
      batch: c.batch ?? null,
      filmUm: Math.round(c.measuredUm ?? c.dftUm),
    };
  });
}

function lineOf(
  job: CareJob,
  months: number,
  cared: readonly FactOf<'cared'>[],
  curedAtMs: number,
  factor: number,
  nowMs: number,
  zone: string,
): Pick<CareLine, 'job' | 'months' | 'lastMs' | 'lastFound' | 'dueMs' | 'dueDay' | 'status'> {
  const last = cared.findLast((f) => f.body.job === job) ?? null;
  const lastMs = last ? originMs(last) : null;
  const dueMs = careDueMs(job, Math.max(lastMs ?? 0, curedAtMs), months, factor);
  return {
    job,
    months,
    lastMs,
    lastFound: last?.body.found ?? null,
    dueMs,
    dueDay: isoDay(localDay(zone, dueMs)),
    status: dueMs <= nowMs ? 'due' : dueMs - nowMs <= SOON_MS ? 'soon' : 'later',
  };
}
