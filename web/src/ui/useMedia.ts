import { useSyncExternalStore } from 'react';

/** Whether a media query holds, kept up to date. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const list = matchMedia(query);
      list.addEventListener('change', listener);
      return () => list.removeEventListener('change', listener);
    },
    () => matchMedia(query).matches,
  );
}

/** Rows are 28 px for a mouse and 44 px for a finger (the same rule as `--row` in main.css). */
export function useRowPx(): number {
  return useMedia('(pointer: coarse)') ? 44 : 28;
}
export function useIsNarrow(): boolean {
  return useMedia('(max-width: 767px)');
}
