import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import { faceAreaM2, UNKNOWN_AREA_M2 } from './area.ts';

/**
 * Minutes of hands for coats: one model for the Bench's lead, leftovers, progress, routes and plans. Setting up and cleaning
 * stand apart from laying on, because parts coated in one go share them. All common practice, no published source.
 */

/** Setting up and cleaning of a tool for one coat of one part, minutes. */
export const SET_UP_MIN: Readonly<Record<Tool, number>> = { gun: 20, aerosol: 5, brush: 5, roller: 10 };
/** Setting up and cleaning for a run of coats of one product, minutes: the hose, the gun and the strainer take longer than a brush. */
export const RUN_MIN: Readonly<Record<Tool, { readonly setUp: number; readonly cleanUp: number }>> = {
  gun: { setUp: 20, cleanUp: 20 },
  aerosol: { setUp: 2, cleanUp: 0 },
  brush: { setUp: 5, cleanUp: 10 },
  roller: { setUp: 5, cleanUp: 10 },
};
/** To measure, mix and strain one cup. */
export const MIX_MIN = 10;
/** Laying on, minutes a square metre of plain plate, where the tool is slower than the sheet's own minutes for a gun. */
const TOOL_MIN_PER_M2: Readonly<Record<Tool, number>> = { gun: 8, aerosol: 12, brush: 30, roller: 14 };
/** However small the part, a coat takes this long to lay on, minutes. */
export const LEAST_LAY_MIN = 10;
/** To turn a part over. */
export const TURN_OVER_MIN = 15;
/** Flash where the sheet says none. */
const USUAL_FLASH_MIN = 10;

/** Laying one coat on, minutes: the sheet's rate for a gun, no quicker than the tool for the others. Null sheet: usual paint. */
export function layMinutes(sheet: ProductSheet | null, tool: Tool, areaM2: number): number {
  const usual = TOOL_MIN_PER_M2[tool];
  const rate =
    sheet === null ? usual : tool === 'gun' ? sheet.applyMinPerM2 : Math.max(sheet.applyMinPerM2, usual);
  return Math.max(LEAST_LAY_MIN, rate * areaM2);
}

/** What a product is usually laid on with. */
export function usualTool(sheet: ProductSheet): Tool {
  const { tools } = traitsOf(sheet);
  return tools.includes('gun') ? 'gun' : (tools[0] ?? 'brush');
}

/** Minutes from starting a coat to its last wet pass being safe: laying on, flash and, for two faces, turning over. */
export function leadMinutes(sheet: ProductSheet, areaM2: number | null, faces: number): number {
  const lay = layMinutes(sheet, usualTool(sheet), faceAreaM2(areaM2, faces));
  const flash = sheet.stages.flash?.points[0]?.hours;
  return Math.ceil(
    lay + (flash === undefined ? USUAL_FLASH_MIN : flash * 60) + (faces > 1 ? TURN_OVER_MIN : 0),
  );
}

/** Rough hours to do a film of so many coats again: strip and recoat what is on it. */
export const redoHours = (areaM2: number | null, coats: number): number =>
  faceAreaM2(areaM2, 1) * (0.5 + 0.3 * coats) + LEAST_LAY_MIN / 60;

/** Minutes of abrading by hand, by area; a usual one where it is not known (docs/calculations.md: 10 + 25 a square metre). */
export const abradeMinutes = (areaM2: number | null): number =>
  Math.ceil(10 + 25 * (areaM2 ?? UNKNOWN_AREA_M2));

/** One person lifts no more than this, kg (common practice; local lifting rules go before). */
export const MOST_LIFT_KG = 25;
