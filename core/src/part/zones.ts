import type { Survey } from './survey.ts';

/** Outside: painted. Bright: machined, sliding, scraped, no paint. Inside: a cavity, tank, water or oil space. Seam: laps, rivets. */
export const ZONE_KINDS = ['outside', 'bright', 'inside', 'seam'] as const;
export type ZoneKind = (typeof ZONE_KINDS)[number];

/** Answers of a survey that may differ from one zone of a part to another. */
export type ZoneAnswers = Partial<
  Pick<
    Survey,
    | 'areaM2'
    | 'thicknessMm'
    | 'rust'
    | 'pits'
    | 'scale'
    | 'oil'
    | 'coating'
    | 'coatKind'
    | 'soundShare'
    | 'legacy'
    | 'category'
    | 'sun'
    | 'finish'
    | 'reach'
    | 'concealed'
  >
>;

/** A zone of its own beside the outside: with its own treatment, heat, fluids and end. */
export interface Zone {
  readonly zoneId: string;
  readonly name: string;
  readonly kind: ZoneKind;
  readonly heatC: number | null;
  readonly fluids: Survey['fluids'];
  readonly overrides: ZoneAnswers;
}

/** What is protected and never painted: the bright zone that a list of features implies. */
const BRIGHT = ['machined', 'bores', 'threads'] as const;
export const brightFeatures = (s: Pick<Survey, 'features'>): readonly string[] =>
  BRIGHT.filter((f) => s.features.includes(f));

/** The survey as it reads for one zone. What a zone does not answer for itself is the part's; an inside is in no sun. */
export function surveyOfZone(s: Survey, z: Zone): Survey {
  const isInside = z.kind === 'inside';
  return {
    ...s,
    ...(isInside ? { sun: 'no', concealed: 'no', metallic: 'no', chips: 'no', finish: 'working' } : {}),
    ...z.overrides,
    heatC: z.heatC,
    fluids: z.fluids,
    // What is full of a fluid is under it, whatever the outside lives in.
    ...(isInside && z.fluids.length > 0 ? { category: 'immersed' as const } : {}),
    features: s.features.filter((f) => f !== 'box-section'),
    zones: [],
  };
}
