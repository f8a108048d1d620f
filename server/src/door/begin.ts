import { promisify } from 'node:util';
import type { Request } from 'express';

/** A session of a new id: whoever knew the old one knows nothing. */
export async function begin(
  req: Request,
  data: { readonly workshopId: string; readonly personId: string | null; readonly tabletId: string | null },
): Promise<void> {
  await told((done) => req.session.regenerate(done));
  Object.assign(req.session, data, { act: null });
  await told((done) => req.session.save(done));
}

/** What says that it is done by calling back, as a promise. */
export const told = (work: (done: (error: unknown) => void) => void): Promise<void> => promisify(work)();
