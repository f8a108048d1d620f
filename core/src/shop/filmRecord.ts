import { MINUTE_MS } from '../base/time.ts';
import { coatStates, filmFacts } from '../bench/film.ts';
import { factsSinceStrip, plannedFor } from '../bench/face.ts';
import { originMs } from '../facts/envelope.ts';
import { ofKind, standingFacts, type Face, type Fact } from '../facts/part.ts';
import { seenSinceStripped } from '../facts/prep.ts';
import type { FilmRecord, MixTold } from '../inspect/record/filmRecord.ts';
import { recipeOf } from '../mix/recipe.ts';
import { wholeSurvey, type Survey } from '../part/survey.ts';
import { familiesOf } from '../products/catalogue/index.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import { judgeRoute } from '../route/judge.ts';
import { RULES } from '../route/rules/index.ts';
import { addMonths, expiryOf } from '../shelf/tins.ts';
import { routeSetOf } from './route.ts';
import { mixById, stockNow, thinPctOf, vouchedMs } from './shelf.ts';
import { stepsNow } from './stepsNow.ts';
import { staysOf, surfaceOf, type DerivedPart } from './part.ts';
import type { Snapshot } from './snapshot.ts';

/** What was known of a part's survey at a moment. */
function surveyAt(standing: readonly Fact[], atMs: number): Survey | null {
  const surveys = ofKind(standing, 'surveyed').filter((f) => originMs(f) <= atMs);
  const newest = surveys[surveys.length - 1];
  return newest ? wholeSurvey(newest.body.survey) : null;
}

/** What the shelf knows of the mix a coat came from. */
function mixTold(snapshot: Snapshot, mixId: string | undefined, laidMs: number): MixTold | null {
  const mix = mixId === undefined ? null : mixById(snapshot, mixId);
  if (!mix) return null;
  const { body, happenedAtMs } = mix.state.fact;
  const traits = traitsOf(mix.sheet);
  const recipe = recipeOf(traits, 0);
  const { tins } = stockNow(snapshot);
  const tinOf = (tinId: string | null) => tins.find((t) => t.tin.tinId === tinId) ?? null;
  const hardener = tinOf(body.bTinId);
  const paint = tinOf(body.aTinId);
  const paintEndMs =
    paint && expiryOf(paint.tin, paint.openedMs, traits, vouchedMs(snapshot, paint.row)).atMs;
  const bPerA = recipe.ok ? recipe.value.bPerA : 0;
  const openedMs = hardener?.openedMs ?? null;
  const after = (ms: number | null): number | null => (ms === null ? null : (ms - happenedAtMs) / MINUTE_MS);
  return {
    thinPct: thinPctOf(mix.state),
    ratioOff: bPerA > 0 ? Math.abs(body.bMl / body.aMl / bPerA - 1) : null,
    measuredBy: body.ratioBy ?? null,
    hardenerAge:
      openedMs === null
        ? null
        : (happenedAtMs - openedMs) / (addMonths(openedMs, traits.hardenerOpenedMonths) - openedMs),
    isPaintPast: paintEndMs === null ? null : paintEndMs < happenedAtMs,
    ageMin: (laidMs - happenedAtMs) / MINUTE_MS,
    goneMin: after(mix.clock.gone?.nominalMs ?? null),
    usableMin: after(mix.clock.usable.nominalMs),
  };
}

/** Where a part stood at a moment, by what was logged of it. */
function placeAt(standing: readonly Fact[], atMs: number, snapshot: Snapshot): string | null {
  const stays = staysOf(standing, snapshot.fromMs, snapshot.horizonMs, snapshot.nowMs);
  return stays.find((s) => s.fromMs <= atMs && atMs < s.toMs)?.placeId ?? null;
}

