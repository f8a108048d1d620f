import type { Span } from '../base/time.ts';
import type { BareLimit } from '../cure/bare.ts';
import type { StageTest } from '../cure/clock.ts';
import type { Substrate } from '../part/substrate.ts';
import type { Survey } from '../part/survey.ts';
import type { SurfaceStretch } from '../part/thermal/track.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import type { Reason } from '../route/judge.ts';
import type { Capacity } from '../part/shopMeans.ts';
import type { Held } from './things.ts';

/** What a plan is asked for: by people, and stored with it. */
export interface PlanAsk {
  /** Machines to bring on, each with the day it should be done by and how much lateness weighs. Others stand. */
  readonly machines: readonly {
    readonly machineId: string;
    /** `2026-12-24`, a day of the shop's calendar; null: as soon as it goes. */
    readonly dueDay: string | null;
    readonly weight: number;
  }[];
  readonly weeks: number;
  /** People who come as a rule, and how many of them spray at once. Null: as each of them comes, and who was shown how sprays. */
  readonly people: number | null;
  readonly painters: number;
  /** Days by which whoever works for the shop elsewhere brings back late: what if. */
  readonly lateDays?: number;
  /** Hands that are only supposed, beside those: what if. */
  readonly extra?: { readonly people: number; readonly painters: number };
  /** Where coats are laid: parts that stand elsewhere are carried there before. Null: each where it stands. */
  readonly coatPlaceId: string | null;
  /** Painted faces that hang or lie there at once, m²; null: room for all. */
  readonly roomM2: number | null;
  /** What coats are laid on with where their sheet allows it, whatever the routes say: what if. Absent: as routes say. */
  readonly tool?: Tool | null;
  /** Another product in place of one, where the rules allow it on a part: what if. Absent: as routes say. */
  readonly product?: { readonly from: string; readonly to: string } | null;
  readonly goal: PlanGoal;
  /** What a person fixed: this work in the session that begins then, or not before it. */
  readonly pins: readonly PlanPin[];
  /** Parts that are begun no sooner than a day, or are to be done by one, whatever their machine is. Absent: none. */
  readonly parts?: readonly PartDays[];
  /** Sessions that are only supposed, with so many hands: what if. Absent: none. */
  readonly added?: readonly (Span & { readonly people: number; readonly painters: number })[];
  /** Sessions taken out, by when they begin. */
  readonly lost: readonly number[];
  /** Places kept warm for a span: what if. */
  readonly heat: readonly (Span & { readonly placeId: string; readonly airC: number })[];
  readonly seed: number;
}
export const PLAN_GOALS = ['balanced', 'soonest', 'fewest-cleanings', 'calmest'] as const;
export type PlanGoal = (typeof PLAN_GOALS)[number];
/** Days of the shop's calendar, `2026-12-24`; null: none. */
export interface PartDays {
  readonly partId: string;
  readonly fromDay: string | null;
  readonly byDay: string | null;
}
export interface PlanPin {
  readonly opId: string;
  readonly sessionMs: number;
  /** No sooner than then in that session: a run to a time. Absent: whenever it goes. */
  readonly fromMs?: number;
}

/** What work takes of whoever does it. */
export type Skill = 'spray' | 'masked' | 'blast';
/** Somebody who is there in a session, and what they may do alone. Without a name: one of so many that the plan was asked for. */
export interface Hand {
  readonly name: string | null;
  readonly sprays: boolean;
  /** Sprays isocyanate too. */
  readonly isMasked: boolean;
  readonly blasts: boolean;
  /** How often they do not come though they were to; absent: as usual. */
  readonly absent?: number;
}
/** A span with people in it. Work lies inside sessions; waits run on. */
export interface PlanSession extends Span {
  readonly people: number;
  readonly who: readonly Hand[];
}

/** A film that is on already, as a clock needs it. */
export interface FilmNow {
  readonly sheet: ProductSheet;
  readonly dftUm: number;
  readonly t0Ms: number;
  readonly slowBy: number;
  readonly speedBy: number;
  readonly tests: readonly StageTest[];
  /** Abraded and wiped: until then its shut edge does not matter. */
  readonly keyedUntilMs: number | null;
}

/** What a coat goes on: metal, a film that is on, or a coat of the same plan. */
export type Under =
  | { readonly kind: 'bare' }
  | { readonly kind: 'film'; readonly film: FilmNow }
  | { readonly kind: 'op'; readonly opId: string };

export interface PlanCoat {
  readonly sheet: ProductSheet;
  readonly dftUm: number;
  readonly tool: Tool;
  readonly colour: string | null;
  /** Of all its faces, m²; null: not known, a usual one is taken. */
  readonly areaM2: number | null;
  readonly no: number;
  readonly of: number;
  /** Mixed paint for it; null: no area is known. */
  readonly mixedMl: number | null;
  /** By face. */
  readonly on: readonly Under[];
  /** The shop's own rate of the product. */
  readonly speedBy: number;
}

/** Work on one part that is planned whole. */
export interface PlanOp {
  readonly opId: string;
  readonly partId: string;
  readonly stepId: string;
  /** A step's kind. */
  readonly kind: string;
  readonly what: string | null;
  /** Person-minutes; of a coat, laying it on alone: setting up is its run's. */
  readonly handsMin: number;
  /** So many may work at it at once, and so many it takes. */
  readonly mostPeople: number;
  readonly leastPeople: number;
  readonly isSplittable: boolean;
  readonly makesDust: boolean;
  /** A flame or sparks. */
  readonly isHot: boolean;
  /** Solvent stands open while it is done, and in the air for a while after. */
  readonly usesSolvent: boolean;
  /** Wax or oil is laid on: a mist of it on metal or wet film keeps paint from sticking. */
  readonly oils: boolean;
  /** What comes after it hangs on what is found. */
  readonly isLook: boolean;
  /** Hours that pass after it without anyone: a bath, a trial, a contractor. */
  readonly waitHours: number;
  /** The film below must be so far before it begins; null: nothing is asked of it. */
  readonly needs: Stage | null;
  /** It lays metal bare: from its end the first coat, or the next such act, must follow within this. */
  readonly bares: BareLimit | null;
  /** What it holds of the shop's things. */
  readonly holds: readonly Held[];
  readonly coat: PlanCoat | null;
}

