/** Rules that films are accepted by. */
export const ACCEPTANCE = ['iso-19840', 'pa-2', 'own'] as const;
export type AcceptanceRule = (typeof ACCEPTANCE)[number];

/** Thickest reading taken from a gauge, µm. */
export const THICKEST_READING_UM = 5000;

/** How a gauge was set: on smooth plate it reads into the profile, on the blasted surface it does not. */
export const GAUGE_ZEROS = ['smooth', 'on-profile', 'unknown'] as const;
export type GaugeZero = (typeof GAUGE_ZEROS)[number];
export const PROFILES = ['none', 'fine', 'medium', 'coarse', 'unknown'] as const;
export type ProfileGrade = (typeof PROFILES)[number];
