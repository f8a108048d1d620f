/** The mending abrasion before a coat that comes past its window. */
export const mendOpId = (coatOpId: string): string => `${coatOpId}/mend`;
export const isMend = (opId: string): boolean => opId.endsWith('/mend');
/** The coat an id is about, mend or coat. */
export const coatOpIdOf = (opId: string): string => (isMend(opId) ? opId.slice(0, -'/mend'.length) : opId);
