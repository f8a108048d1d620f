import { create } from 'zustand';

/** The part that keys act on: that of the focused row of a list, or the one whose page is open. */
interface FocusPart {
  readonly partId: string | null;
  set: (partId: string | null) => void;
}

export const useFocusPart = create<FocusPart>()((set) => ({
  partId: null,
  set: (partId) => set({ partId }),
}));
