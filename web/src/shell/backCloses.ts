import { useEffect, useRef } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';
import { useDialogs } from '../state/dialogs.ts';

/** What stands in an entry of the browser's history: the router's count, and whether a dialog lies over the screen. */
interface Entry {
  readonly idx?: number;
  readonly isUnderDialog?: boolean;
}
const entry = (): Entry => (history.state as Entry | null) ?? {};
const isOpen = (): boolean => useDialogs.getState().open !== null;

/**
 * Back closes the dialog that is open and leaves the screen under it: on a phone that is how a hand closes what lies over a page. A
 * dialog has an entry of its own in the history, of the address it was opened at. Closed by other means it leaves that behind (taking
 * it away takes the browser a moment, in which a hand may have gone on); whoever comes across it later is taken past it.
 */
export function useBackCloses(): void {
  const here = useRef<Entry>({});
  const location = useLocation();
  const type = useNavigationType();
  useEffect(() => {
    // Gone back or forward it is seen below, where it is still known from what.
    if (type !== NavigationType.Pop) here.current = entry();
  }, [location, type]);
  useEffect(() => {
    here.current = entry();
    const end = useDialogs.subscribe(({ open }) => {
      if (open === null || entry().isUnderDialog === true) return;
      history.pushState({ ...entry(), isUnderDialog: true }, '');
      here.current = entry();
    });
    // Taken past a dialog's entry it is where it was to go.
    let isPassing = false;
    const pass = (steps: 1 | -1): void => {
      isPassing = true;
      history.go(steps);
    };
    const onMove = (): void => {
      const from = here.current;
      const to = entry();
      here.current = to;
      const wasPassing = isPassing;
      isPassing = false;
      if (to.isUnderDialog === true) {
        if (!isOpen()) pass((from.idx ?? 0) > (to.idx ?? 0) ? -1 : 1);
      } else if (isOpen()) useDialogs.getState().show(null);
      else if (!wasPassing && from.isUnderDialog === true && from.idx === to.idx) pass(-1);
    };
    addEventListener('popstate', onMove);
    return () => {
      end();
      removeEventListener('popstate', onMove);
    };
  }, []);
}
