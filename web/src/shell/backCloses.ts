import { useDialogs } from '../state/dialogs.ts';

interface Marked {
  readonly isUnderDialog?: true;
}
const isMarked = (): boolean => (history.state as Marked | null)?.isUnderDialog === true;
const isOpen = (): boolean => useDialogs.getState().open !== null;
const mark = (): void => history.pushState({ ...(history.state as object | null), isUnderDialog: true }, '');

/**
 * Back closes the dialog that is open and leaves the screen under it: on a phone that is how a hand closes what lies over a page. A
 * dialog has an entry of its own in the browser's history, of the same address, as long as it is open. Called once, before the page
 * is drawn; gives back how to end it.
 */
export function backCloses(): () => void {
  // Loaded again on such an entry: nothing is open.
  if (isMarked()) history.replaceState({ ...(history.state as object), isUnderDialog: undefined }, '');
  // The browser takes its time to go back: a dialog that opens meanwhile is not the one that was closed.
  let isLeaving = false;
  const leave = (): void => {
    isLeaving = true;
    history.back();
  };
  const end = useDialogs.subscribe((now, before) => {
    if (now.open !== null && !isMarked() && !isLeaving) mark();
    // Closed by other means its entry goes too; but what closed it may lead on to another screen at once.
    if (now.open === null && before.open !== null)
      setTimeout(() => {
        if (!isOpen() && isMarked() && !isLeaving) leave();
      }, 0);
  });
  const onBack = (): void => {
    const wasLeaving = isLeaving;
    isLeaving = false;
    if (wasLeaving && !isMarked()) {
      if (isOpen()) mark();
    } else if (!isMarked()) useDialogs.getState().show(null);
    // Come back from a screen that was gone on to out of a dialog, or forward to one that was closed.
    else if (!isOpen()) leave();
  };
  addEventListener('popstate', onBack);
  return () => {
    end();
    removeEventListener('popstate', onBack);
  };
}
