/** Area taken where none is known, m²: said wherever it is used (common practice, no published source). */
export const UNKNOWN_AREA_M2 = 0.5;

/** One face of a part, m²; the usual where its area is not known. */
export const faceAreaM2 = (areaM2: number | null, faces: number): number =>
  (areaM2 ?? UNKNOWN_AREA_M2) / faces;
