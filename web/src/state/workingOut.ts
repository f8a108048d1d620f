import { create } from 'zustand';
import type { ErrorData } from '@calvetta/contract';

interface State {
  /** How far the server is with a large shop after a start; null: it has it. */
  readonly progress: ErrorData['working-out'] | null;
  readonly set: (progress: State['progress']) => void;
}
export const useWorkingOut = create<State>()((set, get) => ({
  progress: null,
  set: (progress) => {
    if (progress !== get().progress) set({ progress });
  },
}));
