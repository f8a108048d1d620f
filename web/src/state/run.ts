import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Tool } from '@calvetta/core';

/** A part on the rack of a gun-load. */
export interface RackPart {
  readonly partId: string;
  readonly name: string;
  readonly machineName: string;
  readonly dftUm: number;
  /** A pass of it takes so long, minutes. */
  readonly passMin: number;
  /** When each pass so far ended, ms. */
  readonly passes: readonly number[];
  /** Its flash after the last pass is over then, ms; null: not known, look and feel. */
  readonly readyMs: number | null;
  /** Its coat is on record. */
  readonly isLogged: boolean;
  /** It was taken off the rack: no further pass. */
  readonly isOut: boolean;
}
/** One gun-load while it is sprayed. It stands on this device: a reload, or a dropped network, loses nothing of it. */
export interface Rack {
  readonly sheetId: string;
  readonly colour: string | null;
  readonly tool: Tool;
  readonly passes: number;
  readonly mixId: string | null;
  readonly beganMs: number;
  readonly parts: readonly RackPart[];
  /** Its hours are on record, shared over its parts. */
  readonly isHoursLogged?: true;
}

interface RunState {
  readonly rack: Rack | null;
  readonly isLoud: boolean;
  begin: (rack: Rack) => void;
  change: (partId: string, patch: Partial<RackPart>) => void;
  hoursLogged: () => void;
  end: () => void;
  setLoud: (isLoud: boolean) => void;
}

export const useRun = create<RunState>()(
  persist(
    (set) => ({
      rack: null,
      isLoud: true,
      begin: (rack) => set({ rack }),
      change: (partId, patch) =>
        set(({ rack }) => ({
          rack: rack && {
            ...rack,
            parts: rack.parts.map((p) => (p.partId === partId ? { ...p, ...patch } : p)),
          },
        })),
      hoursLogged: () => set(({ rack }) => ({ rack: rack && { ...rack, isHoursLogged: true } })),
      end: () => set({ rack: null }),
      setLoud: (isLoud) => set({ isLoud }),
    }),
    { name: 'calvetta-run' },
  ),
);
