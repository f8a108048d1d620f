import type { Survey, Zone } from './survey.ts';

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
