/**
 * Columns of the bench: section, part, state, ribbon, next act, button. One definition for the head and every row. On a small tablet
 * the section goes, so that the act stays on the page.
 */
export const BENCH_GRID =
  'grid grid-cols-[44px_minmax(150px,250px)_72px_minmax(200px,1fr)_minmax(150px,330px)_98px] items-center gap-x-2.5 max-[900px]:grid-cols-[minmax(120px,1fr)_64px_minmax(120px,1fr)_minmax(110px,1fr)_96px]';
/** What the first column holds, where it is there. */
export const FIRST_COLUMN = 'max-[900px]:hidden';
