/** What somebody is shown before doing it alone: the shop decides which of them it asks for. */
export const INDUCTIONS = ['spray', 'air-fed', 'blast', 'lift', 'hot-work'] as const;
export type Induction = (typeof INDUCTIONS)[number];
