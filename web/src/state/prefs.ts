import { newId } from '../ui/newId.ts';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { METRIC, type GaugeKind, type UnitPreference } from '@calvetta/core';
import type { Laid } from '../dialogs/coat/HowLaid.tsx';

export const BENCH_HOURS = [12, 42, 168] as const;
export type BenchHours = (typeof BENCH_HOURS)[number];

/** What this device prefers: units, theme, and who is holding it. */
interface Prefs {
  readonly units: UnitPreference;
  readonly theme: 'light' | 'dark';
  readonly personId: string | null;
  readonly deviceId: string;
  readonly benchHours: BenchHours;
  /** The place on the Bench's dew ruler; null: the dampest. */
  readonly rulerPlaceId: string | null;
  /** What was last measured with on this device, by kind. */
  readonly measuredWith: Readonly<Partial<Record<GaugeKind, string | null>>>;
  /** How the last coat was laid on this device: offered again, never taken without a touch. */
  readonly laid: Laid;
  setUnits: (units: Partial<UnitPreference>) => void;
  setTheme: (theme: 'light' | 'dark') => void;
  setPerson: (personId: string) => void;
  setBenchHours: (hours: BenchHours) => void;
  setRulerPlace: (placeId: string) => void;
  setLaid: (laid: Laid) => void;
  setMeasuredWith: (kind: GaugeKind, gaugeId: string | null) => void;
}

export const usePrefs = create<Prefs>()(
  persist(
    (set) => ({
      units: METRIC,
      theme: 'light',
      personId: null,
      deviceId: `device-${newId().slice(0, 8)}`,
      benchHours: 42,
      rulerPlaceId: null,
      laid: {},
      measuredWith: {},
      setUnits: (units) => set((s) => ({ units: { ...s.units, ...units } })),
      setTheme: (theme) => set({ theme }),
      setPerson: (personId) => set({ personId }),
      setBenchHours: (benchHours) => set({ benchHours }),
      setRulerPlace: (rulerPlaceId) => set({ rulerPlaceId }),
      setLaid: (laid) => set({ laid }),
      setMeasuredWith: (kind, gaugeId) =>
        set((s) => ({ measuredWith: { ...s.measuredWith, [kind]: gaugeId } })),
    }),
    {
      name: 'calvetta-prefs',
      // A device from before a unit was asked takes the usual one.
      merge: (kept, now) => {
        const old = kept as Partial<Prefs> | undefined;
        return { ...now, ...old, units: { ...now.units, ...old?.units } };
      },
    },
  ),
);
