import { create } from 'zustand';

/** The part that keys act on: the focused row of a list, or the part whose page is open. */
interface FocusPart {
  readonly partId: string | null;
  /** Parts of the list on screen, in order. */
  readonly list: readonly string[];
  set: (partId: string | null) => void;
  setList: (list: readonly string[]) => void;
  step: (by: 1 | -1) => void;
}

export const useFocusPart = create<FocusPart>()((set) => ({
  partId: null,
  list: [],
  set: (partId) => set({ partId }),
  setList: (list) => set({ list }),
  step: (by) =>
    set((s) => {
      const i = s.partId === null ? -1 : s.list.indexOf(s.partId);
      const next = s.list[Math.min(s.list.length - 1, Math.max(0, i + by))];
      if (next === undefined) return s;
      document.querySelector<HTMLElement>(`[data-part="${CSS.escape(next)}"]`)?.focus();
      return { partId: next };
    }),
}));
