import { filmStatistics, readingsNeeded } from './readings.ts';
import type { AcceptanceRule } from './kinds.ts';

/** A requirement of a rule, with the figure it was judged by. */
export interface Requirement {
  readonly code:
    | 'mean-least'
    | 'each-least'
    | 'few-below'
    | 'each-most'
    | 'mean-most'
    | 'spot-least'
    | 'spot-most'
    | 'count';
  readonly isMet: boolean;
  readonly got: number;
  readonly limit: number;
  /** Which readings or spots are against it, by index. */
  readonly at: readonly number[];
}

export interface Acceptance {
  readonly rule: AcceptanceRule;
  /** Unknown is not a pass: too few readings, or a limit nobody gave. */
  readonly verdict: 'accepted' | 'refused' | 'unknown';
  readonly requirements: readonly Requirement[];
  /** What must be given before it can be judged. */
  readonly asks: readonly ('max' | 'min' | 'readings' | 'spots')[];
  /** Readings (or spots) to take again, nearby: those against a requirement. */
  readonly again: readonly number[];
}

const indexes = (list: readonly number[], bad: (x: number) => boolean): number[] =>
  list.flatMap((x, i) => (bad(x) ? [i] : []));
/** A film is written in whole µm; sums of such readings are compared without rounding dust. */
const DUST_UM = 1e-9;

function finish(
  rule: AcceptanceRule,
  requirements: readonly Requirement[],
  asks: Acceptance['asks'],
): Acceptance {
  const isBroken = requirements.some((r) => !r.isMet && r.code !== 'count');
  return {
    rule,
    verdict: isBroken
      ? 'refused'
      : asks.length > 0 || requirements.some((r) => !r.isMet)
        ? 'unknown'
        : 'accepted',
    requirements,
    asks,
    again: [...new Set(requirements.filter((r) => !r.isMet).flatMap((r) => r.at))].sort((a, b) => a - b),
  };
}

export interface IsoInput {
  readonly readingsUm: readonly number[];
  readonly nominalUm: number;
  /** The sheet's or the specification's most; null: three times nominal. */
  readonly maxUm: number | null;
  readonly areaM2: number | null;
}

/**
 * ISO 19840:2012 (from memory): mean at least nominal; each at least 80 % of it (exactly 80 % passes); fewer than 20 % of
 * the readings below nominal; none above the most. Too few readings for the area: unknown, never accepted.
 */
export function acceptIso19840(input: IsoInput): Acceptance {
  const { readingsUm: r, nominalUm } = input;
  const s = filmStatistics(r);
  const needed = readingsNeeded(input.areaM2 ?? 1);
  if (!s)
    return finish(
      'iso-19840',
      [{ code: 'count', isMet: false, got: 0, limit: needed, at: [] }],
      ['readings'],
    );
  const maxUm = input.maxUm ?? 3 * nominalUm;
  const thin = indexes(r, (x) => x * 10 < nominalUm * 8 - DUST_UM);
  const below = indexes(r, (x) => x < nominalUm);
  const thick = indexes(r, (x) => x > maxUm);
  const mostBelow = Math.max(0, Math.ceil(r.length / 5) - 1);
  return finish(
    'iso-19840',
    [
      {
        code: 'mean-least',
        isMet: s.meanUm >= nominalUm - DUST_UM,
        got: s.meanUm,
        limit: nominalUm,
        at: s.meanUm >= nominalUm - DUST_UM ? [] : below,
      },
      { code: 'each-least', isMet: thin.length === 0, got: s.leastUm, limit: 0.8 * nominalUm, at: thin },
      { code: 'few-below', isMet: below.length <= mostBelow, got: below.length, limit: mostBelow, at: below },
      { code: 'each-most', isMet: thick.length === 0, got: s.mostUm, limit: maxUm, at: thick },
      { code: 'count', isMet: r.length >= needed, got: r.length, limit: needed, at: [] },
    ],
    r.length >= needed ? [] : ['readings'],
  );
}

