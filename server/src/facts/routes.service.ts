import {
  CATALOGUE_SHEETS,
  familiesOf,
  isAllowed,
  judgeRoute as judgementOf,
  ofKind,
  RULES,
  seenSinceStripped,
  standingFacts,
  type Survey,
  wholeSurvey,
} from '@calvetta/core';
import type { FactInput, FactInputOf } from '@calvetta/contract';
import type { Db } from '../db/db.ts';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { insertSheet } from '../shop/shop.sql.ts';

type RouteInput = FactInputOf<'route-set'>;

/** The survey a route stands on: one sent with it, else the part's newest. */
async function surveyFor(deps: Deps, f: RouteInput, batch: readonly FactInput[]): Promise<Survey | null> {
  const sent = batch.findLast((x) => x.kind === 'surveyed' && x.partId === f.partId);
  if (sent?.kind === 'surveyed') return sent.body.survey;
  const facts = (await deps.model.shop())?.facts.get(f.partId) ?? [];
  const surveys = ofKind(standingFacts(facts), 'surveyed');
  const newest = surveys[surveys.length - 1];
  return newest ? wholeSurvey(newest.body.survey) : null;
}

/** No reason lifts these. */
const SAFETY = new Set(RULES.filter((r) => r.safety === true).map((r) => r.id));

/** Refuses a route that a rule refuses or that rests on an open question, unless it is set against the rules with a reason. */
export async function judgeRoute(deps: Deps, f: RouteInput, batch: readonly FactInput[]): Promise<void> {
  const shop = await deps.model.shop();
  const survey = await surveyFor(deps, f, batch);
  if (!shop) return;
  if (!survey)
    throw invalidInput([
      { field: 'body.steps', code: 'no-survey', got: null, accepts: 'a survey of the part before its route' },
    ]);
  const families = familiesOf([...shop.sheets.values()]);
  const { steps } = f.body;
  const strangers = [...new Set(steps.flatMap((s) => s.familyId ?? []))].filter((id) => !families.has(id));
  if (strangers.length > 0)
    throw new AppError('unknown-reference', { fields: ['body.steps'], families: strangers });
  const seen = seenSinceStripped(standingFacts(shop.facts.get(f.partId) ?? []));
  const verdict = judgementOf({
    survey,
    means: shop.workshop.means,
    steps,
    families,
    rules: RULES,
    ...(seen ? { seen } : {}),
  });
  if (isAllowed(verdict)) return;
  const unsafe = verdict.refusals.filter((r) => SAFETY.has(r.ruleId));
  const asked = verdict.open.filter((q) => SAFETY.has(q.ruleId));
  if (unsafe.length + asked.length > 0) throw new AppError('route-unsafe', { refusals: unsafe, open: asked });
  if (f.body.origin === 'overridden' && f.body.reason !== undefined) return;
  throw new AppError('route-refused', { refusals: verdict.refusals, open: verdict.open });
}

/** A route may name families whose sheet the shop has not taken yet: the generic one comes in with it. */
export async function storeSheets(tx: Db, workshopId: string, f: RouteInput): Promise<boolean> {
  const named = new Set(f.body.steps.map((s) => s.familyId));
  let isNew = false;
  for (const sheet of CATALOGUE_SHEETS)
    if (named.has(sheet.productId) && (await insertSheet(tx, workshopId, sheet))) isNew = true;
  return isNew;
}
