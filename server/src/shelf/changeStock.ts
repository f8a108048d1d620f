import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';

/** A change to what stands on the shelf that is not a fact, told to every open page. */
export async function changeStock<T>(
  deps: Deps,
  work: (tx: Db, workshopId: string) => Promise<T>,
): Promise<T> {
  const { workshopId } = (await needShop(deps)).workshop;
  return write(deps, (tx) => work(tx, workshopId), { topic: 'stock' });
}
