import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { WorkOp } from '@calvetta/core';

/** Hands that are busy now, as this device knows: what, on which part, since when. It survives a reload. */
export interface Running {
  readonly partId: string;
  readonly partName: string;
  readonly on: WorkOp;
  readonly sinceMs: number;
}
interface Timer {
  readonly running: Running | null;
  start: (running: Running) => void;
  stop: () => void;
}
export const useTimer = create<Timer>()(
  persist(
    (set) => ({
      running: null,
      start: (running) => set({ running }),
      stop: () => set({ running: null }),
    }),
    { name: 'calvetta-timer' },
  ),
);

/** Longer than an evening: somebody forgot to stop it, and is asked. */
export const FORGOTTEN_MS = 5 * 3_600_000;