/** A surface as a plan knows it: as far as it is known, and of whose last weeks' days the weeks to come are made. */
export interface PlanSurface {
  readonly track: readonly SurfaceStretch[];
  readonly days: readonly SurfaceStretch[];
  /** While its place is kept warm: those days as they would have been with the heat on. */
  readonly warm: { readonly spans: readonly Span[]; readonly days: readonly SurfaceStretch[] } | null;
}

/** A part with what is left to do, in order. */
export interface PlanPart {
  readonly partId: string;
  readonly name: string;
  readonly machineId: string;
  readonly placeId: string;
  readonly substrate: Substrate;
  readonly isOutdoors: boolean;
  /** So long it takes to be as warm as a place it comes into, or that is heated. */
  readonly warmsMs: number;
  /** Its own temperature as far as the plan looks, while it stays. Parts that stand alike share one. */
  readonly surface: PlanSurface;
  /** Where its coats are laid, when that is elsewhere, and its surface once it is carried there at an instant. */
  readonly carry: {
    readonly placeId: string;
    readonly isOutdoors: boolean;
    readonly surfaceFrom: (atMs: number) => PlanSurface;
  } | null;
  /** Nothing of it before, and all of it by then; null: none was set. */
  readonly notBeforeMs: number | null;
  /** It was sent away and is looked for then; null: it is here. */
  readonly backMs: number | null;
  readonly dueMs: number | null;
  /** What is on its faces now. */
  readonly films: readonly FilmNow[];
  /** Bare now: what it has left. */
  readonly bare: { readonly sinceMs: number; readonly limit: BareLimit } | null;
  readonly ops: readonly PlanOp[];
}

/** A part that keeps the product it has, though another was asked for: what the rules have against it there. */
export interface KeptProduct {
  readonly partId: string;
  readonly name: string;
  readonly refusals: readonly Reason[];
  /** Answers nobody has given: unknown never passes. */
  readonly asks: readonly (keyof Survey)[];
  /** It was never surveyed, or its route was typed: nothing can judge it. */
  readonly isUnjudged: boolean;
}

/** Why a part, or what comes after a step, is not planned: what would let it in is said beside. */
export const PLAN_LACKS = [
  'no-route',
  'no-place',
  'open-colour',
  'referred',
  'suspect',
  'refused',
  'unknown-window',
  'unknown-bare',
  'not-recorded',
  'bare-too-long',
  'no-room',
  'no-hoist',
  'pin',
] as const;
export type PlanLack = (typeof PLAN_LACKS)[number];
export interface PlanAsks {
  readonly partId: string;
  readonly name: string;
  readonly lack: PlanLack;
  readonly stepId: string | null;
}

/** All that a plan is made from. */
export interface PlanProblem {
  readonly ask: PlanAsk;
  readonly zone: string;
  readonly nowMs: number;
  readonly endMs: number;
  readonly forecastEndMs: number;
  readonly sessions: readonly PlanSession[];
  /** By place whose air it shares, at the end of the chain; places that are not in it have their own. */
  readonly airs: Readonly<Record<string, string>>;
  /** What the shop's things hold at once. */
  readonly capacity: Capacity;
  readonly parts: readonly PlanPart[];
  readonly asks: readonly PlanAsks[];
  /** Parts that keep a product though another was asked for. */
  readonly kept: readonly KeptProduct[];
  readonly machines: readonly {
    readonly machineId: string;
    readonly name: string;
    readonly dueMs: number | null;
    readonly weight: number;
  }[];
  /** Days of readings that stand for the weeks to come, by place; none: nothing there is planned past the forecast. */
  readonly usualDays: Readonly<Record<string, number>>;
}

/** A piece of work as planned. A mending abrasion before a coat that comes past its shut edge is `<coat>/mend`. */
export interface PlanItem {
  readonly opId: string;
  readonly spans: readonly Span[];
  readonly people: number;
  /** The run it is laid in; null: no coat. */
  readonly runId: string | null;
  readonly binds: Binding;
}
/** What kept it from being earlier. */
export interface Binding {
  readonly by: BindKind;
  /** The work it waited for. */
  readonly opId: string | null;
  /** The edge itself, where there is one. */
  readonly edgeMs: number | null;
}
export const BIND_KINDS = [
  'now',
  'before',
  'opens',
  'window',
  'stage',
  'wait',
  'session',
  'people',
  'air',
  'dust',
  'room',
  'thing',
  'bare',
  'shared',
  'pin',
  'sent',
] as const;
export type BindKind = (typeof BIND_KINDS)[number];

/** One gun-load: setting up, mixing, the coats, cleaning. */
export interface PlanRun extends Span {
  readonly runId: string;
  readonly sheetId: string;
  readonly colour: string | null;
  readonly tool: Tool;
  readonly placeId: string;
  readonly opIds: readonly string[];
  readonly mixes: number;
}

export interface Plan {
  /** As they were when it was made. */
  readonly sessions: readonly Span[];
  readonly items: readonly PlanItem[];
  readonly runs: readonly PlanRun[];
  /** Work that found no place before the end of the plan. */
  readonly left: readonly PlanAsks[];
}
