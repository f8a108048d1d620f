import { handsTrouble, type HandsTrouble, type Induction } from '@calvetta/core';
import { useDoor, usePeopleView } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';

/** What keeps whoever holds the device from an act, by today's inductions; null: nothing, or nobody is known yet. */
export function useHandsTrouble(takes: readonly Induction[]): HandsTrouble | null {
  const view = usePeopleView().data;
  const held = usePrefs((s) => s.personId);
  const me = useDoor().data?.me?.personId ?? held;
  const own = view?.people.find((p) => p.personId === me);
  if (!own) return null;
  return handsTrouble(
    own.personId,
    takes,
    (to) => own.inductions.find((i) => i.to === to)?.may ?? { state: 'not-kept' },
  );
}
