import { err, ok, type Result } from '../../base/result.ts';
import { fitCurve, maxStageHoursAt, stageHoursAt, type StageTimes } from '../curve.ts';
import { withActivation, type ProductSheet, type Stage, type WindowInterval } from '../sheet.ts';
import { TIN_C } from './read.ts';

/** What stands on the back of a tin, as it was read. Null: it does not say. */
export interface TinBack {
  readonly name: string;
  readonly recoatFrom: StageTimes;
  /** `never`: it says in so many words that there is no longest time. */
  readonly recoatUntil: StageTimes | 'never' | null;
  readonly potLife: StageTimes | null;
  readonly ratio: { readonly a: number; readonly b: number; readonly by: 'volume' | 'mass' } | null;
  readonly film: { readonly minUm: number; readonly dftUm: number; readonly maxUm: number } | null;
  readonly solidsPct: number | null;
  readonly thinMaxPct: number | null;
}

/** What a tin's back did not say: taken from the family, or lengthened with it, or left open. */
export type Inherited =
  | { readonly what: 'potLife' | 'ratio' | 'film' | 'solids' | 'thinner' | 'climate' }
  /** Times that nobody typed, longer by so much because this product is slower than its family. */
  | { readonly what: 'times'; readonly longerBy: number }
  /** The tin says no longest time to the next coat: the family's is not taken over. */
  | { readonly what: 'noLongest' };

export interface SheetLike {
  readonly sheet: ProductSheet;
  readonly inherited: readonly Inherited[];
}

/** Stages that nobody types from a tin; they go with the shortest recoat time. */
const WITH_RECOAT: readonly Stage[] = ['flash', 'touch', 'handle', 'sand', 'service'];

function hoursAt(times: StageTimes, sheet: ProductSheet, kind: 'min' | 'max'): number | null {
  const curve = fitCurve(withActivation(times, sheet.binder));
  if (!curve.ok) return null;
  const at = kind === 'min' ? stageHoursAt(curve.value, TIN_C) : maxStageHoursAt(curve.value, TIN_C);
  return at?.hours ?? null;
}

/** How much slower than its family a product is, by its shortest recoat; never less than 1: no time is made shorter unasked. */
function slowerBy(family: ProductSheet, tin: TinBack): number {
  const own = hoursAt(tin.recoatFrom, family, 'min');
  const usual = family.stages.minRecoat ? hoursAt(family.stages.minRecoat, family, 'min') : null;
  return own === null || usual === null ? 1 : Math.max(1, own / usual);
}

const times = (t: StageTimes, by: number): StageTimes => ({
  ...t,
  points: t.points.map((p) => ({ ...p, hours: p.hours * by })),
});

function stagesOf(family: ProductSheet, tin: TinBack, by: number): ProductSheet['stages'] {
  const stages: Partial<Record<Stage, StageTimes>> = { ...family.stages, minRecoat: tin.recoatFrom };
  for (const stage of WITH_RECOAT) if (stages[stage]) stages[stage] = times(stages[stage], by);
  delete stages.maxRecoat;
  if (tin.recoatUntil !== null && tin.recoatUntil !== 'never') stages.maxRecoat = tin.recoatUntil;
  if (tin.potLife) stages.potLife = tin.potLife;
  return stages;
}

/**
 * What may follow, as in the family, but by the tin's own longest time: a plain interval shuts when the tin says. Where the tin says
 * none, the family's longest times are its own and not this product's: what is then left is the rule for a silent sheet. What is laid
 * wet on wet, and followers that are the only ones allowed, stay as they are.
 */
function followersOf(family: ProductSheet, tin: TinBack): ProductSheet['followers'] {
  const shuts = (i: WindowInterval): WindowInterval => {
    if (i.prep !== 'none' || i.wetOnWet === true || i.to === null) return i;
    if (tin.recoatUntil === 'never') return { ...i, to: null };
    return { ...i, to: { stage: 'maxRecoat', p: 1, type: 'max' } };
  };
  const keeps = family.listedFollowersOnly || tin.recoatUntil !== null;
  if (!keeps) return [];
  if (tin.recoatUntil === null) return family.followers;
  return family.followers.map((f) => ({ ...f, intervals: f.intervals.map(shuts) }));
}

function inheritedOf(family: ProductSheet, tin: TinBack, by: number): Inherited[] {
  return [
    { what: 'times', longerBy: by },
    ...(tin.recoatUntil === null ? [{ what: 'noLongest' } as const] : []),
    ...(tin.potLife === null && family.stages.potLife ? [{ what: 'potLife' } as const] : []),
    ...(tin.ratio === null && family.packs === 2 ? [{ what: 'ratio' } as const] : []),
    ...(tin.film === null ? [{ what: 'film' } as const] : []),
    ...(tin.solidsPct === null ? [{ what: 'solids' } as const] : []),
    ...(tin.thinMaxPct === null ? [{ what: 'thinner' } as const] : []),
    { what: 'climate' },
  ];
}

/** What cannot be, before anything is stored: times that grow with warmth, a window that shuts before it opens. */
function contradiction(family: ProductSheet, tin: TinBack) {
  const fitted = { recoatFrom: tin.recoatFrom, recoatUntil: tin.recoatUntil, potLife: tin.potLife };
  for (const [field, t] of Object.entries(fitted)) {
    if (t === null || t === 'never') continue;
    const curve = fitCurve(withActivation(t, family.binder));
    if (!curve.ok) return err({ ...curve.error, field });
  }
  if (tin.recoatUntil === null || tin.recoatUntil === 'never') return null;
  const [from, until] = [hoursAt(tin.recoatFrom, family, 'min'), hoursAt(tin.recoatUntil, family, 'max')];
  return from !== null && until !== null && until <= from
    ? err({ code: 'contradiction', field: 'recoatUntil', rule: 'shuts-before-it-opens' } as const)
    : null;
}

/**
 * A sheet for a product of one's own, from the back of its tin and the family it is like: what the tin says is the tin's; what it does
 * not say is the family's, made no shorter, and named. It takes the family's place as its next revision.
 */
export function sheetLike(
  family: ProductSheet,
  newest: Pick<ProductSheet, 'revision'>,
  tin: TinBack,
  source: string,
): Result<SheetLike> {
  const wrong = contradiction(family, tin);
  if (wrong) return wrong;
  const by = slowerBy(family, tin);
  const revision = newest.revision + 1;
  const film = tin.film && { dftUm: tin.film.dftUm, dftMinUm: tin.film.minUm, dftMaxUm: tin.film.maxUm };
  const gun = tin.thinMaxPct;
  const sheet: ProductSheet = {
    ...family,
    sheetId: `${family.productId}.${revision}`,
    revision,
    name: tin.name,
    stages: stagesOf(family, tin, by),
    maxRecoatUnlimited: tin.recoatUntil === 'never',
    followers: followersOf(family, tin),
    ...film,
    vsPct: tin.solidsPct ?? family.vsPct,
    traits: {
      ...family.traits,
      ...(tin.ratio ? { mix: tin.ratio } : {}),
      ...(gun === null
        ? {}
        : { thinMaxPct: { gun, brush: Math.min(gun, family.traits?.thinMaxPct?.brush ?? gun) } }),
    },
    source,
  };
  return ok({ sheet, inherited: inheritedOf(family, tin, by) });
}
