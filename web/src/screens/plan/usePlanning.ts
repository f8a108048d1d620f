import { useEffect, useRef, useState } from 'react';
import type { PlanAsk, PlanView, SnapshotSource } from '@calvetta/core';
import { getSource } from '../../api/client.ts';
import type { HeldPlan } from './useHeldPlan.ts';
import { useKeepPlan } from './useKeepPlan.ts';
import { usePlanner } from './usePlanner.ts';

/** A change that is only tried: the plan before it, and what it is. */
interface Trial {
  readonly before: PlanView;
  readonly what: string;
}

const AWAY = 'Calvetta does not answer. A plan needs the shop as it stands; try again when it is back.';

const sessionOf = (view: PlanView, opId: string): number => {
  const atMs = view.lanes.flatMap((l) => l.blocks).find((b) => b.opId === opId)?.spans[0]?.fromMs ?? NaN;
  return view.sessions.findIndex((s) => s.fromMs <= atMs && atMs < s.toMs);
};

/** The shop as it stood when it was last asked for. */
function useSource() {
  const [isAway, setAway] = useState(false);
  const source = useRef<SnapshotSource | null>(null);
  const withSource = (work: (s: SnapshotSource) => void): void => {
    getSource()
      .then((s) => {
        source.current = s;
        setAway(false);
        work(s);
      })
      .catch(() => setAway(true));
  };
  return { source, isAway, setAway, withSource };
}

/** What is asked, what was made of it, and what a person does with it. */
export function usePlanning({ stored, other, onOwn, onKept }: HeldPlan, first: PlanAsk) {
  const planner = usePlanner();
  const { view } = planner;
  const [ask, setAsk] = useState(first);
  const [isAsking, setAsking] = useState(stored === null);
  const [trial, setTrial] = useState<Trial | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  // The session that is looked at: one a person chose, else that of the chosen work.
  const [picked, setPicked] = useState<number | null>(0);
  const { source, isAway, setAway, withSource } = useSource();
  // Who asks for a plan at once does not wait for the kept one to be read, nor has it come in between.
  const hasAsked = useRef(false);
  const kept = useKeepPlan(other ?? stored, onKept);
  const { read } = planner;
  useEffect(() => {
    if (!stored) return;
    getSource()
      .then((s) => {
        source.current ??= s;
        if (!hasAsked.current) read(s, stored.ask, stored.plan);
      })
      .catch(() => setAway(true));
  }, [stored, read, source, setAway]);
  const make = (asked: PlanAsk): void => {
    hasAsked.current = true;
    onOwn();
    setAsk(asked);
    setAsking(false);
    withSource((s) => planner.make(s, asked, view?.plan ?? null));
  };
  const ofChosen = view && chosen !== null ? sessionOf(view, chosen) : -1;
  return {
    ...planner,
    make,
    ask,
    setAsk: (asked: PlanAsk): void => {
      onOwn();
      setAsk(asked);
    },
    isAsking,
    setAsking,
    trial,
    /** Makes a plan with a change, to be held against the one before. */
    tryOut: (asked: PlanAsk, what: string): void => {
      if (view && !trial) setTrial({ before: view, what });
      make(asked);
    },
    goOn: () => setTrial(null),
    goBack: (): void => {
      if (!trial) return;
      setAsk(trial.before.ask);
      planner.show(trial.before);
      setTrial(null);
    },
    chosen,
    choose: (opId: string): void => {
      setChosen(opId);
      setPicked(null);
    },
    session: picked ?? Math.max(0, ofChosen),
    setSession: setPicked,
    move: (opId: string, sessionMs: number, fromMs?: number): void => {
      setChosen(opId);
      setPicked(null);
      onOwn();
      if (view && source.current)
        planner.pin(source.current, view, { opId, sessionMs, ...(fromMs === undefined ? {} : { fromMs }) });
    },
    /** Lives the plan through, to see how sure it is. */
    live: (): void => {
      if (view && source.current) planner.hold(source.current, view);
    },
    /** Lives the plan tried and the one before through, to see how sure each is. */
    liveBoth: (): void => {
      if (view && trial && source.current) planner.holdBoth(source.current, trial.before, view);
    },
    keep: kept.keep,
    isKeeping: kept.isBusy,
    trouble: isAway ? AWAY : (planner.trouble ?? kept.trouble),
  };
}
