import type { Span } from '../base/time.ts';
import type { BareLimit } from '../cure/bare.ts';
import type { LaidFilm, Stand } from './films.ts';
import type { Skill, Binding, BindKind, PlanOp, PlanPart, PlanRun } from './problem.ts';

/** A run that can still take coats. */
export interface OpenRun {
  readonly runId: string;
  readonly key: string;
  readonly session: number;
  readonly head: Omit<PlanRun, 'runId' | 'fromMs' | 'toMs' | 'opIds' | 'mixes'>;
  readonly fromMs: number;
  toMs: number;
  lastEndMs: number;
  goneMs: number;
  mixes: number;
  opIds: readonly string[];
  /** What it takes of whoever sprays it. */
  readonly skill: Skill;
}

export interface Ready {
  readonly ms: number;
  readonly binds: Binding;
}
export const later = (a: Ready, ms: number, by: BindKind, opId: string | null = null): Ready =>
  ms > a.ms ? { ms, binds: { by, opId, edgeMs: ms } } : a;

/** A part on its way through the plan. */
export interface Way {
  readonly part: PlanPart;
  placeId: string;
  stand: Stand;
  bare: PlanPart['bare'];
  /** Since when bare metal lies in the air of this place. */
  bareHereMs: number | null;
  /** Being stripped in a bath that keeps it until it is pulled out. */
  inBath: { readonly limit: BareLimit; readonly op: PlanOp; readonly endMs: number } | null;
  /** Carried in from the cold: no coat before then. */
  warmMs: number | null;
  ready: Ready;
  tops: readonly { readonly id: string | null; readonly laid: LaidFilm }[];
  bareEndMs: number | null;
  /** Abraded out of its window: a coat may follow in this. */
  keyed: Span | null;
}

/** A state to come back to. */
export interface Mark {
  readonly way: Way;
  readonly table: number;
  readonly items: number;
}

/** What stopped a candidate, and when it is worth trying again. */
export interface Stop {
  readonly by: BindKind;
  readonly nextMs: number;
}

/** Sprayed, it fills the air with isocyanate. */
export const isPoisonous = (tool: string, cautions: readonly string[]): boolean =>
  (tool === 'gun' || tool === 'aerosol') && cautions.includes('isocyanate');
export const isIsocyanate = ({ coat }: PlanOp): boolean =>
  coat !== null && isPoisonous(coat.tool, coat.sheet.cautions);
