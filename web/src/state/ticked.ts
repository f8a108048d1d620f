import { create } from 'zustand';

/** Parts that are ticked to do the same with all of them, in the order of ticking. */
interface Ticked {
  readonly parts: ReadonlyMap<string, string>;
  /** The last one that was ticked by itself: a touch with shift ticks from there. */
  readonly lastId: string | null;
  set: (parts: readonly { readonly partId: string; readonly name: string }[], isOn: boolean) => void;
  clear: () => void;
}

export const useTicked = create<Ticked>()((set) => ({
  parts: new Map(),
  lastId: null,
  set: (parts, isOn) =>
    set((s) => {
      const next = new Map(s.parts);
      for (const p of parts)
        if (isOn) next.set(p.partId, p.name);
        else next.delete(p.partId);
      return { parts: next, lastId: parts.length === 1 ? parts[0]!.partId : s.lastId };
    }),
  clear: () => set({ parts: new Map(), lastId: null }),
}));
