import { useCallback, useEffect, useRef, useState } from 'react';
import {
  orderOf,
  type Plan,
  type PlanAsk,
  type PlanPin,
  type PlanView,
  type SnapshotSource,
} from '@calvetta/core';
import type { PlannerAsked, PlannerSaid, Since, Sure } from './planner.ts';

/** A search stops by itself after so long; whoever is content sooner stops it. */
const SECONDS = 12;

export interface Making {
  readonly tried: number;
  readonly isDone: boolean;
}
export type Holding = Pick<
  Extract<PlannerSaid, { kind: 'holds' }>,
  'holds' | 'few' | 'of' | 'helps' | 'isDone'
>;
export type NotPinned = Extract<PlannerSaid, { kind: 'not-pinned' }>;
export interface Planner {
  /** The plan on the page; null: none yet. */
  readonly view: PlanView | null;
  readonly since: Since | null;
  readonly making: Making | null;
  readonly notPinned: NotPinned | null;
  /** How sure the plan is, as far as it was lived through. */
  readonly holding: Holding | null;
  /** How sure a plan tried is, beside the one before. */
  readonly sure: Sure | null;
  readonly trouble: string | null;
  holdBoth: (source: SnapshotSource, before: PlanView, now: PlanView) => void;
  hold: (source: SnapshotSource, view: PlanView) => void;
  make: (source: SnapshotSource, ask: PlanAsk, before: Plan | null) => void;
  stop: () => void;
  read: (source: SnapshotSource, ask: PlanAsk, plan: Plan) => void;
  pin: (source: SnapshotSource, view: PlanView, to: PlanPin) => void;
  /** Puts a plan seen before on the page again. */
  show: (view: PlanView) => void;
}

interface State {
  readonly view: PlanView | null;
  readonly since: Since | null;
  readonly making: Making | null;
  readonly notPinned: NotPinned | null;
  readonly holding: Holding | null;
  readonly sure: Sure | null;
  readonly trouble: string | null;
}
const NOTHING: State = {
  view: null,
  since: null,
  making: null,
  notPinned: null,
  holding: null,
  sure: null,
  trouble: null,
};

function heard(s: State, m: PlannerSaid): State {
  switch (m.kind) {
    case 'step':
      return {
        ...s,
        view: m.view ?? s.view,
        holding: null,
        sure: null,
        making: { tried: m.tried, isDone: m.isDone },
      };
    case 'read':
      return { ...NOTHING, view: m.view, since: m.since };
    case 'pinned':
      return { ...s, view: m.view, notPinned: null, making: null, holding: null, sure: null };
    case 'not-pinned':
      return { ...s, notPinned: m, making: null };
    case 'holds':
      return { ...s, holding: { holds: m.holds, few: m.few, of: m.of, helps: m.helps, isDone: m.isDone } };
    case 'both':
      return { ...s, sure: m.sure };
    case 'failed':
      return { ...s, trouble: m.words, making: null };
  }
}

/** The worker that makes plans, with what it said last. */
export function usePlanner(): Planner {
  const [state, setState] = useState<State>(NOTHING);
  const worker = useRef<Worker | null>(null);
  const no = useRef(0);
  useEffect(() => {
    const w = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = ({ data }: MessageEvent<PlannerSaid>) => {
      if (data.no === no.current) setState((s) => heard(s, data));
    };
    worker.current = w;
    return () => {
      worker.current = null;
      w.terminate();
    };
  }, []);
  const ask = useCallback((asked: PlannerAsked): void => worker.current?.postMessage(asked), []);
  const make = useCallback(
    (source: SnapshotSource, planAsk: PlanAsk, before: Plan | null): void => {
      no.current++;
      setState((s) => ({
        ...s,
        since: null,
        notPinned: null,
        trouble: null,
        making: { tried: 0, isDone: false },
      }));
      const order = before ? orderOf(before) : [];
      ask({ kind: 'make', no: no.current, source, ask: planAsk, order, before, seconds: SECONDS });
    },
    [ask],
  );
  const read = useCallback(
    (source: SnapshotSource, planAsk: PlanAsk, plan: Plan): void => {
      no.current++;
      ask({ kind: 'read', no: no.current, source, ask: planAsk, plan });
    },
    [ask],
  );
  const pin = useCallback(
    (source: SnapshotSource, view: PlanView, to: PlanPin): void => {
      no.current++;
      setState((s) => ({ ...s, notPinned: null, trouble: null }));
      ask({ kind: 'pin', no: no.current, source, ask: view.ask, plan: view.plan, pin: to });
    },
    [ask],
  );
  const hold = useCallback(
    (source: SnapshotSource, view: PlanView): void => {
      no.current++;
      setState((s) => ({ ...s, holding: null, trouble: null }));
      ask({ kind: 'hold', no: no.current, source, ask: view.ask, plan: view.plan });
    },
    [ask],
  );
  const holdBoth = useCallback(
    (source: SnapshotSource, before: PlanView, now: PlanView): void => {
      no.current++;
      setState((s) => ({ ...s, sure: null, trouble: null }));
      const old = { ask: before.ask, plan: before.plan };
      ask({ kind: 'both', no: no.current, source, ask: now.ask, plan: now.plan, before: old });
    },
    [ask],
  );
  const stop = useCallback((): void => {
    no.current++;
    ask({ kind: 'stop', no: no.current });
    setState((s) => ({
      ...s,
      making: s.making && { ...s.making, isDone: true },
      holding: s.holding && { ...s.holding, isDone: true },
    }));
  }, [ask]);
  const show = useCallback((view: PlanView): void => {
    no.current++;
    setState((s) => ({ ...s, view, notPinned: null, making: null, holding: null, sure: null }));
  }, []);
  return { ...state, hold, holdBoth, make, read, pin, stop, show };
}
