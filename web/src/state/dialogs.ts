import { create } from 'zustand';
import type { Content, FactKind, GaugeKind, NonConformance, StockFactOf, Survey } from '@calvetta/core';
import type { FactView } from '@calvetta/contract';

/** What each dialog is asked with. A new dialog is a line here and one in `dialogs/Dialogs.tsx`. */
export interface DialogProps {
  readonly log: { readonly partId: string; readonly factKind: FactKind; readonly correct?: FactView };
  /** A step of a part's route that leaves no other entry. */
  readonly step: { readonly partId: string; readonly stepId: string };
  /** The same done to many parts. */
  readonly many: {
    readonly parts: readonly { readonly partId: string; readonly name: string }[];
    readonly factKind: FactKind;
  };
  readonly reading: { readonly placeId: string | null };
  readonly why: { readonly partId: string };
  readonly film: { readonly partId: string };
  readonly edit: { readonly partId: string };
  /** Null: a new one. */
  readonly place: { readonly placeId: string | null };
  readonly probe: { readonly placeId: string; readonly probeId: string | null };
  readonly machine: { readonly machineId: string | null };
  readonly 'new-part': { readonly machineId: string; readonly assemblyId: string | null };
  /** An inspector signs for a part, or for every part of a machine. */
  readonly 'sign-off': { readonly of: 'part' | 'machine'; readonly id: string; readonly name: string };
  /** A gauge tried on its foils, a scale with known masses. */
  readonly 'gauge-check': { readonly gaugeId: string; readonly name: string; readonly of: GaugeKind };
  /** What somebody may do alone. */
  readonly person: { readonly personId: string };
  /** What a session leaves to the next. */
  readonly handover: { readonly isGoing: boolean };
  /** The paper of a machine, while it is written. */
  readonly dossier: { readonly machineId: string; readonly name: string };
  /** What does not conform may stay. */
  readonly concede: {
    readonly partId: string;
    readonly partName: string;
    readonly about: NonConformance;
    readonly said: string;
  };
  readonly keys: object;
  /** On a tablet of the shop: a pin for the next entry. */
  readonly pin: object;
  readonly find: object;
  readonly import: object;
  readonly 'parts-list': { readonly machineId: string; readonly machineName: string };
  readonly receive: object;
  readonly 'own-sheet': { readonly familyId: string | null };
  readonly weigh: { readonly tinId: string };
  readonly label: { readonly tinId: string };
  readonly packs: { readonly productId: string; readonly productName: string; readonly content: Content };
  readonly 'correct-mix': { readonly fact: StockFactOf<'mixed'> };
  readonly cup: { readonly onStored: (cupId: string) => void };
  readonly area: { readonly survey: Survey; readonly onUse: (areaM2: number) => void };
}
export type DialogKind = keyof DialogProps;
export type OpenDialog = { readonly [K in DialogKind]: { readonly kind: K } & DialogProps[K] }[DialogKind];

interface Dialogs {
  readonly open: OpenDialog | null;
  /** Counts what was opened: a dialog opened from another begins anew. */
  readonly turn: number;
  show: (dialog: OpenDialog | null) => void;
}

/** Which dialog is open. One store, because any screen or key may open any of them. */
export const useDialogs = create<Dialogs>()((set) => ({
  open: null,
  turn: 0,
  show: (open) => set((s) => ({ open, turn: s.turn + 1 })),
}));
