import type { ComponentType } from 'react';
import { useDialogs, type DialogKind, type DialogProps } from '../state/dialogs.ts';
import { AreaDialog } from './AreaDialog.tsx';
import { ConcedeDialog } from './ConcedeDialog.tsx';
import { CorrectMixDialog } from './CorrectMixDialog.tsx';
import { CupDialog } from './CupDialog.tsx';
import { DossierDialog } from './DossierDialog.tsx';
import { EditPartDialog } from './EditPartDialog.tsx';
import { FilmDialog } from './FilmDialog.tsx';
import { FindDialog } from './FindDialog.tsx';
import { GaugeCheckDialog } from './GaugeCheckDialog.tsx';
import { HandoverDialog } from './HandoverDialog.tsx';
import { ImportDialog } from './ImportDialog.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { LabelDialog } from './LabelDialog.tsx';
import { ManyDialog } from './ManyDialog.tsx';
import { MachineDialog } from './MachineDialog.tsx';
import { NewPartDialog } from './NewPartDialog.tsx';
import { PersonDialog } from './PersonDialog.tsx';
import { PinDialog } from './PinDialog.tsx';
import { PlaceDialog } from './PlaceDialog.tsx';
import { ProbeDialog } from './ProbeDialog.tsx';
import { LogDialog } from './LogDialog.tsx';
import { OwnSheetDialog } from './OwnSheetDialog.tsx';
import { PackDialog } from './PackDialog.tsx';
import { PartsListDialog } from './PartsListDialog.tsx';
import { ReadingDialog } from './ReadingDialog.tsx';
import { ReceiveDialog } from './ReceiveDialog.tsx';
import { StepDialog } from './StepDialog.tsx';
import { SignOffDialog } from './SignOffDialog.tsx';
import { WeighDialog } from './WeighDialog.tsx';
import { WhyPanel } from './WhyPanel.tsx';

/** What every dialog is given beside what it was asked with. */
interface Closing {
  readonly onClose: () => void;
}
const DIALOGS: { readonly [K in DialogKind]: ComponentType<DialogProps[K] & Closing> } = {
  log: LogDialog,
  many: ManyDialog,
  step: StepDialog,
  reading: ReadingDialog,
  why: WhyPanel,
  film: FilmDialog,
  edit: EditPartDialog,
  place: PlaceDialog,
  probe: ProbeDialog,
  machine: MachineDialog,
  'new-part': NewPartDialog,
  'sign-off': SignOffDialog,
  'gauge-check': GaugeCheckDialog,
  person: PersonDialog,
  handover: HandoverDialog,
  concede: ConcedeDialog,
  dossier: DossierDialog,
  keys: KeysDialog,
  pin: PinDialog,
  find: FindDialog,
  import: ImportDialog,
  'parts-list': PartsListDialog,
  receive: ReceiveDialog,
  'own-sheet': OwnSheetDialog,
  weigh: WeighDialog,
  label: LabelDialog,
  packs: PackDialog,
  'correct-mix': CorrectMixDialog,
  cup: CupDialog,
  area: AreaDialog,
};

/** The one dialog that is open, over whatever screen asked for it. */
export default function Dialogs() {
  const { open, turn, show } = useDialogs();
  if (open === null) return null;
  const { kind, ...props } = open;
  // The table holds for each kind the dialog of its own props; the union cannot say so.
  const View = DIALOGS[kind] as ComponentType<object & Closing>;
  return <View key={turn} {...props} onClose={() => show(null)} />;
}
