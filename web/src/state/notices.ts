import { newId } from '../ui/newId.ts';
import { create } from 'zustand';

/** A short word about something that just happened, with its undo. */
export interface Notice {
  readonly id: string;
  readonly text: string;
  readonly tone: 'done' | 'trouble';
  readonly action?: { readonly label: string; readonly run: () => void };
}
interface Notices {
  readonly list: readonly Notice[];
  say: (notice: Omit<Notice, 'id'>) => void;
  dismiss: (id: string) => void;
}

export const useNotices = create<Notices>()((set) => ({
  list: [],
  say: (notice) => set((s) => ({ list: [...s.list.slice(-1), { ...notice, id: newId() }] })),
  dismiss: (id) => set((s) => ({ list: s.list.filter((n) => n.id !== id) })),
}));