/** When wax or silicone was used near: cavity coats and logged wax on any part that then stood in the same place. */
function siliconeNear(snapshot: Snapshot, placeId: string | null): number[] {
  if (placeId === null) return [];
  const out: number[] = [];
  for (const [, facts] of snapshot.shop.facts) {
    const waxed = facts.filter(
      (f) =>
        (f.kind === 'contaminated' && f.body.by === 'wax') ||
        (f.kind === 'coated' && snapshot.shop.sheets.get(f.body.sheetId)?.role === 'cavity'),
    );
    if (waxed.length === 0) continue;
    const standing = standingFacts(facts);
    for (const f of waxed)
      if (standing.includes(f) && placeAt(standing, originMs(f), snapshot) === placeId) out.push(originMs(f));
  }
  return out.sort((a, b) => a - b);
}

/** Rules of today that the route set breaks, on what was known of the part when the film was laid; null: nothing to judge. */
function brokenRules(
  snapshot: Snapshot,
  standing: readonly Fact[],
  laidMs: number,
): readonly string[] | null {
  const before = standing.filter((f) => originMs(f) <= laidMs);
  const survey = surveyAt(before, laidMs);
  const set = routeSetOf(before);
  if (!survey || !set) return null;
  const seen = seenSinceStripped(before);
  const verdict = judgeRoute({
    survey,
    means: snapshot.shop.workshop.means,
    steps: set.body.steps,
    families: familiesOf([...snapshot.shop.sheets.values()]),
    rules: RULES,
    ...(seen ? { seen } : {}),
  });
  return verdict.refusals.map((r) => r.ruleId);
}

function stripeOf(part: DerivedPart): FilmRecord['stripe'] {
  if (part.steps.length === 0) return null;
  const stripe = stepsNow(part).filter((s) => s.step.kind === 'stripe');
  if (stripe.length === 0) return 'none';
  return stripe.some((s) => s.record?.status === 'recorded') ? 'recorded' : 'not-recorded';
}

/**
 * All that evidence about a fault is read from: the coat named, or the last one that was on the face when it was found, with the air it
 * had and what was done before. Null: no coat is on record there.
 */
export function filmRecordOf(
  snapshot: Snapshot,
  part: DerivedPart,
  face: Face,
  foundMs: number,
  coatFactId: string | null,
): FilmRecord | null {
  const standing = standingFacts(part.facts);
  const own = standing.filter((f) => (f.face === null || f.face === face) && originMs(f) <= foundMs);
  const facts = factsSinceStrip(own);
  const track = surfaceOf(snapshot.shop, snapshot, part, facts[0] ? originMs(facts[0]) : foundMs);
  const coats = coatStates({
    ...filmFacts(facts),
    track,
    sheetOf: (id) => snapshot.shop.sheets.get(id) ?? null,
    speedOf: (id) => snapshot.speeds.get(id)?.speedBy ?? 1,
    isOutdoors: false,
    nowMs: foundMs,
  });
  const named = coats.findIndex((c) => c.factId === coatFactId);
  const index = named >= 0 ? named : coats.length - 1;
  const coat = coats[index];
  if (!coat) return null;
  const fact = ofKind(facts, 'coated').find((f) => f.factId === coat.factId)!;
  const placeId = placeAt(standing, coat.t0Ms, snapshot);
  const place = snapshot.shop.places.find((p) => p.placeId === placeId);
  return {
    coats,
    index,
    facts: own,
    substrate: part.row.substrate,
    survey: surveyAt(standing, foundMs),
    track,
    isOutdoors: place ? place.exposure === 'outdoors' : null,
    mix: mixTold(snapshot, fact.body.mixId, coat.t0Ms),
    siliconeMs: siliconeNear(snapshot, placeId),
    brokenRules: brokenRules(snapshot, standing, coat.t0Ms),
    coatsAsked: part.steps.length === 0 ? null : plannedFor(part.planned, face).length,
    stripe: stripeOf(part),
    foundMs,
    cards: ofKind(factsSinceStrip(standing.filter((f) => f.face === null || f.face === face)), 'card-tested'),
  };
}
