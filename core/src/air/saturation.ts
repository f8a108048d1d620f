/**
 * Saturation vapour pressure by the Magnus form.
 * Source: Alduchov & Eskridge 1996, "Improved Magnus form approximation of saturation vapor pressure",
 * J. Appl. Meteor. 35:601: over water eq. 21 (−40…50 °C), over ice eq. 23 (−80…0 °C); relative error ≤ 0.4 %.
 */
export const OVER_WATER = { e0Hpa: 6.1094, a: 17.625, bC: 243.04, minC: -40, maxC: 50 } as const;
export const OVER_ICE = { e0Hpa: 6.1121, a: 22.587, bC: 273.86, minC: -80, maxC: 0 } as const;

type Magnus = typeof OVER_WATER | typeof OVER_ICE;

const saturationHpa = (m: Magnus, tempC: number): number =>
  m.e0Hpa * Math.exp((m.a * tempC) / (tempC + m.bC));

/** Saturation vapour pressure over liquid water, hPa. The caller keeps tempC within −40…50 °C (clamped outside by no one). */
export function esOverWaterHpa(tempC: number): number {
  return saturationHpa(OVER_WATER, tempC);
}

/** Inverse of the Magnus form: the temperature at which `vapourHpa` saturates. vapourHpa > 0. */
export function saturationTempC(m: Magnus, vapourHpa: number): number {
  const g = Math.log(vapourHpa / m.e0Hpa);
  return (m.bC * g) / (m.a - g);
}
