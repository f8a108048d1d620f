import { useEffect, useRef, useState } from 'react';
import type { AskedField, Pace, ProductSheet, ShopMeans, Survey } from '@calvetta/core';

export interface WorthAsked {
  readonly no: number;
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly sheets: readonly ProductSheet[];
  readonly pace: Pace;
}
export interface WorthFound {
  readonly no: number;
  readonly worth: readonly (readonly [AskedField, number])[];
}
type Worth = ReadonlyMap<AskedField, number>;
const NONE: Worth = new Map();

/**
 * How much each open answer would move the advice, worked out beside the page (some sixty advices). Until it is known the last
 * figures stand, so that questions do not jump under a finger; without workers only the first look is asked.
 */
export function useWorth(
  survey: Survey,
  means: ShopMeans,
  sheets: readonly ProductSheet[],
  pace: Pace,
): Worth {
  const [worth, setWorth] = useState<Worth>(NONE);
  const worker = useRef<Worker | null>(null);
  const no = useRef(0);
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const w = new Worker(new URL('./worth.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = ({ data }: MessageEvent<WorthFound>) => {
      if (data.no === no.current) setWorth(new Map(data.worth));
    };
    worker.current = w;
    return () => {
      worker.current = null;
      w.terminate();
    };
  }, []);
  useEffect(() => {
    no.current++;
    worker.current?.postMessage({ no: no.current, survey, means, sheets, pace } satisfies WorthAsked);
  }, [survey, means, sheets, pace]);
  return worth;
}
