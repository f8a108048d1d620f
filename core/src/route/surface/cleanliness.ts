/** Cleanliness of bare iron and steel, worst first (ISO 8501-1, from memory). */
export const CLEANLINESS = ['none', 'St 2', 'St 3', 'Sa 2', 'Sa 2½'] as const;
export type Cleanliness = (typeof CLEANLINESS)[number];
