import { useQueryClient } from '@tanstack/react-query';
import type { PlanView } from '@calvetta/core';
import type { StoredPlan } from '@calvetta/contract';
import { Refused } from '../../api/client.ts';
import { KEYS } from '../../api/keys.ts';
import { useSave } from '../../forms/useSave.ts';
import { useWriter } from '../../record/useRecord.ts';
import { useSend } from '../../record/useSend.ts';
import { planWrite } from '../../record/write.ts';
import { newId } from '../../ui/newId.ts';

const isConflict = (e: unknown): boolean => e instanceof Refused && e.body.code === 'version-conflict';

/** Keeps a plan in place of the one that holds; the undo keeps that one again. `onKept` is told its name before it goes out. */
export function useKeepPlan(stored: StoredPlan | null, onKept: (planId: string) => void) {
  const save = useSave();
  const send = useSend();
  const writer = useWriter();
  const client = useQueryClient();
  type Kept = Pick<StoredPlan, 'ask' | 'plan'>;
  const store = async (
    { ask, plan }: Kept,
    planId: string,
    version: number,
    said: string,
    undoes: Kept | null,
  ): Promise<void> => {
    const { personId } = await writer();
    const undo = (): void =>
      save.run(() => store(undoes!, newId(), version + 1, 'The plan before holds again', null));
    await send(
      planWrite({ planId, version, personId, ask, plan }),
      said,
      undoes ? { label: 'Undo', run: undo } : undefined,
    ).catch((e: unknown) => {
      // Somebody else kept one, and this page has not heard of it.
      if (isConflict(e)) void client.invalidateQueries({ queryKey: KEYS.plan });
      throw e;
    });
  };
  return {
    isBusy: save.isBusy,
    /** The other's is asked for, and stands above as soon as it is here (useHeldPlan.ts). */
    trouble: isConflict(save.refused)
      ? 'Somebody kept another plan meanwhile, and theirs holds. What you have here is not kept: look at theirs, or keep yours in its place.'
      : save.trouble,
    keep: (view: PlanView): void => {
      const before = stored && { ask: stored.ask, plan: stored.plan };
      const planId = newId();
      onKept(planId);
      save.run(() => store(view, planId, stored?.version ?? 0, 'The plan is kept', before));
    },
  };
}
