/** What a finished part is looked after by. */
export const CARE_JOBS = ['look', 'edges', 'cavity-wax', 'drains', 'wash-salt', 'oil-bright'] as const;
export type CareJob = (typeof CARE_JOBS)[number];
export const CARE_FOUND = ['nothing', 'something'] as const;
export type CareFound = (typeof CARE_FOUND)[number];
