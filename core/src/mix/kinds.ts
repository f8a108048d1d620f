export const THINNER_GRADES = ['fast', 'medium', 'slow', 'very-slow'] as const;
export type ThinnerGrade = (typeof THINNER_GRADES)[number];

/** Largest batch taken, mL: a bucket; more is mixed in the drum by its maker's paper. */
export const LARGEST_BATCH_ML = 20_000;
