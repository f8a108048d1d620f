/** The mending abrasion before a coat that comes past its window. */
export const mendOpId = (coatOpId: string): string => `${coatOpId}/mend`;
export const isMend = (opId: string): boolean => opId.endsWith('/mend');
/** The coat an id is about, mend or coat. */
export const coatOpIdOf = (opId: string): string => (isMend(opId) ? opId.slice(0, -'/mend'.length) : opId);
/** What comes home from somebody who works for the shop elsewhere is fetched: `<step>:fetch`. Of a part that lies, work on the face that comes second. */
export const FETCH = ':fetch';
export const SECOND = ':b';
export const isFetch = (opId: string): boolean => opId.endsWith(FETCH);
/** The part, the step of its route, and which coat, that a piece of work is about. */
export function readOpId(opId: string): {
  readonly partId: string;
  readonly stepId: string;
  readonly coatNo: number | null;
} {
  const [partId, step = '', no] = coatOpIdOf(opId).split('/') as [string, string?, string?];
  return { partId, stepId: step.replace(/:(fetch|b)$/, ''), coatNo: no === undefined ? null : Number(no) };
}
