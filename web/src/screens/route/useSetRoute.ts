import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  stepsAlike,
  surveyAlike,
  type Advice,
  type Family,
  type RouteStep,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { getPart } from '../../api/client.ts';
import { isRefusal, refusedWords } from '../../record/refusal.ts';
import { useRecord } from '../../record/useRecord.ts';
import { useDrafts } from '../../state/drafts.ts';
import { useNotices } from '../../state/notices.ts';

/** A route about to be set. */
export interface Chosen {
  readonly routeId: string;
  readonly steps: readonly RouteStep[];
  readonly origin: 'advised' | 'edited' | 'overridden';
  readonly reason: string | null;
}
interface Asked {
  readonly part: PartDetail;
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  readonly advice: Advice;
  /** Parts that take the same route. */
  readonly also: readonly string[];
}

/** Records the survey and the route, for the part and for those like it, and goes to the part. */
export function useSetRoute({ part, survey, means, families, advice, also }: Asked) {
  const navigate = useNavigate();
  const record = useRecord();
  const say = useNotices((s) => s.say);
  const [isBusy, setBusy] = useState(false);

  const drop = useDrafts((s) => s.drop);
  const commonOf = (of: PartDetail) => ({
    partId: of.card.partId,
    partName: of.card.name,
    face: null,
    happenedMs: Date.now(),
    endedMs: null,
  });
  const storeSurvey = async (of: PartDetail, own: Survey): Promise<void> => {
    await record({ ...commonOf(of), kind: 'surveyed', body: { survey: own } });
    drop(of.card.partId);
  };
  const store = async (
    of: PartDetail,
    own: Survey,
    steps: readonly RouteStep[],
    c: Chosen,
  ): Promise<void> => {
    await storeSurvey(of, own);
    const common = commonOf(of);
    const reason = c.reason === null ? {} : { reason: c.reason };
    const body = { routeId: c.routeId.slice(0, 400), origin: c.origin, steps, ...reason };
    const warnings = advice.routes.find((r) => r.routeId === c.routeId)?.warnings ?? [];
    await record({ ...common, kind: 'route-set', body, evidence: { warnings } });
  };
  /** The names of those like it for which the route does not hold. */
  const storeAll = async (c: Chosen): Promise<string[]> => {
    await store(part, survey, c.steps, c);
    const route = advice.routes.find((r) => r.routeId === c.routeId);
    const refused: string[] = [];
    for (const id of also) {
      const other = await getPart(id);
      const own = surveyAlike(other, survey);
      await store(other, own, stepsAlike(own, means, families, route, c.steps), c).catch((e: unknown) => {
        if (!isRefusal(e)) throw e;
        refused.push(other.card.name);
      });
    }
    return refused;
  };
  const guarded = (work: Promise<unknown>): void => {
    setBusy(true);
    void work
      .catch((e: unknown) =>
        say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
      )
      .finally(() => setBusy(false));
  };
  /** The survey alone, for the part and for those like it: the route is chosen another evening. */
  const keep = (): void => {
    const all = async (): Promise<void> => {
      await storeSurvey(part, survey);
      for (const id of also) {
        const other = await getPart(id);
        await storeSurvey(other, surveyAlike(other, survey));
      }
      say({
        tone: 'done',
        text: also.length === 0 ? 'Survey kept' : `Survey kept for ${also.length + 1} parts`,
      });
    };
    guarded(all());
  };
  const use = (c: Chosen): void =>
    guarded(
      storeAll(c).then((refused) => {
        if (refused.length > 0)
          say({
            tone: 'trouble',
            text: `Surveyed, but this route does not hold for ${refused.join(', ')}: choose theirs.`,
          });
        return navigate(`/parts/${encodeURIComponent(part.card.partId)}`);
      }),
    );
  return { use, keep, isBusy };
}
