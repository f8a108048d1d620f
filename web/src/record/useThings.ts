import type { Removed } from '@calvetta/contract';
import { useNotices } from '../state/notices.ts';
import { refusedWords } from './refusal.ts';
import { useSend } from './useSend.ts';
import { thingGone, thingPatch, thingWrite, type ThingPath } from './write.ts';

/** A thing that stands on a list, as far as it is needed to take it off. */
export interface Listed {
  readonly path: ThingPath;
  readonly id: string;
  /** For the person: “Gearbox”. */
  readonly name: string;
  readonly version: number;
  /** As it was made; null: made in another way, and so never undone by making it again. */
  readonly again: object | null;
}

/** Makes, changes, takes off and brings back whatever a shop is made of; each says what it did, with its undo. */
export function useThings() {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const quietly = (work: Promise<unknown>): void =>
    void work.catch((error: unknown) =>
      say({ tone: 'trouble', text: refusedWords(error, 'It could not be stored; try again.') }),
    );
  const change = (path: ThingPath, id: string, name: string, patch: object, said = `Stored: ${name}`) =>
    send(thingPatch(path, id, name, patch), said);
  const undo = (work: () => Promise<unknown>) => ({ label: 'Undo', run: () => quietly(work()) });
  return {
    quietly,
    change,
    make: (path: ThingPath, id: string, name: string, thing: object) =>
      send(
        thingWrite(path, name, thing),
        `Made: ${name}`,
        undo(() => send(thingGone(path, id, name, 1), `Undone: ${name}`)),
      ),
    remove: ({ path, id, name, version, again }: Listed) =>
      send(thingGone(path, id, name, version), (answer) => {
        const removed = answer as Removed | null;
        // Not sent yet: which of the two it will be is not known.
        if (removed === null) return { text: `Off the list: ${name}` };
        if (removed.removed === 'put-away')
          return {
            text: `Put away: ${name}. Its record is kept.`,
            undo: undo(() =>
              change(path, id, name, { version: removed.version, isAway: false }, `Back again: ${name}`),
            ),
          };
        return {
          text: `Deleted: ${name}. Nothing was recorded of it.`,
          ...(again ? { undo: undo(() => send(thingWrite(path, name, again), `Back again: ${name}`)) } : {}),
        };
      }),
    bringBack: ({ path, id, name, version }: Listed) =>
      change(path, id, name, { version, isAway: false }, `Back again: ${name}`),
  };
}
