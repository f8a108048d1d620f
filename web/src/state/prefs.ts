import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { METRIC, type UnitPreference } from '@calvetta/core';

/** What this device prefers: units, theme, and who is holding it. */
interface Prefs {
  readonly units: UnitPreference;
  readonly theme: 'light' | 'dark';
  readonly personId: string | null;
  readonly deviceId: string;
  readonly benchHours: 12 | 42 | 168;
  setUnits(units: Partial<UnitPreference>): void;
  setTheme(theme: 'light' | 'dark'): void;
  setPerson(personId: string): void;
  setBenchHours(hours: 12 | 42 | 168): void;
}

export const usePrefs = create<Prefs>()(
  persist(
    (set) => ({
      units: METRIC,
      theme: 'light',
      personId: null,
      deviceId: `device-${crypto.randomUUID().slice(0, 8)}`,
      benchHours: 42,
      setUnits: (units) => set((s) => ({ units: { ...s.units, ...units } })),
      setTheme: (theme) => set({ theme }),
      setPerson: (personId) => set({ personId }),
      setBenchHours: (benchHours) => set({ benchHours }),
    }),
    { name: 'calvetta-prefs' },
  ),
);
