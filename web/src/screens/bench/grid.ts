/** Columns of the bench: section, part, state, ribbon, next act, button. One definition for the head and every row. */
export const BENCH_GRID =
  'grid grid-cols-[44px_minmax(150px,250px)_72px_minmax(200px,1fr)_minmax(150px,290px)_98px] items-center gap-x-2.5';
