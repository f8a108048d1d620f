/** What hands were busy with: few enough to choose by one touch. */
export const WORK_OPS = ['clean', 'strip', 'fill', 'prepare', 'coat', 'finish', 'assemble', 'look'] as const;
export type WorkOp = (typeof WORK_OPS)[number];

/** What money went on that is no paint: paint is counted from its tins. */
export const SPENT_ON = ['consumables', 'contractor', 'bought-part', 'other'] as const;
export type SpentOn = (typeof SPENT_ON)[number];

/** What is put by of a job: a panel sprayed beside it, paint of the batch, a piece of what was taken off. */
export const KEPT_SAMPLES = ['witness-panel', 'paint-sample', 'old-piece'] as const;
export type KeptSample = (typeof KEPT_SAMPLES)[number];

/** What an inspector looks at: the film, or the whole part; a machine is signed part by part in one act. */
export const SIGN_SCOPES = ['film', 'part', 'machine'] as const;
export type SignScope = (typeof SIGN_SCOPES)[number];
