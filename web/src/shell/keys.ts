import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { RAIL } from '../screens.ts';
import { useDialogs } from '../state/dialogs.ts';
import { useFocusPart } from '../state/focusPart.ts';
import { stepRow } from './rows.ts';

/** After `g`: where to. Letters of places still to come are kept free. */
export const GO_KEYS: Readonly<Record<string, { readonly to: string; readonly word: string }>> =
  Object.fromEntries(RAIL.map(({ key, to, word }) => [key, { to, word }]));
export const ACT_KEYS: readonly (readonly [key: string, word: string])[] = [
  ['/', 'find anything'],
  ['j  k', 'next, previous row of a list'],
  ['Enter', 'open it'],
  ['c', 'log a coat on the part'],
  ['l', 'log something on the part'],
  ['r', 'log a reading'],
  ['m', 'mix for the part'],
  ['w', 'why?'],
  ['?', 'these keys'],
  ['Esc', 'close'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** Single keys, so that a hand in a glove needs no chord. Silent while someone types or a dialog is open. */
export function useKeys(): void {
  const navigate = useNavigate();
  useEffect(() => {
    let isGoing = false;
    const onKey = (e: KeyboardEvent): void => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target) || useDialogs.getState().open !== null)
        return;
      const { show } = useDialogs.getState();
      const { partId } = useFocusPart.getState();
      if (isGoing) {
        isGoing = false;
        const go = GO_KEYS[e.key];
        if (go) void navigate(go.to);
        return;
      }
      const acts: Readonly<Record<string, () => void>> = {
        g: () => (isGoing = true),
        '/': () => show({ kind: 'find' }),
        '?': () => show({ kind: 'keys' }),
        r: () => show({ kind: 'reading', placeId: null }),
        j: () => stepRow(1),
        k: () => stepRow(-1),
        c: () => partId !== null && show({ kind: 'log', partId, factKind: 'coated' }),
        l: () => partId !== null && show({ kind: 'log', partId, factKind: 'noted' }),
        w: () => partId !== null && show({ kind: 'why', partId }),
        m: () => void navigate(partId === null ? '/mix' : `/mix?part=${encodeURIComponent(partId)}`),
      };
      const act = acts[e.key];
      if (!act) return;
      e.preventDefault();
      act();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate]);
}
