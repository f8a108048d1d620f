import { useDialogs } from '../state/dialogs.ts';
import { EditPartDialog } from './EditPartDialog.tsx';
import { FilmDialog } from './FilmDialog.tsx';
import { FindDialog } from './FindDialog.tsx';
import { ImportDialog } from './ImportDialog.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { LogDialog } from './LogDialog.tsx';
import { PartsListDialog } from './PartsListDialog.tsx';
import { ReadingDialog } from './ReadingDialog.tsx';
import { WhyPanel } from './WhyPanel.tsx';

/** The one dialog that is open, over whatever place asked for it. */
export default function Dialogs() {
  const open = useDialogs((s) => s.open);
  const show = useDialogs((s) => s.show);
  const close = (): void => show(null);
  switch (open?.kind) {
    case 'log':
      return <LogDialog key={open.partId + open.factKind} {...open} onClose={close} />;
    case 'reading':
      return <ReadingDialog placeId={open.placeId} onClose={close} />;
    case 'why':
      return <WhyPanel partId={open.partId} onClose={close} />;
    case 'film':
      return <FilmDialog partId={open.partId} onClose={close} />;
    case 'edit':
      return <EditPartDialog partId={open.partId} onClose={close} />;
    case 'keys':
      return <KeysDialog onClose={close} />;
    case 'find':
      return <FindDialog onClose={close} />;
    case 'import':
      return <ImportDialog onClose={close} />;
    case 'parts-list':
      return <PartsListDialog {...open} onClose={close} />;
    case undefined:
      return null;
  }
}
