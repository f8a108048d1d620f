import type { Tool } from '../products/traits.ts';

/** Guns by how they make their fan; a shop names its own, else a low-pressure one is taken. */
export const GUNS = ['hvlp', 'conventional', 'airless'] as const;
export type Gun = (typeof GUNS)[number];
export type Applicator = Exclude<Tool, 'gun'> | Gun;

/** Share of what leaves the tool that stays on the part, with the range met in the field. */
export interface Transfer {
  readonly te: number;
  readonly least: number;
  readonly most: number;
}
/** Flat work, common practice with no published source (the low-pressure gun's .65 is the floor some laws ask for; sheds get .4–.65). */
export const TRANSFER: Readonly<Record<Applicator, Transfer>> = {
  brush: { te: 0.95, least: 0.9, most: 0.98 },
  roller: { te: 0.9, least: 0.85, most: 0.95 },
  hvlp: { te: 0.65, least: 0.4, most: 0.7 },
  conventional: { te: 0.35, least: 0.2, most: 0.4 },
  airless: { te: 0.55, least: 0.4, most: 0.65 },
  aerosol: { te: 0.35, least: 0.25, most: 0.45 },
};
export const applicatorOf = (tool: Tool, gun: Gun = 'hvlp'): Applicator => (tool === 'gun' ? gun : tool);

/** How much of a fan passes a part by: a lattice or a tube loses about as much again (common practice, no published source). */
export const WORK_SHAPES = ['flat', 'lattice'] as const;
export type WorkShape = (typeof WORK_SHAPES)[number];
/** Only what is thrown misses: brush and roller touch the part. */
export const shapeFactorOf = (shape: WorkShape, by: Applicator): number =>
  shape === 'lattice' && by !== 'brush' && by !== 'roller' ? 2 : 1;
