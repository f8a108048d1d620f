import { HOUR_MS } from '../../../base/time.ts';
import { coatStates, filmFacts } from '../../../bench/film.ts';
import type { Fact, FactBodies } from '../../../facts/part.ts';
import type { Substrate } from '../../../part/substrate.ts';
import { blankSurvey, type Survey } from '../../../part/survey.ts';
import type { SurfaceStretch } from '../../../part/thermal/track.ts';
import type { ProductSheet } from '../../../products/sheet.ts';
import { sheet, steady, T0 } from '../../../test/build.ts';
import type { CardResult, TestCard } from '../../cards.ts';
import type { EvidenceCode } from '../../faults/ids.ts';
import type { FaultId, SeenAfter } from '../../faults/ids.ts';
import type { FilmRecord, MixTold } from '../filmRecord.ts';

/** Builders for tests only: the record of a film from a few words. */
export const EPOXY = sheet();
const FLASHES = {
  flash: {
    points: [
      { tempC: 10, hours: 0.3 },
      { tempC: 20, hours: 1 / 6 },
    ],
  },
};
export const finish = (over: Partial<ProductSheet> = {}): ProductSheet =>
  sheet({
    sheetId: 'f1',
    productId: 'gloss',
    name: 'Two-pack gloss',
    binder: 'urethane-2k',
    role: 'finish',
    dftUm: 40,
    dftMinUm: 30,
    dftMaxUm: 60,
    stages: { ...EPOXY.stages, ...FLASHES },
    ...over,
  });
export const ENAMEL = finish({
  sheetId: 'o1',
  productId: 'enamel',
  binder: 'alkyd-1k',
  packs: 1,
  name: 'Enamel',
});
export const ETCH = sheet({
  sheetId: 'e1',
  productId: 'etch',
  role: 'etch',
  binder: 'etch-2k',
  packs: 2,
  dftUm: 10,
  dftMinUm: 5,
  dftMaxUm: 15,
});
export const FILLER = sheet({ sheetId: 'fi', productId: 'filler', role: 'filler', binder: 'polyester-2k' });
export const ZINC = sheet({ sheetId: 'z1', productId: 'zinc', binder: 'zinc-epoxy-2k' });
const SHEETS = new Map([EPOXY, finish(), ENAMEL, ETCH, FILLER, ZINC].map((s) => [s.sheetId, s]));

interface Laid {
  readonly of: ProductSheet;
  /** Hours after the first coat. */
  readonly atH: number;
  readonly body?: Partial<FactBodies['coated']>;
}
export interface Recorded {
  readonly surfaceC?: number;
  readonly rhPct?: number;
  readonly track?: readonly SurfaceStretch[];
  readonly coats?: readonly Laid[];
  readonly index?: number;
  readonly before?: readonly { readonly kind: string; readonly body?: object; readonly atH: number }[];
  readonly mix?: Partial<MixTold>;
  readonly survey?: Partial<Survey>;
  readonly substrate?: Substrate;
  readonly isOutdoors?: boolean;
  readonly silicone?: readonly number[];
  readonly broken?: readonly string[];
  readonly asked?: number;
  readonly stripe?: FilmRecord['stripe'];
  readonly cards?: readonly (readonly [TestCard, CardResult])[];
  /** Days until it was found. */
  readonly foundH?: number;
}

let n = 0;
const fact = (kind: string, atH: number, body: object, lengthH = 0): Fact =>
  ({
    factId: `f${++n}`,
    partId: 'p',
    face: null,
    kind,
    happenedAtMs: T0 + (atH - lengthH) * HOUR_MS,
    endedAtMs: lengthH > 0 ? T0 + atH * HOUR_MS : null,
    recordedAtMs: T0 + atH * HOUR_MS,
    personId: 'a',
    deviceId: 'd',
    supersedes: null,
    body,
  }) as unknown as Fact;

/** Coats begin two hundred hours into the track, so that what was done before has air too. */
export const AT_H = 200;
export function recordOf(r: Recorded): FilmRecord {
  const laid = r.coats ?? [{ of: finish(), atH: 0 }];
  const coated = laid.map((c) =>
    fact('coated', AT_H + c.atH, { sheetId: c.of.sheetId, dftUm: c.of.dftUm, ...c.body }),
  );
  const facts = [...(r.before ?? []).map((b) => fact(b.kind, AT_H + b.atH, b.body ?? {})), ...coated].sort(
    (a, b) => a.happenedAtMs - b.happenedAtMs,
  );
  const track = r.track ?? steady(r.surfaceC ?? 20, 2000, 'lag', r.rhPct ?? 50);
  const foundMs = T0 + (AT_H + (r.foundH ?? 72)) * HOUR_MS;
  const coats = coatStates({
    ...filmFacts(facts),
    track,
    sheetOf: (id) => SHEETS.get(id) ?? null,
    speedOf: () => 1,
    isOutdoors: false,
    nowMs: foundMs,
  });
  const mix = r.mix
    ? {
        thinPct: null,
        ratioOff: null,
        measuredBy: null,
        hardenerAge: null,
        isPaintPast: null,
        ageMin: 20,
        goneMin: null,
        usableMin: null,
        ...r.mix,
      }
    : null;
  return {
    coats,
    index: r.index ?? coats.length - 1,
    facts,
    substrate: r.substrate ?? 'steel-plate',
    survey: r.survey ? { ...blankSurvey(r.substrate ?? 'steel-plate'), ...r.survey } : null,
    track,
    isOutdoors: r.isOutdoors ?? false,
    mix,
    siliconeMs: (r.silicone ?? []).map((h) => T0 + (AT_H + h) * HOUR_MS),
    brokenRules: r.broken ?? null,
    coatsAsked: r.asked ?? null,
    stripe: r.stripe ?? null,
    foundMs,
    cards: (r.cards ?? []).map(([card, result]) =>
      fact('card-tested', AT_H + 80, { card, result }),
    ) as FilmRecord['cards'],
  };
}

export interface Story {
  readonly says: string;
  readonly fault: FaultId;
  readonly record?: Recorded;
  readonly answers?: Partial<{ readonly [C in EvidenceCode]: 'yes' | 'no' }>;
  readonly seenAfter?: SeenAfter;
  readonly cause: string;
}
export const read = (um: number) => ({
  scope: 'coat',
  by: 'comb',
  readingsUm: [um, um, um],
  perSpot: 1,
  zero: 'smooth',
  profile: 'none',
  baseUm: null,
  rule: 'own',
  nominalUm: 40,
  minUm: null,
  maxUm: null,
});
export const twoCoats = (gapH: number, body: Partial<FactBodies['coated']> = {}): Laid[] => [
  { of: finish(), atH: 0 },
  { of: finish(), atH: gapH, body },
];
export const overEpoxy = (gapH: number, top: ProductSheet = finish()): Laid[] => [
  { of: EPOXY, atH: 0 },
  { of: top, atH: gapH },
];
export const blasted = { kind: 'stripped', body: { method: 'blast' }, atH: -2 } as const;
export const thick = { kind: 'film-read', body: read(95), atH: 30 } as const;
export const thin = { kind: 'film-read', body: read(18), atH: 30 } as const;
