import type { PlanView } from '@calvetta/core';
import type { StoredPlan } from '@calvetta/contract';
import { useSave } from '../../forms/useSave.ts';
import { useWriter } from '../../record/useRecord.ts';
import { useSend } from '../../record/useSend.ts';
import { planWrite } from '../../record/write.ts';
import { newId } from '../../ui/newId.ts';

/** Keeps a plan in place of the one that holds; the undo keeps that one again. */
export function useKeepPlan(stored: StoredPlan | null) {
  const save = useSave();
  const send = useSend();
  const writer = useWriter();
  type Kept = Pick<StoredPlan, 'ask' | 'plan'>;
  const store = async (
    { ask, plan }: Kept,
    version: number,
    said: string,
    undoes: Kept | null,
  ): Promise<void> => {
    const { personId } = await writer();
    const undo = (): void => save.run(() => store(undoes!, version + 1, 'The plan before holds again', null));
    await send(
      planWrite({ planId: newId(), version, personId, ask, plan }),
      said,
      undoes ? { label: 'Undo', run: undo } : undefined,
    );
  };
  return {
    isBusy: save.isBusy,
    /** Somebody else kept one since this page asked: theirs is shown when it is loaded again. */
    trouble:
      save.refused?.body.code === 'version-conflict'
        ? 'Somebody kept another plan meanwhile. Theirs holds; load the page again to see it, then make yours from it.'
        : save.trouble,
    keep: (view: PlanView): void => {
      const before = stored && { ask: stored.ask, plan: stored.plan };
      save.run(() => store(view, stored?.version ?? 0, 'The plan is kept', before));
    },
  };
}
