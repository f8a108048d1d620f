import type { FactBodies, FactKind, InspectView, Face } from '@calvetta/core';
import { useSave, type Save } from '../../forms/useSave.ts';
import { useRecord } from '../../record/useRecord.ts';

/** Writes about what was found on one part: each entry is of now, on the face it is about. */
export interface Finds {
  readonly save: Save;
  readonly log: <K extends FactKind>(
    kind: K,
    face: Face | null,
    body: FactBodies[K],
    over?: { readonly supersedes?: string; readonly happenedMs?: number; readonly done?: () => void },
  ) => void;
}
export function useFinds(view: InspectView): Finds {
  const record = useRecord();
  const save = useSave();
  return {
    save,
    log: (kind, face, body, { done, happenedMs, ...over } = {}) =>
      save.run(
        () =>
          record({
            kind,
            partId: view.card.partId,
            partName: view.card.name,
            face,
            happenedMs: happenedMs ?? Date.now(),
            endedMs: null,
            body,
            ...over,
          }),
        done,
      ),
  };
}
