import { useQueryClient } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import type { Me } from '@calvetta/contract';
import { whenShut } from '../api/client.ts';
import { sayHere } from '../api/doorClient.ts';
import { KEYS } from '../api/keys.ts';
import { useDoor } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { chunk } from '../ui/chunk.tsx';

const SignIn = chunk(() => import('./SignIn.tsx'));
const Redeem = chunk(() => import('./Redeem.tsx'));

/** Where an invitation leads. */
const INVITED = '/in';
/** A hand at the page is said no more often than this. */
const SAID_MS = 10 * 60_000;

/** Lets the page in where somebody is signed in, or where nobody has to be. A server that is away shuts nobody out. */
export function DoorGate({ children }: { readonly children: ReactNode }) {
  const client = useQueryClient();
  const door = useDoor();
  const { pathname, hash } = useLocation();
  useEffect(() => whenShut(() => void client.invalidateQueries({ queryKey: KEYS.door })), [client]);
  if (pathname === INVITED && hash.length > 1) return <Redeem token={hash.slice(1)} />;
  if (door.isPending) return <p className="p-6 text-quiet">Opening…</p>;
  if (door.data?.hasOwner && door.data.me === null) return <SignIn isEncrypted={door.data.isEncrypted} />;
  return (
    <>
      {door.data?.me ? <Inside me={door.data.me} /> : null}
      {children}
    </>
  );
}

/** Whoever signed in is who writes here, until he says otherwise; and a hand at the page keeps it open. */
function Inside({ me }: { readonly me: Me }) {
  const { personId } = me;
  useEffect(() => {
    if (personId !== null) usePrefs.getState().setPerson(personId);
  }, [personId]);
  useEffect(() => {
    let saidMs = Date.now();
    const here = (): void => {
      if (Date.now() - saidMs < SAID_MS) return;
      saidMs = Date.now();
      sayHere().catch(() => undefined);
    };
    addEventListener('pointerdown', here);
    addEventListener('keydown', here);
    return () => {
      removeEventListener('pointerdown', here);
      removeEventListener('keydown', here);
    };
  }, []);
  return null;
}
