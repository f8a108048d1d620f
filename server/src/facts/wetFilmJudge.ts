import { spotsWanted, standingFacts, type FilmReadBody } from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import type { KindChecks } from '../ledger/ledger.ts';
import { listFacts } from '../ledger/ledger.sql.ts';

/** Places are of readings: as many, or none. */
function checkSpots(body: Readonly<Record<string, unknown>>): void {
  const { readingsUm, spots } = body as unknown as FilmReadBody;
  const wanted = spotsWanted({ readingsUm, ...(spots ? { spots } : {}) });
  if (wanted === null) return;
  throw invalidInput([
    {
      field: 'body.spots',
      code: 'array.length',
      got: spots?.length ?? 0,
      accepts: `${wanted}, one for each reading; null where nobody noted the place`,
    },
  ]);
}

/**
 * What film readings must be: places that fit them, and no gauge on a film that is still wet, since it presses into it and reads something
 * else. A wet comb is for that. Judged by the soonest that the film may be touch-dry, and never where its clock is not known.
 */
export async function wetFilmJudge(
  deps: Deps,
  facts: readonly FactInput[],
): Promise<NonNullable<KindChecks['check']>> {
  const then = facts.some((f) => f.kind === 'film-read') ? await deps.model.partsThen() : null;
  return async (tx, workshopId, e) => {
    checkSpots(e.body);
    if (e.body['by'] !== 'gauge') return;
    const happenedMs = Date.parse(e.happenedAt);
    const stored = standingFacts(await listFacts(tx, workshopId, [e.partId!]));
    const part = then?.partAt(e.partId!, stored, Math.min(happenedMs, deps.nowMs()));
    if (!part) throw new AppError('busy', {});
    for (const face of part.state.faces) {
      if (e.face !== null && face.face !== e.face) continue;
      const top = face.coats[face.coats.length - 1];
      const dryMs = top?.edges.touch.bestMs ?? null;
      if (!top || dryMs === null || happenedMs >= dryMs || happenedMs < top.t0Ms) continue;
      throw invalidInput([
        {
          field: 'body.by',
          code: 'film-wet',
          got: 'gauge',
          accepts: `a wet comb: at the soonest the film is touch-dry at ${new Date(dryMs).toISOString()}`,
        },
      ]);
    }
  };
}
