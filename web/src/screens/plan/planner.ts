import type { BindKind, Help, Holds, Plan, PlanAsk, PlanPin, PlanView, SnapshotSource } from '@calvetta/core';

/** What the page asks of the worker beside it. `no`: an answer to an older question is not heard. */
export type PlannerAsked =
  | { readonly kind: 'stop'; readonly no: number }
  | {
      readonly kind: 'make';
      readonly no: number;
      readonly source: SnapshotSource;
      readonly ask: PlanAsk;
      readonly order: readonly string[];
      /** The plan before the change: where it still holds, none that is dearer is shown. */
      readonly before: Plan | null;
      readonly seconds: number;
    }
  | {
      readonly kind: 'read';
      readonly no: number;
      readonly source: SnapshotSource;
      readonly ask: PlanAsk;
      readonly plan: Plan;
    }
  | {
      readonly kind: 'pin';
      readonly no: number;
      readonly source: SnapshotSource;
      readonly ask: PlanAsk;
      readonly plan: Plan;
      readonly pin: PlanPin;
    }
  | {
      readonly kind: 'hold';
      readonly no: number;
      readonly source: SnapshotSource;
      readonly ask: PlanAsk;
      readonly plan: Plan;
    }
  | {
      readonly kind: 'both';
      readonly no: number;
      readonly source: SnapshotSource;
      readonly ask: PlanAsk;
      readonly plan: Plan;
      readonly before: { readonly ask: PlanAsk; readonly plan: Plan };
    };

/** A change that was tried, and how sure the plan would be with it. */
export interface HelpTried {
  readonly help: Help;
  readonly holds: Holds;
}

/** Two plans lived through by the same replays. */
export interface Sure {
  readonly before: Holds;
  readonly now: Holds;
  /** How many replays of each it is to be. */
  readonly of: number;
}

/** What of a kept plan was done since, and what should have been. */
export interface Since {
  readonly done: readonly string[];
  readonly late: readonly string[];
  /** Parts that were placed anew because the plan did not hold for them any more. */
  readonly moved: readonly string[];
}
export type PlannerSaid =
  | {
      readonly kind: 'step';
      readonly no: number;
      readonly view: PlanView | null;
      readonly tried: number;
      readonly isDone: boolean;
    }
  | { readonly kind: 'read'; readonly no: number; readonly view: PlanView; readonly since: Since }
  | { readonly kind: 'pinned'; readonly no: number; readonly view: PlanView }
  | {
      readonly kind: 'not-pinned';
      readonly no: number;
      readonly opId: string;
      /** The session it was to be in. */
      readonly sessionMs: number;
      readonly by: BindKind | null;
      readonly edgeMs: number | null;
      readonly nearestMs: number | null;
    }
  | {
      readonly kind: 'holds';
      readonly no: number;
      readonly holds: Holds;
      /** By as many of its replays as each change has: what changes are held against. */
      readonly few: Holds;
      /** How many replays it is to be. */
      readonly of: number;
      readonly helps: readonly HelpTried[];
      readonly isDone: boolean;
    }
  | { readonly kind: 'both'; readonly no: number; readonly sure: Sure }
  | { readonly kind: 'failed'; readonly no: number; readonly words: string };
