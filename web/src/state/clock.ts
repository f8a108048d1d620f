import { useSyncExternalStore } from 'react';

/** One ticking clock for the whole page, so that every now-line moves together. */
const TICK_MS = 10_000;
let nowMs = Date.now();
const listeners = new Set<() => void>();
let timer: ReturnType<typeof setInterval> | undefined;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  timer ??= setInterval(() => {
    nowMs = Date.now();
    listeners.forEach((l) => l());
  }, TICK_MS);
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    clearInterval(timer);
    timer = undefined;
  };
}

/** The last tick, epoch ms. */
export function useNowMs(): number {
  return useSyncExternalStore(subscribe, () => nowMs);
}
