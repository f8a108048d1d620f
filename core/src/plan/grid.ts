import { MINUTE_MS } from '../base/time.ts';

/** Work begins on the five minutes. */
export const GRID_MS = 5 * MINUTE_MS;
export const upToGrid = (ms: number): number => Math.ceil(ms / GRID_MS - 1e-9) * GRID_MS;
