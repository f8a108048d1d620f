import { create } from 'zustand';
import type { FactKind } from '@calvetta/core';
import type { FactView } from '@calvetta/contract';

/** Which dialog is open. One store, because any screen or key may open any of them. */
export type OpenDialog =
  | {
      readonly kind: 'log';
      readonly partId: string;
      readonly factKind: FactKind;
      readonly correct?: FactView;
    }
  | { readonly kind: 'reading'; readonly placeId: string | null }
  | { readonly kind: 'why'; readonly partId: string }
  | { readonly kind: 'film'; readonly partId: string }
  | { readonly kind: 'edit'; readonly partId: string }
  | { readonly kind: 'keys' }
  | { readonly kind: 'find' }
  | { readonly kind: 'import' }
  | { readonly kind: 'parts-list'; readonly machineId: string; readonly machineName: string }
  | null;

interface Dialogs {
  readonly open: OpenDialog;
  show: (dialog: OpenDialog) => void;
}

export const useDialogs = create<Dialogs>()((set) => ({ open: null, show: (open) => set({ open }) }));
