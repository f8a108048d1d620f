/**
 * The only conversion factors in the product. Core computes in SI-derived units (°C, µm, m², L, kg); these are
 * used where numbers enter and leave. Exact by definition: the international inch and pound (1959 agreement), US
 * gallon 231 in³, imperial gallon 4.54609 L (UK Units of Measurement Regulations 1995).
 */
export const UM_PER_MIL = 25.4;
export const UM_PER_MM = 1000;
export const M2_PER_FT2 = 0.09290304;
export const L_PER_US_GAL = 3.785411784;
export const L_PER_IMP_GAL = 4.54609;
export const KG_PER_LB = 0.45359237;
export const M_PER_FT = 0.3048;
/** 0 °C in kelvin. */
export const ZERO_C_IN_K = 273.15;

export function kFromC(tempC: number): number {
  return tempC + ZERO_C_IN_K;
}
export function fFromC(tempC: number): number {
  return (tempC * 9) / 5 + 32;
}
