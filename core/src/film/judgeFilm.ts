import { acceptIso19840, acceptOwn, acceptPa2, USUAL_OWN_RULE, type Acceptance } from './accept.ts';
import { type AcceptanceRule } from './kinds.ts';
import { corrected, correctionUm, filmStatistics, type FilmStatistics } from './readings.ts';
import { type GaugeZero, type ProfileGrade } from './kinds.ts';

/** What a set of film readings says: as read, with how the gauge was set and what they were taken for. */
export interface FilmReadBody {
  /** The whole film on the metal, or the coat just laid (by the comb). */
  readonly scope: 'system' | 'coat';
  readonly by: 'gauge' | 'comb';
  /** Dry film as read, before any correction; of a comb, what its two teeth dry to. */
  readonly readingsUm: readonly number[];
  /** How many readings make a spot, in order; 1: each stands alone. */
  readonly perSpot: 1 | 3;
  readonly zero: GaugeZero;
  readonly profile: ProfileGrade;
  /** A base reading taken on the bare metal, deducted instead of a correction for profile; null: none. */
  readonly baseUm: number | null;
  readonly rule: AcceptanceRule;
  readonly nominalUm: number;
  readonly minUm: number | null;
  readonly maxUm: number | null;
  /** Where each reading was taken, in their order, 0…1 from the upper left corner; null: nobody noted that one's place. */
  readonly spots?: readonly ({ readonly x: number; readonly y: number } | null)[];
}

export interface FilmJudgement {
  readonly correctionUm: number;
  readonly correctedUm: readonly number[];
  readonly statistics: FilmStatistics | null;
  /** Null for a comb: it predicts, it does not accept. */
  readonly acceptance: Acceptance | null;
}

const spotsOf = (list: readonly number[], size: number): number[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));

/** Readings corrected once, counted, and judged by the rule they were taken for. */
export function judgeFilm(b: FilmReadBody, areaM2: number | null): FilmJudgement {
  if (b.by === 'comb')
    return {
      correctionUm: 0,
      correctedUm: b.readingsUm,
      statistics: filmStatistics(b.readingsUm),
      acceptance: null,
    };
  const by = correctionUm(b.zero, b.profile, b.baseUm);
  const list = corrected(b.readingsUm, by);
  return {
    correctionUm: by,
    correctedUm: list,
    statistics: filmStatistics(list),
    acceptance: acceptanceOf(b, list, areaM2),
  };
}

function acceptanceOf(b: FilmReadBody, list: readonly number[], areaM2: number | null): Acceptance {
  const { rule, nominalUm, minUm, maxUm } = b;
  switch (rule) {
    case 'iso-19840':
      return acceptIso19840({ readingsUm: list, nominalUm, maxUm, areaM2 });
    case 'pa-2':
      return acceptPa2({ spotsUm: spotsOf(list, 3), minUm, maxUm, areaM2 });
    case 'own':
      return acceptOwn(list, nominalUm, { ...USUAL_OWN_RULE, maxUm });
  }
}