export interface Pa2Input {
  /** Spots of gauge readings, three each; base reading already deducted. */
  readonly spotsUm: readonly (readonly number[])[];
  readonly minUm: number | null;
  readonly maxUm: number | null;
  readonly areaM2: number | null;
}
/** 100 ft² in m². */
const PA2_AREA_M2 = 9.290304;
const PA2_SPOTS = 5;

/**
 * SSPC-PA 2 (from memory): five spots of three readings in each 100 ft²; each spot's mean between 80 % of the least and
 * 120 % of the most specified; the area's mean between least and most; single readings are free. Asks for both limits.
 */
export function acceptPa2(input: Pa2Input): Acceptance {
  const { minUm, maxUm } = input;
  const full = input.spotsUm.filter((s) => s.length >= 3);
  const needed = PA2_SPOTS * Math.max(1, Math.ceil((input.areaM2 ?? 0) / PA2_AREA_M2));
  const count: Requirement = {
    code: 'count',
    isMet: full.length >= needed,
    got: full.length,
    limit: needed,
    at: input.spotsUm.flatMap((s, i) => (s.length < 3 ? [i] : [])),
  };
  const asks: Acceptance['asks'][number][] = [];
  if (minUm === null) asks.push('min');
  if (maxUm === null) asks.push('max');
  if (!count.isMet) asks.push('spots');
  if (minUm === null || maxUm === null || full.length === 0) return finish('pa-2', [count], asks);
  const means = input.spotsUm.map((s) => filmStatistics(s)?.meanUm ?? NaN);
  const whole = filmStatistics(means.filter((x) => Number.isFinite(x)))!;
  const thin = indexes(means, (x) => x < 0.8 * minUm - DUST_UM);
  const thick = indexes(means, (x) => x > 1.2 * maxUm + DUST_UM);
  return finish(
    'pa-2',
    [
      { code: 'mean-least', isMet: whole.meanUm >= minUm - DUST_UM, got: whole.meanUm, limit: minUm, at: [] },
      { code: 'mean-most', isMet: whole.meanUm <= maxUm + DUST_UM, got: whole.meanUm, limit: maxUm, at: [] },
      { code: 'spot-least', isMet: thin.length === 0, got: whole.leastUm, limit: 0.8 * minUm, at: thin },
      { code: 'spot-most', isMet: thick.length === 0, got: whole.mostUm, limit: 1.2 * maxUm, at: thick },
      count,
    ],
    asks,
  );
}

/** A shop's own rule: how far a reading and the mean may fall short or go over. */
export interface OwnRule {
  /** Each reading at least this share of nominal. */
  readonly eachShare: number;
  /** The mean at least this share of nominal. */
  readonly meanShare: number;
  readonly maxUm: number | null;
  readonly readings: number;
}
/** What a careful shop does without a contract: each reading two thirds, the mean all of it, five readings (common practice, no published source). */
export const USUAL_OWN_RULE: OwnRule = { eachShare: 2 / 3, meanShare: 1, maxUm: null, readings: 5 };

/** The shop's own rule; no limit above is taken as no limit, and said by the missing requirement. */
export function acceptOwn(readingsUm: readonly number[], nominalUm: number, own: OwnRule): Acceptance {
  const s = filmStatistics(readingsUm);
  const count: Requirement = {
    code: 'count',
    isMet: readingsUm.length >= own.readings,
    got: readingsUm.length,
    limit: own.readings,
    at: [],
  };
  if (!s) return finish('own', [count], ['readings']);
  const leastUm = own.eachShare * nominalUm;
  const thin = indexes(readingsUm, (x) => x < leastUm - DUST_UM);
  const list: Requirement[] = [
    {
      code: 'mean-least',
      isMet: s.meanUm >= own.meanShare * nominalUm - DUST_UM,
      got: s.meanUm,
      limit: own.meanShare * nominalUm,
      at: [],
    },
    { code: 'each-least', isMet: thin.length === 0, got: s.leastUm, limit: leastUm, at: thin },
  ];
  if (own.maxUm !== null) {
    const thick = indexes(readingsUm, (x) => x > own.maxUm!);
    list.push({ code: 'each-most', isMet: thick.length === 0, got: s.mostUm, limit: own.maxUm, at: thick });
  }
  return finish('own', [...list, count], count.isMet ? [] : ['readings']);
}
